import { readFileSync } from 'node:fs';
import type { Locator, Page } from '@playwright/test';
import { beIn, enterAs, expect, expectNoAxe, expectNoSidewaysScroll, test, useHouse, visit } from './house';

const house = useHouse();
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

const version = (page: Page, number: number): Locator =>
  page.getByRole('listitem', { name: new RegExp(`^Version ${number}\\b`) });

async function paint(page: Page, brand: string): Promise<void> {
  await page.getByRole('tab', { name: 'Everywhere' }).click();
  await page.getByRole('textbox', { name: 'Brand colour' }).fill(brand);
  await expect(page.getByRole('status').filter({ hasText: /^saved$/ })).toBeVisible();
}

async function publish(page: Page, remark: string): Promise<void> {
  await page.getByRole('button', { name: /^Publish \d+ change/ }).click();
  await page.getByLabel('A remark for later').fill(remark);
  await page.getByRole('dialog').getByRole('button', { name: 'Publish', exact: true }).click();
  await expect(page.getByText(/^Version \d+ is live\./)).toBeVisible();
}

test('the versions of the demo: who, when, with which remark and for how long; any two compared in words', async ({
  browser,
}) => {
  const page = await enterAs(browser, house, 'versions');
  await expect(version(page, 4)).toContainText('live now');
  await expect(version(page, 3)).toContainText('Two dark nights for the Leonids');
  await expect(version(page, 3)).toContainText(/Inês Matos\. For the time from \w+,? \d+ Nov/);
  await version(page, 3).getByRole('button', { name: 'Compare' }).click();
  const changes = version(page, 3).getByRole('group', { name: 'Changes' });
  await expect(changes).toHaveText('EverywhereBrand colour: #7a2e5d → #1d2440');
  await version(page, 3).getByLabel('Version 3 against').click();
  await page.getByRole('option', { name: 'version 4' }).click();
  await expect(changes).toContainText('Gone: widget “School visits”');
  await expectNoAxe(page, 'versions, compared');
  await page.setViewportSize({ width: 390, height: 844 });
  await expectNoSidewaysScroll(page);
});

test('a version is looked at on the stage, where nothing can be changed, and the draft is as it was', async ({
  browser,
}) => {
  const page = await enterAs(browser, house, 'versions');
  await version(page, 3).getByRole('link', { name: 'Look at it' }).click();
  const stage = page.getByRole('region', { name: 'Stage' });
  await expect(page.getByRole('status').filter({ hasText: 'Version 3, to look at' })).toBeVisible();
  await page
    .getByRole('navigation', { name: 'Path' })
    .getByRole('button', { name: /^At the door/ })
    .click();
  await expect(stage.locator('sunny-porch .head')).toHaveCSS('background-color', 'rgb(29, 36, 64)');
  await page.getByRole('tab', { name: 'Everywhere' }).click();
  await page.getByRole('textbox', { name: 'Brand colour' }).fill('#2f6f8f');
  await expect(page.getByText(/^This is version 3, as it was published\./).first()).toBeVisible();
  await expect(stage.locator('sunny-porch .head')).toHaveCSS('background-color', 'rgb(29, 36, 64)');
  await page.getByRole('link', { name: 'Back to the draft' }).click();
  await expect(page.getByRole('button', { name: 'Nothing to publish' })).toBeVisible();
});

test('task 12: last week’s version is brought back in three clicks; visitors get it, the draft follows, undo gives back what was there', async ({
  browser,
}) => {
  const page = await enterAs(browser, house, 'design');
  await paint(page, '#2f6f8f');
  await publish(page, 'bluer');
  const visitor = await visit(browser, `${house.site}/tonight`);
  await expect(visitor.launcher).toHaveCSS('background-color', 'rgb(47, 111, 143)');

  await page.goto(`${house.app}/s/${house.siteKey}/today`);
  await page.getByRole('link', { name: 'Versions' }).click(); // 1
  await version(page, 4).getByRole('button', { name: 'Bring back' }).click(); // 2
  const dialog = page.getByRole('dialog', { name: 'Bring back version 4' });
  await expect(dialog).toContainText('“Everywhere”: Brand colour: #2f6f8f → #7a2e5d');
  await expectNoAxe(page, 'bringing back');
  await dialog.getByRole('button', { name: 'Publish as version 6' }).click(); // 3
  await expect(version(page, 6)).toContainText('version 4 brought back');

  await visitor.page.reload();
  await expect(visitor.launcher).toHaveCSS('background-color', 'rgb(122, 46, 93)');
  await page.goto(`${house.app}/s/${house.siteKey}/design`);
  await expect(page.getByRole('button', { name: 'Nothing to publish' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo: Version 4 brought back' }).click();
  await expect(page.getByRole('button', { name: 'Publish 1 change' })).toBeEnabled();
  await page.getByRole('button', { name: /^Redo/ }).click();
  await expect(page.getByRole('button', { name: 'Nothing to publish' })).toBeVisible();
});

test('task 9: a look for a few nights, set in six clicks, begins and ends by itself; another that would overlap is refused with the reason', async ({
  browser,
}) => {
  const now = Date.now();
  const page = await enterAs(browser, house, 'today');
  await page.getByRole('navigation', { name: 'Screens' }).getByRole('link', { name: 'Design' }).click(); // 1
  await page.getByRole('tab', { name: 'Everywhere' }).click(); // 2
  await page.getByRole('textbox', { name: 'Brand colour' }).fill('#1f5b4a');
  await page.getByRole('button', { name: 'Publish 1 change' }).click(); // 3
  await page.getByRole('radio', { name: 'for a time, then back by itself' }).click(); // 4
  await page.getByRole('textbox', { name: 'From' }).fill(wall(now + DAY_MS));
  await page.getByRole('textbox', { name: 'Until' }).fill(wall(now + 3 * DAY_MS));
  await expectNoAxe(page, 'publishing for a time');
  await page.getByRole('button', { name: 'Set it' }).click(); // 5
  await expect(page.getByText(/^Version \d+ is set for/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Nothing to publish' })).toBeVisible();

  await page.getByRole('textbox', { name: 'Brand colour' }).fill('#111111');
  await page.getByRole('button', { name: 'Publish 1 change' }).click();
  await page.getByRole('radio', { name: 'for a time, then back by itself' }).click();
  await page.getByRole('textbox', { name: 'From' }).fill(wall(now + 2 * DAY_MS));
  await page.getByRole('textbox', { name: 'Until' }).fill(wall(now + 4 * DAY_MS));
  await page.getByRole('button', { name: 'Set it' }).click();
  await expect(page.getByRole('dialog')).toContainText(
    /Version \d+ is set for .+ Two periods cannot overlap/,
  );
  await page.getByRole('button', { name: 'Not yet' }).click();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByRole('button', { name: 'Nothing to publish' })).toBeVisible();

  const seen = async (): Promise<string> => {
    const visitor = await visit(browser, `${house.site}/tonight`);
    await expect(visitor.launcher).toBeVisible();
    return visitor.launcher.evaluate((one) => getComputedStyle(one).backgroundColor);
  };
  expect(await seen()).toBe('rgb(122, 46, 93)');
  await house.moveTo(now + DAY_MS + 60_000);
  expect(await seen()).toBe('rgb(31, 91, 74)');
  const later = await enterAs(browser, house, 'versions');
  await expect(later.getByRole('region', { name: 'Set for later' })).toContainText(
    /^Set for later\s*Version \d+ until /,
  );
  // [L6] Publishing meanwhile changes what comes after, and says so.
  await later.goto(`${house.app}/s/${house.siteKey}/design`);
  await paint(later, '#2f6f8f');
  await later.getByRole('button', { name: 'Publish 1 change' }).click();
  await expect(later.getByRole('note')).toContainText(
    /^Version \d+ is set until .+ Visitors go on seeing it until then; this comes after it\.$/,
  );
  await later.getByRole('button', { name: 'Not yet' }).click();
  await later.getByRole('button', { name: /^Undo/ }).click();
  await expect(later.getByRole('button', { name: 'Nothing to publish' })).toBeVisible();
  await house.moveTo(now + 3 * DAY_MS + 60_000);
  expect(await seen()).toBe('rgb(122, 46, 93)');
  await house.moveTo(now);
  const again = await enterAs(browser, house, 'versions');
  await again.getByRole('button', { name: 'Take it back' }).click();
  await expect(again.getByRole('region', { name: 'Set for later' })).toHaveCount(0);
});

test('[M8] one switch pauses the whole widget: no page shows it, who talks goes on, and it comes back', async ({
  browser,
}) => {
  const page = await enterAs(browser, house, 'versions');
  await beIn(page, true);
  const talking = await visit(browser, `${house.site}/tonight`);
  await talking.launcher.click();
  await talking.say('Is the dome open?');
  await page.getByRole('switch', { name: 'Pause the whole widget' }).click();
  await expect(page.getByText(/^The widget is paused\. Visitors see this from now/)).toBeVisible();
  await expect(page.getByRole('link', { name: 'Paused' })).toBeVisible();
  await expectNoAxe(page, 'paused');
  const other = await visit(browser, `${house.site}/tonight`);
  await other.page.waitForResponse(/live\.json/);
  await expect(other.launcher).toHaveCount(0);
  await talking.say('And may I bring a friend?');
  await page.getByRole('switch', { name: 'Pause the whole widget' }).click();
  await expect(page.getByRole('link', { name: 'Paused' })).toHaveCount(0);
  await other.page.reload();
  await expect(other.launcher).toBeVisible();
  await beIn(page, false);
});

test('the design goes out as a file, is changed there, and comes in: shown in words first, then in the draft; one that does not fit is told line by line', async ({
  browser,
}) => {
  const page = await enterAs(browser, house, 'versions');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the draft as a file' }).click(),
  ]);
  const text = readFileSync(await download.path(), 'utf8');
  const give = (name: string, body: string) =>
    page
      .getByLabel('A design as a file', { exact: true })
      .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(body) });

  const lineOf = (part: string): number => text.slice(0, text.indexOf(part)).split('\n').length;
  await give('plum.json', text.replace('"brand": "#7a2e5d"', '"brand": "plum"'));
  const refused = page.getByRole('dialog', { name: 'plum.json does not fit' });
  await expect(refused).toContainText(`Line ${lineOf('"brand"')}, sign`);
  await expect(refused).toContainText('(widgets.0.look.brand): Type the colour as # and six digits.');
  await expectNoAxe(page, 'a file that does not fit');
  await refused.getByRole('button', { name: 'Close' }).click();
  await give('cut.json', text.slice(0, 400));
  await expect(page.getByRole('dialog', { name: 'cut.json does not fit' })).toContainText(
    'A closing brace } is missing.',
  );
  await page.keyboard.press('Escape');

  await give('lagoon.json', text.replace('"brand": "#7a2e5d"', '"brand": "#1f6f6b"'));
  const dialog = page.getByRole('dialog', { name: 'Take in lagoon.json' });
  await expect(dialog).toContainText('“Everywhere”: Brand colour: #7a2e5d → #1f6f6b');
  await dialog.getByRole('button', { name: 'Put it in the draft' }).click();
  await expect(dialog).toHaveCount(0);
  await page.goto(`${house.app}/s/${house.siteKey}/design`);
  await expect(page.getByRole('button', { name: 'Publish 1 change' })).toBeEnabled();
  await page.getByRole('button', { name: 'Undo: a design from a file' }).click();
  await expect(page.getByRole('button', { name: 'Nothing to publish' })).toBeVisible();
});

test('[threat 18] the draft on the real site, for one tab alone: a band says so, nobody else sees it, no address holds the secret, and it can be ended', async ({
  browser,
}) => {
  const page = await enterAs(browser, house, 'design');
  await paint(page, '#6b3fa0');
  await page.getByRole('button', { name: 'Publish 1 change' }).click();
  await page.getByRole('button', { name: 'Look at it on your site first' }).click();
  const link =
    (await page.getByRole('link', { name: 'Open your site with the draft' }).getAttribute('href')) ?? '';
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
  expect(own.url()).toBe(`${house.site}/`);
  await expectNoAxe(own, 'the band of a private view');
  await own.goto(`${house.site}/tonight`);
  await expect(launcher).toHaveCSS('background-color', 'rgb(107, 63, 160)');
  expect(secret.length).toBe(43);
  expect(sent.filter((one) => one.includes(secret))).toEqual([]);
  expect(house.printed).not.toContain(secret);
  const other = await visit(browser, `${house.site}/tonight`);
  await expect(other.launcher).toHaveCSS('background-color', 'rgb(122, 46, 93)');
  await expect(other.page.locator('sunny-porch-draft')).toHaveCount(0);

  await page.getByRole('button', { name: 'End it' }).click();
  await expect(page.getByText('The link is over: nobody sees the draft by it any more.')).toBeVisible();
  await own.reload();
  await expect(band.getByRole('status')).toHaveText('The private view is over. You see what everybody sees.');
  await expect(launcher).toHaveCSS('background-color', 'rgb(122, 46, 93)');
  await page.getByRole('button', { name: 'Not yet' }).click();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByRole('status').filter({ hasText: /^saved$/ })).toBeVisible();
});
