import { readFileSync } from 'node:fs';
import type { Locator, Page } from '@playwright/test';
import {
  beIn,
  enterAs,
  expect,
  expectNoAxe,
  expectNoSidewaysScroll,
  test,
  useTestServer,
  visit,
} from './test-server';
import { designScreen } from './screens/design';
import { frameScreen } from './screens/frame';
import { lookScreen } from './screens/look';
import { partsScreen } from './screens/parts';
import { pathScreen } from './screens/path';
import { publishingScreen } from './screens/publishing';
import { versionsScreen } from './screens/versions';

const testServer = useTestServer();
const DAY_MS = 86_400_000;

/** What the observatory's clock reads at an instant, as a date field takes it. */
function wall(instant: number): string {
  const parts = new Intl.DateTimeFormat('sv-SE', {
    timeZone: 'Atlantic/Azores',
    dateStyle: 'short',
    timeStyle: 'short',
  }).format(instant);
  return parts.replace(' ', 'T');
}

const version = (page: Page, number: number): Locator => versionsScreen.version(number)(page);

async function paint(page: Page, brand: string): Promise<void> {
  await designScreen.lookTab(page).click();
  await lookScreen.brandColour(page).fill(brand);
  await expect(page.getByRole('status').filter({ hasText: /^saved$/i })).toBeVisible();
}

async function publish(page: Page, remark: string): Promise<void> {
  await publishingScreen.publishChanges(page).click();
  await versionsScreen.remark(page).fill(remark);
  await publishingScreen.publish(page.getByRole('dialog')).click();
  await expect(publishingScreen.isLive(page)).toBeVisible();
}

test('the versions of the demo: who, when, with which remark and for how long; any two compared in words', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'versions');
  await expect(version(page, 4)).toContainText('live now');
  await expect(version(page, 3)).toContainText('Two dark nights for the Leonids');
  await expect(version(page, 3)).toContainText(/Inês Matos\. For the time from \w+,? \d+ Nov/);
  await versionsScreen.compare(version(page, 3)).click();
  const changes = versionsScreen.changes(version(page, 3));
  await expect(changes).toHaveText('Look & placeBrand colour: #7a2e5d → #1d2440');
  await versionsScreen.compareThird(version(page, 3)).click();
  await versionsScreen.fourthOption(page).click();
  await expect(changes).toContainText('Removed: widget “School visits”');
  await expectNoAxe(page, 'versions, compared');
  await page.setViewportSize({ width: 390, height: 844 });
  await expectNoSidewaysScroll(page);
});

test('a version is looked at on the stage, where nothing can be changed, and the draft is as it was', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'versions');
  await versionsScreen.lookAt(version(page, 3)).click();
  const stage = designScreen.stage(page);
  await expect(page.getByRole('status').filter({ hasText: 'Version 3, to look at' })).toBeVisible();
  await pathScreen.atTheDoor(pathScreen.path(page)).click();
  await expect(stage.locator('sunny-porch .head')).toHaveCSS('background-color', 'rgb(29, 36, 64)');
  await designScreen.lookTab(page).click();
  await lookScreen.brandColour(page).fill('#2f6f8f');
  await expect(versionsScreen.lookingAtThird(page).first()).toBeVisible();
  await expect(stage.locator('sunny-porch .head')).toHaveCSS('background-color', 'rgb(29, 36, 64)');
  await versionsScreen.backToDraft(page).click();
  await expect(publishingScreen.nothing(page)).toBeVisible();
});

test('task 12: last week’s version is brought back in three clicks; visitors get it, the draft follows, undo gives back what was there', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design');
  await paint(page, '#2f6f8f');
  await publish(page, 'bluer');
  const visitor = await visit(browser, `${testServer.site}/tonight`);
  await expect(visitor.launcher).toHaveCSS('background-color', 'rgb(47, 111, 143)');

  await page.goto(`${testServer.app}/s/${testServer.siteKey}/today`);
  await versionsScreen.link(page).click(); // 1
  await versionsScreen.bringBack(version(page, 4)).click(); // 2
  const dialog = versionsScreen.bringBackFourth(page);
  await expect(dialog).toContainText('“Main”: Brand colour: #2f6f8f → #7a2e5d');
  await expectNoAxe(page, 'bringing back');
  await versionsScreen.publishAsSixth(dialog).click(); // 3
  await expect(version(page, 6)).toContainText('version 4 brought back');

  await visitor.page.reload();
  await expect(visitor.launcher).toHaveCSS('background-color', 'rgb(122, 46, 93)');
  await page.goto(`${testServer.app}/s/${testServer.siteKey}/design`);
  await expect(publishingScreen.nothing(page)).toBeVisible();
  await versionsScreen.undoBringBack(page).click();
  await expect(publishingScreen.publishCount(1)(page)).toBeEnabled();
  await designScreen.redo(page).click();
  await expect(publishingScreen.nothing(page)).toBeVisible();
});

test('task 9: a look for a few nights, set in six clicks, begins and ends by itself; another that would overlap is refused with the reason', async ({
  browser,
}) => {
  const now = Date.now();
  const page = await enterAs(browser, testServer, 'today');
  await frameScreen.designLink(frameScreen.screens(page)).click(); // 1
  await designScreen.lookTab(page).click(); // 2
  await lookScreen.brandColour(page).fill('#1f5b4a');
  await publishingScreen.publishCount(1)(page).click(); // 3
  await publishingScreen.temporarily(page).click(); // 4
  await publishingScreen.from(page).fill(wall(now + DAY_MS));
  await publishingScreen.until(page).fill(wall(now + 3 * DAY_MS));
  await expectNoAxe(page, 'publishing for a time');
  await publishingScreen.schedule(page).click(); // 5
  await expect(publishingScreen.isScheduled(page)).toBeVisible();
  // The draft keeps the change: it is undone there only where that is asked for.
  await expect(publishingScreen.publishCount(1)(page)).toBeVisible();

  await lookScreen.brandColour(page).fill('#111111');
  await publishingScreen.publishCount(1)(page).click();
  await publishingScreen.temporarily(page).click();
  await publishingScreen.from(page).fill(wall(now + 2 * DAY_MS));
  await publishingScreen.until(page).fill(wall(now + 4 * DAY_MS));
  await publishingScreen.schedule(page).click();
  await expect(page.getByRole('dialog')).toContainText(
    /Version \d+ is set for .+ Two periods cannot overlap/,
  );
  await partsScreen.cancel(page).click();
  await designScreen.undo(page).click();
  await designScreen.undo(page).click();
  await expect(publishingScreen.nothing(page)).toBeVisible();

  const seen = async (): Promise<string> => {
    const visitor = await visit(browser, `${testServer.site}/tonight`);
    await expect(visitor.launcher).toBeVisible();
    return visitor.launcher.evaluate((one) => getComputedStyle(one).backgroundColor);
  };
  expect(await seen()).toBe('rgb(122, 46, 93)');
  await testServer.moveTo(now + DAY_MS + 60_000);
  expect(await seen()).toBe('rgb(31, 91, 74)');
  const later = await enterAs(browser, testServer, 'versions');
  await expect(versionsScreen.scheduled(later)).toContainText(/^Scheduled\s*Version \d+ until /);
  // [L6] Publishing meanwhile changes what comes after, and says so.
  await later.goto(`${testServer.app}/s/${testServer.siteKey}/design`);
  await paint(later, '#2f6f8f');
  await publishingScreen.publishCount(1)(later).click();
  await expect(later.getByRole('note')).toContainText(
    /^Version \d+ is set until .+ Visitors go on seeing it until then; this comes after it\.$/,
  );
  await partsScreen.cancel(later).click();
  await designScreen.undo(later).click();
  await expect(publishingScreen.nothing(later)).toBeVisible();
  await testServer.moveTo(now + 3 * DAY_MS + 60_000);
  expect(await seen()).toBe('rgb(122, 46, 93)');
  await testServer.moveTo(now);
  const again = await enterAs(browser, testServer, 'versions');
  await versionsScreen.cancelScheduled(again).click();
  await expect(versionsScreen.scheduled(again)).toHaveCount(0);
});

test('[M8] one switch pauses the whole widget: no page shows it, who talks goes on, and it comes back', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'versions');
  await beIn(page, true);
  const talking = await visit(browser, `${testServer.site}/tonight`);
  await talking.launcher.click();
  await talking.say('Is the dome open?');
  await versionsScreen.pause(page).click();
  await expect(versionsScreen.isPaused(page)).toBeVisible();
  await expect(frameScreen.pausedLink(page)).toBeVisible();
  await expectNoAxe(page, 'paused');
  const other = await visit(browser, `${testServer.site}/tonight`);
  await other.page.waitForResponse(/live\.json/);
  await expect(other.launcher).toHaveCount(0);
  await talking.say('And may I bring a friend?');
  await versionsScreen.pause(page).click();
  await expect(frameScreen.pausedLink(page)).toHaveCount(0);
  await other.page.reload();
  await expect(other.launcher).toBeVisible();
  await beIn(page, false);
});

test('the design goes out as a file, is changed there, and comes in: shown in words first, then in the draft; one that does not fit is told line by line', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'versions');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    versionsScreen.exportDraft(page).click(),
  ]);
  const text = readFileSync(await download.path(), 'utf8');
  const give = (name: string, body: string) =>
    versionsScreen
      .fileField(page)
      .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(body) });

  const lineOf = (part: string): number => text.slice(0, text.indexOf(part)).split('\n').length;
  await give('plum.json', text.replace('"brand": "#7a2e5d"', '"brand": "plum"'));
  const refused = versionsScreen.plumFault(page);
  await expect(refused).toContainText(`Line ${lineOf('"brand"')}, character`);
  await expect(refused).toContainText('(widgets.0.look.brand): Type the colour as # and six digits.');
  await expectNoAxe(page, 'a file that does not fit');
  await partsScreen.close(refused).click();
  await give('cut.json', text.slice(0, 400));
  await expect(versionsScreen.cutFault(page)).toContainText('A closing brace } is missing.');
  await page.keyboard.press('Escape');

  await give('lagoon.json', text.replace('"brand": "#7a2e5d"', '"brand": "#1f6f6b"'));
  const dialog = versionsScreen.importLagoon(page);
  await expect(dialog).toContainText('“Main”: Brand colour: #7a2e5d → #1f6f6b');
  await versionsScreen.useFile(dialog).click();
  await expect(dialog).toHaveCount(0);
  await page.goto(`${testServer.app}/s/${testServer.siteKey}/design`);
  await expect(publishingScreen.publishCount(1)(page)).toBeEnabled();
  await versionsScreen.undoFile(page).click();
  await expect(publishingScreen.nothing(page)).toBeVisible();
});

test('[threat 18] the draft on the real site, for one tab alone: a band says so, nobody else sees it, no address holds the secret, and it can be ended', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design');
  await paint(page, '#6b3fa0');
  await publishingScreen.publishCount(1)(page).click();
  await versionsScreen.privateLink(page).click();
  const link = (await versionsScreen.openPrivateLink(page).getAttribute('href')) ?? '';
  const secret = link.split('#sunny-porch-draft=')[1] ?? 'none';
  await expectNoAxe(page, 'a private link');

  const own = await (await browser.newContext()).newPage();
  const sent: string[] = [];
  own.on('request', (request) => sent.push(`${request.url()} ${request.headers()['referer'] ?? ''}`));
  await own.goto(link);
  const launcher = own.locator('sunny-porch .launcher');
  await expect(launcher).toHaveCSS('background-color', 'rgb(107, 63, 160)');
  const band = own.locator('sunny-porch-draft');
  await expect(band.getByRole('status')).toHaveText(
    'Only you see this: the draft of Farrow Isle Observatory.',
  );
  expect(own.url()).toBe(`${testServer.site}/`);
  await expectNoAxe(own, 'the band of a private view');
  await own.goto(`${testServer.site}/tonight`);
  await expect(launcher).toHaveCSS('background-color', 'rgb(107, 63, 160)');
  expect(secret.length).toBe(43);
  expect(sent.filter((one) => one.includes(secret))).toEqual([]);
  expect(testServer.printed).not.toContain(secret);
  const other = await visit(browser, `${testServer.site}/tonight`);
  await expect(other.launcher).toHaveCSS('background-color', 'rgb(122, 46, 93)');
  await expect(other.page.locator('sunny-porch-draft')).toHaveCount(0);

  await versionsScreen.endPrivateLink(page).click();
  await expect(versionsScreen.privateLinkEnded(page)).toBeVisible();
  await own.reload();
  await expect(band.getByRole('status')).toHaveText('The private view is over. You see what everybody sees.');
  await expect(launcher).toHaveCSS('background-color', 'rgb(122, 46, 93)');
  await partsScreen.cancel(page).click();
  await designScreen.undo(page).click();
  await expect(page.getByRole('status').filter({ hasText: /^saved$/i })).toBeVisible();
});
