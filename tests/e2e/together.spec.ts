import type { Page } from '@playwright/test';
import { beIn, enterAs, expect, expectNoAxe, test, useHouse, visit } from './house';

const house = useHouse();

const stage = (page: Page) => page.getByRole('region', { name: 'Stage' });
const inspector = (page: Page) => page.getByRole('complementary', { name: 'Inspector' });
const path = (page: Page) => page.getByRole('navigation', { name: 'Path' });
const isSaved = (page: Page) => expect(page.getByRole('status').filter({ hasText: /^saved$/ })).toBeVisible();
const greeting = (page: Page) => stage(page).locator('sunny-porch [data-say=greeting]');

async function greet(page: Page, text: string): Promise<void> {
  await stage(page)
    .getByRole('group', { name: 'Texts on the stage' })
    .getByRole('button', { name: /^Edit Greeting/ })
    .click();
  const field = page.getByRole('textbox', { name: 'Greeting' });
  await field.fill(text);
  await field.press('Escape');
}

test('two people word the same text: the second one gets both wordings and the choice; different texts both stay', async ({
  browser,
}) => {
  const first = await enterAs(browser, house, 'design?moment=at-the-door&with=in');
  const second = await enterAs(browser, house, 'design?moment=at-the-door&with=in');
  await expect(greeting(first)).toBeVisible();
  await expect(greeting(second)).toBeVisible();
  await greet(first, 'Good evening from the dome.');
  await isSaved(first);
  await greet(second, 'The dome is open.');
  const dialog = second.getByRole('dialog', { name: 'Somebody else has changed this too' });
  await expect(dialog.getByRole('blockquote')).toHaveText([
    'Good evening from the dome.',
    'The dome is open.',
  ]);
  await expectNoAxe(second, 'two wordings');
  await dialog.getByRole('button', { name: 'Keep theirs' }).click();
  await expect(greeting(second)).toHaveText('Good evening from the dome.');
  await isSaved(second);

  await greet(first, 'Good evening from the isle.');
  await isSaved(first);
  await greet(second, 'The dome is open.');
  await dialog.getByRole('button', { name: 'Use mine' }).click();
  await expect(greeting(second)).toHaveText('The dome is open.');
  await isSaved(second);
  await first.reload();
  await expect(greeting(first)).toHaveText('The dome is open.');
});

test('who gets the notes holds at once, outside of the draft, and is undone in one click', async ({
  browser,
}) => {
  const page = await enterAs(browser, house, 'design?on=/tonight');
  const changes = await page.getByRole('button', { name: /^Publish|^Nothing to publish/ }).textContent();
  await page.locator('[data-way-words=W17]').click();
  await expect(inspector(page)).toContainText('of Night desk, under Conversations.');
  const field = inspector(page).getByRole('combobox', { name: 'By mail also to' });
  await field.fill('desk at farrowisle');
  await field.press('Enter');
  await expect(inspector(page)).toContainText('does not look like a mail address. Not saved yet.');
  await field.fill('desk@farrowisle.example');
  await field.press('Enter');
  await expect(page.getByText('Visitors see this from now.')).toBeVisible();
  await page.reload();
  await page.locator('[data-way-words=W17]').click();
  await expect(inspector(page).getByText('desk@farrowisle.example')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Publish|^Nothing to publish/ })).toHaveText(changes ?? '');
  await field.press('Backspace');
  await expect(inspector(page).getByText('desk@farrowisle.example')).toHaveCount(0);
  await page
    .getByRole('region', { name: /Notifications/ })
    .getByRole('button', { name: 'Undo' })
    .click();
  await expect(inspector(page).getByText('desk@farrowisle.example')).toBeVisible();
});

test('[M4] [M5] whether a question stays when we close, and whether another may follow: set on the way, said by its label, heard by visitors', async ({
  browser,
}) => {
  const page = await enterAs(browser, house, 'design?on=/tonight&moment=waiting&with=in');
  await stage(page)
    .getByRole('button', { name: /we close meanwhile/ })
    .click();
  await inspector(page).getByRole('switch', { name: 'Who waits when we close goes on waiting' }).click();
  await expect(inspector(page)).toContainText('the question stays, and an answer by mail is offered');
  await expect(inspector(page)).toContainText('1 setting, 1 changed from ours.');
  await path(page)
    .getByRole('button', { name: /^Goodbye/ })
    .click();
  await expect(stage(page).locator('sunny-porch [data-say="goodbye.again"]')).toBeVisible();
  await inspector(page).getByRole('switch', { name: 'Something else may be asked at once' }).click();
  await expect(stage(page).locator('sunny-porch [data-say="goodbye.again"]')).toHaveCount(0);
  await isSaved(page);
  await page.getByRole('button', { name: /^Publish \d/ }).click();
  await expect(page.getByRole('dialog')).toContainText('Something else may be asked at once: on → off');
  await page.getByRole('dialog').getByRole('button', { name: 'Publish', exact: true }).click();
  await expect(page.getByText(/Version \d+ is live\./)).toBeVisible();

  await beIn(page, true);
  const visitor = await visit(browser, `${house.site}/tonight`);
  await visitor.launcher.click();
  await visitor.say('Is the dome heated?');
  await expect(visitor.window.locator('[data-say="waiting.status"]')).toBeVisible();
  await beIn(page, false);
  await expect(visitor.window.locator('[data-say="slowReply.yes"]')).toBeVisible();
});
