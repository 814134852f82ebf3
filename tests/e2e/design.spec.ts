import { readFileSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { beIn, enterAs, expect, test, useTestServer, visit } from './test-server';
import { circumstancesScreen } from './screens/circumstances';
import { designScreen } from './screens/design';
import { entranceScreen } from './screens/entrance';
import { frameScreen } from './screens/frame';
import { lookScreen } from './screens/look';
import { pathScreen } from './screens/path';
import { publishingScreen } from './screens/publishing';
import { widgetScreen } from './screens/widget';

const testServer = useTestServer();

const stage = (page: Page) => designScreen.stage(page);
const momentCard = (page: Page, name: string) => pathScreen.moment(name)(pathScreen.path(page));
const isSaved = (page: Page) =>
  expect(page.getByRole('status').filter({ hasText: /^saved$/i })).toBeVisible();

/** Edits a text where it stands on the stage. */
async function editOnStage(page: Page, name: string, text: string): Promise<void> {
  await stage(page)
    .getByRole('button', { name: new RegExp(name) })
    .first()
    .click();
  const field = page.getByRole('textbox', { name: new RegExp(name) });
  await field.fill(text);
  await field.press('Control+Enter');
}

async function publish(page: Page): Promise<void> {
  await publishingScreen.publishChanges(page).click();
  await publishingScreen.publish(page.getByRole('dialog')).click();
  await expect(publishingScreen.isLive(page)).toBeVisible();
}

function filesIn(dir: string): Record<string, string> {
  return Object.fromEntries(
    readdirSync(dir, { recursive: true, encoding: 'utf8' })
      .filter((name) => statSync(join(dir, name)).isFile())
      .map((name) => [name, readFileSync(join(dir, name), 'utf8')]),
  );
}

test('colour, corner and words reach the stage at once, the draft soon, and visitors with Publish; the tag stays as it was pasted', async ({
  browser,
}) => {
  const before = filesIn(testServer.siteDir);
  const page = await enterAs(browser, testServer, 'design');
  await momentCard(page, 'At the door').click();
  await designScreen.lookTab(page).click();
  await lookScreen.brandColour(page).fill('#e79a1b');
  await expect(lookScreen.darkTextRatio(page)).toBeVisible();
  await expect(stage(page).locator('sunny-porch .head')).toHaveCSS('background-color', 'rgb(231, 154, 27)');
  await lookScreen.brandColour(page).fill('#2f6f8f');
  await lookScreen.placeLowerRight(page).click();
  await lookScreen.lowerLeft(page).click();
  await editOnStage(page, 'Greeting', 'Good evening from the island.');
  await expect(stage(page).locator('sunny-porch [data-say=greeting]')).toHaveText(
    'Good evening from the island.',
  );
  await momentCard(page, 'Passing by').click();
  await isSaved(page);

  const visitor = await visit(browser, `${testServer.site}/tonight`);
  await expect(visitor.launcher).toHaveCSS('background-color', 'rgb(122, 46, 93)');
  await publishingScreen.publishCount(3)(page).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('Brand colour: #7a2e5d → #2f6f8f');
  await expect(dialog).toContainText('Launcher moves from the lower right to the lower left');
  await expect(dialog).toContainText('→ “Good evening from the island.”');
  await publishingScreen.publish(dialog).click();
  await expect(publishingScreen.isLive(page)).toBeVisible();
  await expect(publishingScreen.nothing(page)).toBeDisabled();

  await visitor.page.reload();
  await expect(visitor.launcher).toHaveCSS('background-color', 'rgb(47, 111, 143)');
  const box = await visitor.launcher.boundingBox();
  expect(box?.x).toBe(20);
  expect(filesIn(testServer.siteDir)).toEqual(before);
});

test('[L7] an open window keeps the look and words it was opened with, and learns of what is new; closed, it shows it', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design');
  await beIn(page, true);
  const visitor = await visit(browser, `${testServer.site}/tonight`);
  await visitor.launcher.click();
  const head = visitor.window.locator('.head');
  const colour = await head.evaluate((one) => getComputedStyle(one).backgroundColor);
  await expect(visitor.window.locator('[data-say=greeting]')).toBeVisible();
  const greeting = (await visitor.window.locator('[data-say=greeting]').textContent()) ?? '';

  await momentCard(page, 'At the door').click();
  await designScreen.lookTab(page).click();
  await lookScreen.brandColour(page).fill('#0b5d4e');
  await editOnStage(page, 'Greeting', 'The sky is clear tonight.');
  await isSaved(page);
  const learnt = visitor.page.waitForResponse((response) =>
    /\/d\d+-[0-9a-f]+\.en\.json$/.test(response.url()),
  );
  await publishingScreen.publishCount(2)(page).click();
  await publishingScreen.publish(page.getByRole('dialog')).click();
  await (await learnt).finished();
  await expect(head).toHaveCSS('background-color', colour);
  await expect(visitor.window.locator('[data-say=greeting]')).toHaveText(greeting);
  await widgetScreen.close(visitor.window).click();
  await expect(visitor.launcher).toHaveCSS('background-color', 'rgb(11, 93, 78)');
  await visitor.launcher.click();
  await expect(visitor.window.locator('[data-say=greeting]')).toHaveText('The sky is clear tonight.');
});

test('the words on the launcher are edited where they stand, and a text without its other brace is not saved', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design');
  await momentCard(page, 'Passing by').click();
  await editOnStage(page, 'Words on the launcher', 'Write to us');
  await expect(stage(page).locator('sunny-porch .words')).toHaveText('Write to us');
  await isSaved(page);
  await designScreen.launcherWords(stage(page)).first().click();
  const field = designScreen.launcherWordsField(page);
  await field.fill('Write {to us');
  await expect(designScreen.braceError(page)).toBeVisible();
  await expect(stage(page).locator('sunny-porch .words')).toHaveText('Write to us');
  await field.fill('Write {nobody} today');
  await expect(designScreen.unknownNameError(page)).toBeVisible();
});

test('undo and redo, by button and by keyboard, survive a reload', async ({ browser }) => {
  const page = await enterAs(browser, testServer, 'design');
  await designScreen.lookTab(page).click();
  const colour = lookScreen.brandColour(page);
  const first = await colour.inputValue();
  await lookScreen.oliveSwatch(page).click();
  await isSaved(page);
  await page.reload();
  await designScreen.lookTab(page).click();
  await expect(colour).toHaveValue('#5b6b2d');
  await lookScreen.undoBrand(page).click();
  await expect(colour).toHaveValue(first);
  await designScreen.lookTab(page).focus();
  await page.keyboard.press('Control+Shift+Z');
  await expect(colour).toHaveValue('#5b6b2d');
  await page.keyboard.press('Control+z');
  await expect(colour).toHaveValue(first);
  await isSaved(page);
});

test('the server is killed before a save is answered: not saved is said, and the change is stored when it is back', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design');
  await momentCard(page, 'At the door').click();
  await testServer.kill();
  await editOnStage(page, 'Greeting', 'Written while the power was off.');
  await expect(page.getByRole('status').filter({ hasText: 'not saved' })).toBeVisible();
  await expect(stage(page).locator('sunny-porch [data-say=greeting]')).toHaveText(
    'Written while the power was off.',
  );
  await testServer.restart();
  await expect(page.getByRole('status').filter({ hasText: /^saved$/i })).toBeVisible({ timeout: 20_000 });
  await page.reload();
  await momentCard(page, 'At the door').click();
  await expect(stage(page).locator('sunny-porch [data-say=greeting]')).toHaveText(
    'Written while the power was off.',
  );
});

test('what an address asks for comes with the page: moment, words, circumstances and who is answering, before any script', async ({
  browser,
}) => {
  const owner = await enterAs(browser, testServer, 'today');
  const storageState = await owner.context().storageState();
  const context = await browser.newContext({ javaScriptEnabled: false, storageState });
  const page = await context.newPage();
  await page.goto(
    `${testServer.app}/s/${testServer.siteKey}/design?moment=nobody-home&at=2026-12-03T13:00:00Z&locale=pt`,
  );
  await expect(designScreen.inspector(page).getByRole('heading', { name: 'Nobody home' })).toBeVisible();
  await expect(pathScreen.path(page)).toContainText('Estamos fechados');
  await expect(circumstancesScreen.atNoon(page)).toBeVisible();
  await expect(circumstancesScreen.inPortuguese(page)).toBeVisible();
  await expect(pathScreen.path(page)).toContainText('Note left');
  await expect(frameScreen.presence(page)).toBeVisible();
  await context.close();
});

test('a session that ran out: sign in where one was, the draft intact', async ({ browser }) => {
  const page = await enterAs(browser, testServer, 'design');
  await designScreen.lookTab(page).click();
  await page.route('**/draft', async (route) => {
    if (route.request().method() === 'POST') await page.context().clearCookies();
    await route.continue();
  });
  await lookScreen.blueSwatch(page).click();
  const dialog = frameScreen.sessionEnded(page);
  await expect(dialog).toBeVisible();
  await page.unrouteAll();
  await entranceScreen.email(dialog).fill('ines@farrowisle.example');
  await entranceScreen.password(dialog).fill('clear skies tonight');
  await entranceScreen.signIn(dialog).click();
  await expect(dialog).toBeHidden();
  await expect(lookScreen.brandColour(page)).toHaveValue('#34518c');
  await isSaved(page);
  await page.reload();
  await designScreen.lookTab(page).click();
  await expect(lookScreen.brandColour(page)).toHaveValue('#34518c');
});

test('two people at once: each other’s changes are kept, and undo is not lost', async ({ browser }) => {
  const first = await enterAs(browser, testServer, 'design');
  const second = await enterAs(browser, testServer, 'design');
  await designScreen.lookTab(first).click();
  await designScreen.lookTab(second).click();
  await lookScreen.brickSwatch(first).click();
  await isSaved(first);
  await lookScreen.placeLower(second).click();
  await lookScreen.upperRight(second).click();
  await isSaved(second);
  await expect(lookScreen.brandColour(second)).toHaveValue('#b4472b');
  await first.reload();
  await designScreen.lookTab(first).click();
  await expect(lookScreen.placeUpperRight(first)).toBeVisible();
});

test('the circumstances ask the engine: another page, another language, somebody in or not, and the reasons say why', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design');
  const because = designScreen.reasons(page);
  await expect(because).toContainText('“Main” covers /');
  await circumstancesScreen.onPage(page).click();
  await circumstancesScreen.pageField(page).fill('/privacy');
  await circumstancesScreen.usePage(page).click();
  await expect(because).toContainText('no widget covers /privacy');
  await expect(momentCard(page, 'At the door')).toHaveAccessibleName(/not on this page/);
  await designScreen.anyReason(because).click();
  await expect(designScreen.allReasons(page)).toContainText('“Main” never shows on /privacy');
  await page.keyboard.press('Escape');
  await circumstancesScreen.onPage(page).click();
  await circumstancesScreen.pageField(page).fill('/tonight');
  await circumstancesScreen.pageField(page).press('Enter');

  await circumstancesScreen.who(page).click();
  await circumstancesScreen.somebodyAnswers(page).click();
  await expect(because).toContainText('Night desk is answering');
  await expect(momentCard(page, 'Nobody home')).toHaveAccessibleName(/only while nobody is answering/);
  await circumstancesScreen.inEnglish(page).click();
  await circumstancesScreen.arabic(page).click();
  await page.keyboard.press('Escape');
  await momentCard(page, 'At the door').click();
  await expect(stage(page).locator('sunny-porch .root')).toHaveAttribute('dir', 'rtl');
});

test('the situations of this site are flipped by button and by key, stand in the address, and what cannot be reached says why', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design?on=/tonight');
  await beIn(page, true);
  const situation = circumstancesScreen.situation(page);
  await expect(situation).toContainText('Now 1 of 8');
  await expect(momentCard(page, 'Invited')).toHaveAccessibleName(/this visitor gets here by themselves/);
  await circumstancesScreen.nextSituation(page).click();
  await expect(situation).toContainText('Ten minutes before closing 2 of 8');
  await circumstancesScreen.nextSituation(page).click();
  await expect(situation).toContainText('Next closed hour 3 of 8');
  await expect(momentCard(page, 'Waiting')).toHaveAccessibleName(/only during opening hours/);
  await expect(pathScreen.availability(page)).toContainText('closed → Nobody home');
  await expect(page).toHaveURL(/at=20\d\d-/);

  const colleague = await enterAs(browser, testServer, `design${new URL(page.url()).search}`);
  await expect(circumstancesScreen.situation(colleague)).toContainText('Next closed hour 3 of 8');
  await expect(momentCard(colleague, 'Waiting')).toHaveAccessibleName(/only during opening hours/);

  await momentCard(page, 'Passing by').focus();
  await page.keyboard.press(']');
  await expect(situation).toContainText('All busy');
  await page.keyboard.press('[');
  await page.keyboard.press('[');
  await page.keyboard.press('[');
  await expect(situation).toContainText('Now 1 of 8');
  await page.keyboard.press('[');
  await expect(situation).toContainText('8 of 8');
});

test('another widget is looked at on a page of its own, at a time by the site’s clock, on a phone', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design?on=/tonight&moment=at-the-door');
  await circumstancesScreen.widget(page).click();
  await circumstancesScreen.telescopeLoansWidget(page).click();
  await expect(circumstancesScreen.onTelescopes(page)).toBeVisible();
  await expect(stage(page).locator('sunny-porch [data-form=before]')).toContainText(
    'Who will look through it?',
  );
  await circumstancesScreen.atNow(page).click();
  await circumstancesScreen.dateAndTime(page).fill('2026-12-24T22:00');
  await circumstancesScreen.useTime(page).click();
  await expect(circumstancesScreen.atChristmasEve(page)).toBeVisible();
  await expect(page).toHaveURL(/at=2026-12-24T23%3A00%3A00Z/);
  await circumstancesScreen.onAComputer(page).click();
  await circumstancesScreen.phone(page).click();
  await page.keyboard.press('Escape');
  await expect(stage(page).locator('sunny-porch .root')).toHaveAttribute('data-device', 'phone');
  await expect(circumstancesScreen.situation(page)).toContainText('Custom');
});

test('[T8] a visitor who lives elsewhere reads their own time first, then the site’s with its place, in their language', async ({
  browser,
}) => {
  // Thursday noon in the Azores, when the observatory is closed until the evening.
  const page = await enterAs(browser, testServer, 'design?moment=nobody-home&at=2026-12-03T13:00:00Z');
  const window = stage(page).locator('sunny-porch .window');
  await expect(window).toContainText('Closed. Back 5:30');
  await expect(window).not.toContainText('Azores');
  await circumstancesScreen.atNoon(page).click();
  await circumstancesScreen.visitorZone(page).fill('Tokyo');
  await circumstancesScreen.tokyo(page).click();
  await page.keyboard.press('Escape');
  await expect(window).toContainText(/Closed. Back tomorrow 3:30\sAM \(5:30\sPM, ⁨the Azores⁩\)/);
  await expect(circumstancesScreen.inTokyo(page)).toBeVisible();
  await expect(page).toHaveURL(/zone=Asia%2FTokyo/);
  await circumstancesScreen.inEnglish(page).click();
  await circumstancesScreen.portuguese(page).click();
  await expect(window).toContainText('⁨Açores⁩');
});

test('what cannot be seen is set beside the stage: at once in the words of the way, within bounds, and back to ours in one click', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design?on=/tonight&moment=waiting');
  const inspector = designScreen.inspector(page);
  await expect(inspector).toContainText('4 settings, all at our defaults.');
  const offered = designScreen.slowReplyAfter(inspector);
  await offered.fill('75');
  await expect(momentCard(page, 'Waiting')).toHaveAccessibleName(/leads to Slow reply: no answer after 75 s/);
  await expect(inspector).toContainText('4 settings, 1 changed.');
  await offered.fill('4000');
  await expect(inspector).toContainText(
    'Type a whole number from 10 to 3600 s. The old value still applies.',
  );
  await expect(momentCard(page, 'Waiting')).toHaveAccessibleName(/no answer after 75 s/);
  await offered.fill('80');
  await isSaved(page);
  await page.reload();
  await expect(offered).toHaveValue('80');
  await publishingScreen.anyPublish(page).click();
  await expect(page.getByRole('dialog')).toContainText('Offer to stop waiting after: 90 s → 80 s');
  await page.keyboard.press('Escape');
  await designScreen.restoreDefaults(inspector).click();
  await expect(offered).toHaveValue('90');

  await momentCard(page, 'Talking').click();
  await designScreen.slowReplyWhileTalking(inspector).check();
  await expect(momentCard(page, 'Talking')).toHaveAccessibleName(/leads to Slow reply: no reply for 10 min/);
  await designScreen.restoreDefaults(inspector).click();
  await expect(momentCard(page, 'Talking')).toHaveAccessibleName(/leads to Slow reply: responder leaves/);
  await isSaved(page);
});

test('Who can answer? is its own editor: what happens in each state, and where it leads', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design?on=/tonight&with=nobody');
  const availability = pathScreen.availability(page);
  await pathScreen.changeAvailability(availability).click();
  const inspector = designScreen.inspector(page);
  await designScreen.whenNobody(inspector).click();
  await designScreen.chatOption(page).click();
  await expect(availability).toContainText('nobody is answering → At the door');
  await expect(momentCard(page, 'Nobody home')).toHaveAccessibleName(/see “Who can answer\?”/);
  await expect(momentCard(page, 'At the door')).not.toHaveAccessibleName(/only (while|during)|see “Who/);
  await expect(inspector).toContainText('5 settings, 1 changed.');
  await designScreen.restoreDefaults(inspector).click();
  await expect(availability).toContainText('nobody is answering → Nobody home');
  await isSaved(page);
});

test('by keyboard alone: along the path, between its lanes, to the stage, and a text changed', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design?moment=passing-by');
  await momentCard(page, 'Passing by').focus();
  await page.keyboard.press('ArrowRight');
  await expect(momentCard(page, 'Invited')).toBeFocused();
  await page.keyboard.press('ArrowRight');
  await expect(momentCard(page, 'At the door')).toBeFocused();
  await page.keyboard.press('ArrowDown');
  await expect(momentCard(page, 'Nobody home')).toBeFocused();
  await page.keyboard.press('ArrowRight');
  await expect(momentCard(page, 'Slow reply')).toBeFocused();
  await page.keyboard.press('ArrowRight');
  await expect(momentCard(page, 'Note left')).toBeFocused();
  await page.keyboard.press('ArrowUp');
  await expect(momentCard(page, 'Talking')).toBeFocused();
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('ArrowLeft');
  await expect(momentCard(page, 'At the door')).toHaveAttribute('aria-current', 'true');
  await page.keyboard.press('Enter');
  await expect(designScreen.titleText(stage(page))).toBeFocused();
  await page.keyboard.press('b');
  await expect(designScreen.allReasons(page)).toBeVisible();
});

test('for a screen reader the path is one ordered list in visit order, with its ways as leads to', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design');
  const momentCards = pathScreen.path(page).getByRole('list').first().getByRole('button');
  await expect(momentCards).toHaveCount(9);
  const names = await momentCards.evaluateAll((all) =>
    all.map((one) => one.getAttribute('aria-label') ?? ''),
  );
  expect(names.map((name) => name.split('.')[0])).toEqual([
    'Passing by',
    'Invited',
    'At the door',
    'Waiting',
    'Talking',
    'Goodbye',
    'Nobody home',
    'Slow reply',
    'Note left',
  ]);
  expect(names[0]).toContain('leads to Invited: 4 invitations, first: ');
  expect(names[0]).toContain('leads to At the door: opens the window');
  expect(names[3]).toContain('leads to Talking: Night desk answers');
  expect(names[3]).toContain('leads to Slow reply: no answer after 90 s');
});

test('publishing what somebody else changed meanwhile is refused until it was looked at', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design');
  await designScreen.lookTab(page).click();
  await lookScreen.violetSwatch(page).click();
  await isSaved(page);
  await publishingScreen.publishChanges(page).click();
  const other = await enterAs(browser, testServer, 'design');
  await designScreen.lookTab(other).click();
  await lookScreen.inkSwatch(other).click();
  await isSaved(other);
  await publishingScreen.publish(page.getByRole('dialog')).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Nothing was published' })).toBeVisible();
  await publish(other);
});
