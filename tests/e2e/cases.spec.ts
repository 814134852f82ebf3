import type { Page } from '@playwright/test';
import { beIn, enterAs, expect, expectNoAxe, test, useTestServer, visit } from './test-server';
import { casesScreen } from './screens/cases';
import { circumstancesScreen } from './screens/circumstances';
import { designScreen } from './screens/design';
import { partsScreen } from './screens/parts';
import { pathScreen } from './screens/path';
import { publishingScreen } from './screens/publishing';

const testServer = useTestServer();

const stage = (page: Page) => designScreen.stage(page);
const chips = (page: Page) => casesScreen.group(page);
const chip = (page: Page, name: RegExp) => chips(page).getByRole('listitem').getByRole('button', { name });
const said = (page: Page, key: string) => stage(page).locator(`sunny-porch [data-say="${key}"]`);
const isSaved = (page: Page) =>
  expect(page.getByRole('status').filter({ hasText: /^saved$/i })).toBeVisible();
const areNamed = (page: Page, names: string[]) =>
  expect(chips(page).getByRole('listitem').locator('button[aria-pressed]')).toHaveText(names);

async function write(page: Page, name: RegExp, text: string): Promise<void> {
  await designScreen.stageTexts(stage(page)).getByRole('button', { name }).click();
  const field = page.getByRole('textbox', { name });
  await field.fill(text);
  await field.press('Control+Enter');
}

test('a case is added for somebody, worded on the stage, put first, heard by them alone, and taken away', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design?on=/tonight&moment=at-the-door&with=in');
  await beIn(page, true);
  await expect(chip(page, /^everybody else, said now/)).toHaveAttribute('aria-pressed', 'true');
  await areNamed(page, ['Returning, Português', 'Returning', 'Everybody else']);

  await casesScreen.add(chips(page)).click();
  await casesScreen.returningOption(page).click();
  // Now the stage shows it, and it says what it said before.
  await expect(circumstancesScreen.aReturningVisitor(page)).toBeVisible();
  await expect(said(page, 'greeting')).toHaveText(
    'Good evening. What would you like to know about the night?',
  );
  await write(page, /Greeting \(returning\)/, 'Back for another night?');
  await expect(said(page, 'greeting')).toHaveText('Back for another night?');

  await isSaved(page); // while it is being saved, Publish changes its colours
  await casesScreen.changeReturning(chips(page)).click();
  const sheet = casesScreen.editor(page);
  await expectNoAxe(page, 'the sheet of a case');
  await partsScreen.earlier(sheet).click();
  await expect(partsScreen.earlier(sheet)).toBeDisabled();
  await page.keyboard.press('Escape');
  // Ours for the same people is not heard any longer, so it is not offered.
  await areNamed(page, ['Returning', 'Returning, Português', 'Everybody else']);
  // What asks for less stands before what asks for more: nobody hears that any longer.
  await expect(chip(page, /^returning, Português, nobody hears it/)).toBeVisible();

  // Whoever is asked for by a chip is assumed: a first visit, then somebody who was here.
  await chip(page, /^everybody else/).click();
  await expect(circumstancesScreen.aFirstTimeVisitor(page)).toBeVisible();
  await expect(said(page, 'greeting')).toHaveText(/^Good evening/);
  await isSaved(page);

  await publishingScreen.publishChanges(page).click();
  await expect(page.getByRole('dialog')).toContainText('New: other wording of “Greeting” (returning)');
  await publishingScreen.publish(page.getByRole('dialog')).click();
  await expect(publishingScreen.isLive(page)).toBeVisible();
  const visitor = await visit(browser, `${testServer.site}/tonight`);
  await visitor.launcher.click();
  await expect(visitor.window.locator('[data-say=greeting]')).toHaveText(/^Good evening/);

  await casesScreen.changeReturning(chips(page)).click();
  await casesScreen.remove(sheet).click();
  await areNamed(page, ['Returning, Português', 'Returning', 'Everybody else']);
  await page.keyboard.press('Control+z');
  await expect(casesScreen.changeReturning(chips(page))).toBeVisible();
  await isSaved(page);
});

test('a chip finds the hour in which it is said: the next break, a holiday; ours can be worded, not taken away', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design?moment=nobody-home&at=2026-12-03T13:00:00Z');
  // Without e-mail it is put differently, and is the same wording for the same people.
  await expect(chip(page, /^closed, said now, ours/)).toBeVisible();
  await chip(page, /^a holiday/).click();
  await expect(chip(page, /^a holiday, said now, ours/)).toBeVisible();
  await expect(said(page, 'nobodyHome')).toContainText(/: back/);
  await expect(casesScreen.changeHoliday(chips(page))).toHaveCount(0);
  await chip(page, /^closed early, ours/).click();
  await expect(chips(page).getByRole('status')).toHaveText(
    '“closed early” does not happen here in the next year.',
  );
  await expect(chip(page, /^on a break, ours/)).toHaveCount(0);
  await chip(page, /^on a break/).click();
  await expect(said(page, 'nobodyHome')).toContainText('We are carrying the telescopes out');
  await write(page, /Nobody home \(on a break\)/, 'Back with the telescopes at {openingTime, time, short}.');
  await expect(said(page, 'nobodyHome')).toHaveText(/^Back with the telescopes at \d/);
  await isSaved(page);
});

test('an invitation and its replies are worded where they show; a text that does not stand there is edited over the window', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design?on=/tonight&moment=invited&with=in');
  // Which invitation this visitor gets first is found a little after the stage stands.
  await expect(stage(page).locator('sunny-porch .invitation-words')).toContainText('Clear skies');
  await write(page, /Invitation “/, 'The sky has cleared. Shall we tell you the way up?');
  await expect(stage(page).locator('sunny-porch .invitation-words')).toHaveText(
    'The sky has cleared. Shall we tell you the way up?',
  );
  await write(page, /Reply: yes/, 'Tell me');
  await expect(pathScreen.invited(pathScreen.path(page))).toContainText('The sky has cleared');
  await isSaved(page);

  await page.goto(`${testServer.app}/s/${testServer.siteKey}/design?on=/tonight&moment=nobody-home`);
  const inspector = designScreen.inspector(page);
  await designScreen.otherTexts(inspector).click();
  await designScreen.emailErrorText(inspector).click();
  const field = designScreen.emailErrorField(inspector);
  await field.fill('Please look at the @ once more.');
  await field.press('Control+Enter');
  await expect(designScreen.emailErrorReworded(inspector)).toBeVisible();
  await isSaved(page);
});

test('one’s own circumstances are kept under a name, flipped through like ours, by a colleague too, and taken away', async ({
  browser,
}) => {
  const page = await enterAs(
    browser,
    testServer,
    'design?on=/groups/schools&visit=returning&device=phone&locale=pt',
  );
  const situation = circumstancesScreen.situation(page);
  await expect(situation).toContainText('Custom');
  await circumstancesScreen.keep(situation).click();
  await partsScreen.name(page).fill('A teacher who comes back');
  await page.keyboard.press('Enter');
  await expect(situation).toContainText(/A teacher who comes back (\d) of \1/);
  await page.keyboard.press(']');
  await expect(situation).toContainText('Now 1 of');

  const colleague = await enterAs(browser, testServer, 'design');
  await expect(circumstancesScreen.situation(colleague)).toContainText('Now 1 of 9');
  await colleague.keyboard.press('[');
  await expect(circumstancesScreen.aReturningVisitor(colleague)).toBeVisible();
  await expect(circumstancesScreen.inPortuguese(colleague)).toBeVisible();
  await expect(circumstancesScreen.onAPhone(colleague)).toBeVisible();
  await expect(circumstancesScreen.onSchools(colleague)).toBeVisible();
  await circumstancesScreen.removeTeacher(colleague).click();
  await expect(circumstancesScreen.situation(colleague)).toContainText('Custom');
});

test('an invitation that is emptied while it is worded is said to be so, and the stage goes on showing the last words', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design?on=/tonight&moment=invited&with=in');
  const words = stage(page).locator('sunny-porch .invitation-words');
  await expect(words).toContainText(/sky|skies/);
  const before = (await words.textContent()) ?? '';
  await designScreen.clearSkiesText(designScreen.stageTexts(stage(page))).click();
  const field = designScreen.invitationField(page);
  await field.fill('');
  await expect(designScreen.invitationNeedsWords(page)).toBeVisible();
  await expect(words).toHaveText(before);
  await field.fill('The dome is open.');
  await field.press('Control+Enter');
  await expect(words).toHaveText('The dome is open.');
  await isSaved(page);
});
