import type { Page } from '@playwright/test';
import { beIn, enterAs, expect, expectNoAxe, test, useTestServer, visit } from './test-server';
import { designScreen } from './screens/design';
import { frameScreen } from './screens/frame';
import { partsScreen } from './screens/parts';
import { pathScreen } from './screens/path';
import { publishingScreen } from './screens/publishing';

const testServer = useTestServer();

const stage = (page: Page) => designScreen.stage(page);
const inspector = (page: Page) => designScreen.inspector(page);
const path = (page: Page) => pathScreen.path(page);
const isSaved = (page: Page) =>
  expect(page.getByRole('status').filter({ hasText: /^saved$/i })).toBeVisible();
const greeting = (page: Page) => stage(page).locator('sunny-porch [data-say=greeting]');

/** Words the greeting; it is saved after a pause in typing, when somebody else's wording may close the editor. */
async function word(page: Page, text: string): Promise<void> {
  await designScreen.editGreeting(designScreen.stageTexts(stage(page))).click();
  await designScreen.greetingField(page).fill(text);
}

async function greet(page: Page, text: string): Promise<void> {
  await word(page, text);
  await designScreen.greetingField(page).press('Control+Enter');
}

test('two people word the same text: the second one gets both wordings and the choice; different texts both stay', async ({
  browser,
}) => {
  const first = await enterAs(browser, testServer, 'design?moment=at-the-door&with=in');
  const second = await enterAs(browser, testServer, 'design?moment=at-the-door&with=in');
  await expect(greeting(first)).toBeVisible();
  await expect(greeting(second)).toBeVisible();
  await greet(first, 'Good evening from the dome.');
  await isSaved(first);
  await word(second, 'The dome is open.');
  const dialog = designScreen.clash(second);
  await expect(dialog.getByRole('blockquote')).toHaveText([
    'Good evening from the dome.',
    'The dome is open.',
  ]);
  await expectNoAxe(second, 'two wordings');
  await designScreen.keepTheirs(dialog).click();
  await expect(greeting(second)).toHaveText('Good evening from the dome.');
  await isSaved(second);

  await greet(first, 'Good evening from the isle.');
  await isSaved(first);
  await word(second, 'The dome is open.');
  await designScreen.useMine(dialog).click();
  await expect(greeting(second)).toHaveText('The dome is open.');
  await isSaved(second);
  await first.reload();
  await expect(greeting(first)).toHaveText('The dome is open.');
});

test('who gets the notes holds at once, outside of the draft, and is undone in one click', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design?on=/tonight');
  const changes = await publishingScreen.button(page).textContent();
  await page.locator('[data-transition-words=note-sent]').click();
  await expect(inspector(page)).toContainText('of Night desk, under Conversations.');
  const field = designScreen.recipients(inspector(page));
  await field.fill('desk at farrowisle');
  await field.press('Enter');
  await expect(inspector(page)).toContainText('does not look like an e-mail address');
  await field.fill('desk@farrowisle.example');
  await field.press('Enter');
  await expect(frameScreen.notesGoThere(page)).toBeVisible();
  await page.reload();
  await page.locator('[data-transition-words=note-sent]').click();
  await expect(inspector(page).getByText('desk@farrowisle.example')).toBeVisible();
  await expect(publishingScreen.button(page)).toHaveText(changes ?? '');
  await field.press('Backspace');
  await expect(inspector(page).getByText('desk@farrowisle.example')).toHaveCount(0);
  await partsScreen.undo(frameScreen.notifications(page)).click();
  await expect(inspector(page).getByText('desk@farrowisle.example')).toBeVisible();
});

test('[M4] [M5] whether a question stays when we close, and whether another may follow: set on the way, said by its label, heard by visitors', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design?on=/tonight&moment=waiting&with=in');
  await pathScreen.weCloseMeanwhile(inspector(page)).click();
  await designScreen.keepsWaiting(inspector(page)).click();
  await expect(inspector(page)).toContainText('the question stays in line, and the visitor can stop waiting');
  await expect(inspector(page)).toContainText('1 setting, changed.');
  await pathScreen.goodbye(path(page)).click();
  await expect(stage(page).locator('sunny-porch [data-say="goodbye.again"]')).toBeVisible();
  await designScreen.offersAgain(inspector(page)).click();
  await expect(stage(page).locator('sunny-porch [data-say="goodbye.again"]')).toHaveCount(0);
  await isSaved(page);
  await publishingScreen.publishChanges(page).click();
  await expect(page.getByRole('dialog')).toContainText('Let visitors ask again right away: on → off');
  await publishingScreen.publish(page.getByRole('dialog')).click();
  await expect(publishingScreen.isLive(page)).toBeVisible();

  await beIn(page, true);
  const visitor = await visit(browser, `${testServer.site}/tonight`);
  await visitor.launcher.click();
  await visitor.say('Is the dome heated?');
  await expect(visitor.window.locator('[data-say="waiting.status"]')).toBeVisible();
  await beIn(page, false);
  await expect(visitor.window.locator('[data-say="slowReply.yes"]')).toBeVisible();
});
