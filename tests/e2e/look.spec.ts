import { contrast } from '../../src/core/look/contrast';
import type { HexColor } from '../../src/core/model/units';
import { circumstancesScreen } from './screens/circumstances';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Locator, Page } from '@playwright/test';
import sharp from 'sharp';
import { EVASIONS } from '../made/css-evasions';
import {
  beStill,
  enterAs,
  expect,
  expectNoAxe,
  expectNoSidewaysScroll,
  test,
  useTestServer,
  visit,
} from './test-server';
import { designScreen } from './screens/design';
import { lookScreen } from './screens/look';
import { partsScreen } from './screens/parts';
import { pathScreen } from './screens/path';
import { publishingScreen } from './screens/publishing';
import { stageScreen } from './screens/stage';
import { todayScreen } from './screens/today';

const testServer = useTestServer();

async function lookPanel(browser: Parameters<typeof enterAs>[0], moment = 'Talking'): Promise<Page> {
  const page = await enterAs(browser, testServer, 'design?side=look');
  await pathScreen.moment(moment)(pathScreen.path(page)).click();
  await designScreen.lookTab(page).click();
  return page;
}
const part = (page: Page, name: string): Locator => lookScreen.part(name)(page);
const unfold = (page: Page, name: string): Promise<void> =>
  part(page, name).getByRole('button', { expanded: false }).first().click();
const tile = (page: Page, selector: string): Locator =>
  designScreen.stage(page).locator(`sunny-porch ${selector}`);
const saved = (page: Page): Promise<void> =>
  expect(page.getByRole('status').filter({ hasText: /^saved$/i })).toBeVisible();

/** Nothing for axe, once it is saved and buttons have taken their colours. */
async function expectCalmAxe(page: Page, what: string): Promise<void> {
  await saved(page);
  await beStill(page);
  await expectNoAxe(page, what);
}

async function publish(page: Page): Promise<void> {
  await saved(page);
  await publishingScreen.publishChanges(page).click();
  await publishingScreen.publish(page.getByRole('dialog')).click();
  await expect(publishingScreen.isLive(page).last()).toBeVisible();
  await expect(publishingScreen.nothing(page)).toBeVisible();
}

/** The next story begins with the draft as it was. */
async function expectAsBefore(page: Page): Promise<void> {
  await saved(page);
  await expect(publishingScreen.nothing(page)).toBeVisible();
}

/** A picture dropped on a part of the panel, as from the desktop. */
async function drop(page: Page, label: string, bytes: Buffer, name: string): Promise<void> {
  const data = await page.evaluateHandle(
    ({ base64, name: called }) => {
      const raw = Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0));
      const transfer = new DataTransfer();
      transfer.items.add(new File([raw], called, { type: 'image/png' }));
      return transfer;
    },
    { base64: bytes.toString('base64'), name },
  );
  await lookScreen.pictureField(label)(page).dispatchEvent('drop', { dataTransfer: data });
}

/** The colour of words, as hex. */
async function inkOf(words: Locator): Promise<HexColor> {
  const rgb = await words.evaluate((one) => getComputedStyle(one).color);
  const [red = 0, green = 0, blue = 0] = (rgb.match(/\d+/g) ?? []).map(Number);
  return hexOf(red, green, blue);
}

/** The least contrast of a colour with any pixel of the strip above the words of a head, as it is on the screen. */
async function worstContrast(head: Locator, ink: HexColor): Promise<number> {
  const { data, info } = await sharp(await head.screenshot())
    .removeAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const rows = Array.from({ length: 8 }, (_, row) => row + 4);
  const columns = Array.from({ length: Math.floor(info.width * 0.6) - 8 }, (_, column) => column + 4);
  const ratios = rows.flatMap((row) =>
    columns.map((column) => {
      const at = (row * info.width + column) * info.channels;
      return contrast(ink, hexOf(data[at] ?? 0, data[at + 1] ?? 0, data[at + 2] ?? 0));
    }),
  );
  return Math.min(...ratios);
}

function hexOf(...channels: number[]): HexColor {
  return `#${channels.map((one) => one.toString(16).padStart(2, '0')).join('')}`;
}

const two = (left: string, right: string): Promise<Buffer> =>
  sharp({ create: { width: 400, height: 100, channels: 4, background: '#00000000' } })
    .composite([
      { input: { create: { width: 200, height: 80, channels: 3, background: left } }, left: 10, top: 10 },
      { input: { create: { width: 90, height: 80, channels: 3, background: right } }, left: 250, top: 10 },
    ])
    .png()
    .toBuffer();

test('a starting look says how much it changes, is taken as a whole, and is one step back', async ({
  browser,
}) => {
  const page = await lookPanel(browser);
  await unfold(page, 'Starting look');
  await lookScreen.frontDoorLook(page).focus();
  for (let count = 0; count < 3; count++) await page.keyboard.press('ArrowRight');
  await expect(lookScreen.letterboxLook(page)).toBeFocused();
  await expect(part(page, 'Starting look')).toContainText(
    /Changes \d+ of 42 look settings. Your texts, hours, rules/,
  );
  const before = await tile(page, '.card.person').innerText();
  await lookScreen.useLook(page).click();
  await expect(tile(page, '.head')).toHaveCSS('border-bottom-style', 'double');
  await expect(tile(page, '.card.person .time')).toBeVisible();
  expect(await tile(page, '.card.person bdi').innerText()).toBe(before.split('\n').at(-1));
  await expect(part(page, 'Starting look')).toContainText('Current look.');
  await expectCalmAxe(page, 'starting looks');
  await saved(page);
  await designScreen.undo(page).click();
  await expect(tile(page, '.head')).toHaveCSS('border-bottom-style', 'none');
  await expect(publishingScreen.nothing(page)).toBeVisible();
});

test('a colour is taken as people paste it; what cannot be read is said, and changes nothing', async ({
  browser,
}) => {
  const page = await lookPanel(browser);
  const field = lookScreen.brandColour(page);
  for (const [pasted, shown] of [
    ['rgb( 47 , 111 , 143 )', 'rgb(47, 111, 143)'],
    ['hsl(20 66% 43%)', 'rgb(182, 86, 37)'],
    ['#abc', 'rgb(170, 187, 204)'],
    ['teal', 'rgb(0, 128, 128)'],
  ] as const) {
    await field.fill(pasted);
    await expect(tile(page, '.head')).toHaveCSS('background-color', shown);
  }
  await field.fill('#12345');
  await expect(lookScreen.hexFault(page)).toBeVisible();
  await field.fill('tael');
  await expect(lookScreen.didYouMeanTeal(page)).toBeVisible();
  await expect(tile(page, '.head')).toHaveCSS('background-color', 'rgb(0, 128, 128)');
  await field.fill('#7a2e5d');
  await expectAsBefore(page);
});

test('a pair that is hard to read is found, shown where it stands, and mended in one click', async ({
  browser,
}) => {
  const page = await lookPanel(browser);
  await unfold(page, 'Colours');
  const colours = part(page, 'Colours');
  await expect(colours).toContainText('All 22 colour pairs are readable, light and dark');
  await lookScreen.pairPicker(colours).click();
  await lookScreen.smallTextOption(page).click();
  await lookScreen.smallTextField(colours).fill('#c0c0c0');
  await expect(colours).toContainText('2 to fix');
  const row = colours.getByRole('listitem').filter({ hasText: 'Small text, in the window' });
  await expect(row).toContainText(/1\.[78]:1, too little; it needs 4\.5:1/);
  await expectCalmAxe(page, 'colours, one to mend');
  await lookScreen.takeSmallTextColour(row).click();
  await expect(colours).toContainText('All 22 colour pairs are readable');
  await expect(tile(page, '.line')).toHaveCSS('color', /rgb\((\d+), \1, \1\)/);
  await lookScreen.backToDerived(colours).click();
  await expectAsBefore(page);
  await lookScreen.sightPicker(colours).click();
  await lookScreen.withoutRed(page).click();
  await expect(page.locator('#sight-red')).toHaveCount(1);
  await saved(page);
});

test('a logo dropped: drawn on the server, in the header, and its colours proposed', async ({ browser }) => {
  const page = await lookPanel(browser);
  await unfold(page, 'Logo and header');
  await drop(page, 'Logo', await two('#2f6f8f', '#e79a1b'), 'logo.png');
  await expect(tile(page, '.head .logo')).toHaveJSProperty('complete', true);
  expect(
    await tile(page, '.head .logo').evaluate((img: HTMLImageElement) => img.naturalWidth),
  ).toBeGreaterThan(0);
  const proposed = lookScreen.fromLogo(page);
  await expect(proposed.getByRole('button')).toHaveCount(2);
  const [first] = await proposed.getByRole('button').all();
  await first?.click();
  await expect(lookScreen.brandColour(page)).toHaveValue('#2f6f8f');
  await expectCalmAxe(page, 'logo and header');
  await drop(
    page,
    'Logo',
    Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><image href="http://127.0.0.1:1/x"/></svg>'),
    'evil.svg',
  );
  await expect(page.getByRole('alert').filter({ hasText: 'has a picture inside' })).toBeVisible();
  await expect(tile(page, '.head .logo')).toBeVisible();
  await lookScreen.brandColour(page).fill('#7a2e5d');
  await partsScreen.remove(page).click();
  await expectAsBefore(page);
});

test('what a logo proposes comes later, and moves nothing under the hand', async ({ browser }) => {
  const page = await lookPanel(browser);
  await unfold(page, 'Logo and header');
  await drop(page, 'Logo', await two('#2f6f8f', '#e79a1b'), 'logo.png');
  await expect(lookScreen.fromLogo(page).getByRole('button')).toHaveCount(2);
  await saved(page);
  let answer = (): void => undefined;
  const held = new Promise<void>((resolve) => (answer = resolve));
  await page.route('**/*.webp', async (route) => {
    await held;
    await route.continue();
  });
  await page.goto(`${testServer.app}/s/${testServer.siteKey}/design?side=look`, { waitUntil: 'commit' });
  const launcher = part(page, 'Launcher').getByRole('button').first();
  await expect(lookScreen.fromLogo(page)).toHaveAttribute('aria-busy', 'true');
  await expect(page.locator('sunny-porch').first()).toBeAttached();
  const before = await launcher.boundingBox();
  await launcher.hover();
  await page.mouse.down();
  answer();
  await expect(lookScreen.fromLogo(page).getByRole('button')).not.toHaveCount(0);
  await page.mouse.up();
  await expect(lookScreen.hiddenOnPhones(part(page, 'Launcher'))).toBeVisible();
  const after = await launcher.boundingBox();
  expect(Math.abs((after?.y ?? 0) - (before?.y ?? 0)), 'how far it has moved').toBeLessThan(4);
  await unfold(page, 'Logo and header');
  await partsScreen.remove(page).click();
  await expectAsBefore(page);
});

test('words over a picture can be read on every spot of it', async ({ browser }) => {
  const page = await lookPanel(browser);
  await unfold(page, 'Logo and header');
  await lookScreen.header(part(page, 'Logo and header')).click();
  await lookScreen.headerPicture(page).click();
  await drop(page, 'Header picture', await two('#ffffff', '#102030'), 'header.png');
  await expect(tile(page, '.head .head-picture')).toHaveJSProperty('complete', true);
  const shade = await tile(page, '.head').evaluate(
    (head) => getComputedStyle(head, '::before').backgroundImage,
  );
  expect(shade).toMatch(/rgba?\(122, 46, 93, 0\.\d+\)/);
  // Not the panel's claim: the pixels that are seen above the words, against the words' own colour.
  await expect
    .poll(async () => worstContrast(tile(page, '.head'), await inkOf(tile(page, '.head .title'))))
    .toBeGreaterThanOrEqual(4.5);
  await expect(part(page, 'Colours')).toContainText('All 22 colour pairs are readable');
  await expectCalmAxe(page, 'words over a picture');
  await partsScreen.remove(page).click();
  await lookScreen.header(part(page, 'Logo and header')).click();
  await lookScreen.headerStageEdge(page).click();
  await expectAsBefore(page);
});

test('[threat 12] an owner’s CSS dresses the widget; what would reach out is left out, at its line, and nothing is fetched', async ({
  browser,
}) => {
  const page = await lookPanel(browser);
  const asked: string[] = [];
  page.on('request', (request) => asked.push(request.url()));
  await unfold(page, 'Your own CSS');
  const field = lookScreen.ownCss(page);
  await field.fill('.head { letter-spacing: 2px }\n.head { position: fixed }');
  await expect(tile(page, '.head')).toHaveCSS('letter-spacing', '2px');
  await expect(lookScreen.leftOut(page)).toHaveText(
    'Line 2: position is not allowed: your CSS cannot move, hide, cover or load things.',
  );
  await expectCalmAxe(page, 'own CSS');
  await field.fill(EVASIONS.map(([, css]) => css).join('\n'));
  await expect(lookScreen.leftOut(page)).toContainText('@import');
  await saved(page);
  const sheets = await tile(page, '.head').evaluate((head) =>
    (head.getRootNode() as ShadowRoot).adoptedStyleSheets
      .flatMap((sheet) => [...sheet.cssRules].map((rule) => rule.cssText))
      .join('\n'),
  );
  expect(sheets).not.toMatch(/evil|url\(|@import/);
  expect(asked.filter((address) => address.includes('evil'))).toEqual([]);
  await field.fill('');
  await expectAsBefore(page);
});

test('the forms of the launcher on the observatory’s site: as published, on a phone too, and a broken logo is initials', async ({
  browser,
}) => {
  const page = await lookPanel(browser, 'Passing by');
  // The logo is slow on its way: what is chosen before it has come stays chosen.
  let letThrough = (): void => undefined;
  const held = new Promise<void>((resolve) => (letThrough = resolve));
  await page.route('**/look-pictures/logo', async (route) => {
    await held;
    await route.continue();
  });
  await unfold(page, 'Logo and header');
  await drop(page, 'Logo', await two('#2f6f8f', '#e79a1b'), 'logo.png');
  await unfold(page, 'Launcher');
  await lookScreen.bottomBarForm(page).check();
  letThrough();
  await expect(publishingScreen.publishCount(2)(page)).toBeVisible();
  const wordless = lookScreen.noWordsWhile(page);
  await expect(tile(page, '.launcher .words')).toBeVisible();
  await lookScreen.nobodyAnswers(wordless).check();
  await expect(tile(page, '.launcher .words')).toBeHidden();
  await expect(tile(page, '.launcher')).toHaveAttribute('aria-label', /Leave .*Farrow Isle/);
  await lookScreen.nobodyAnswers(wordless).uncheck();
  await expect(tile(page, '.launcher .words')).toBeVisible();
  await saved(page);
  await publishingScreen.publishChanges(page).click();
  await expect(page.getByRole('dialog')).toContainText('Launcher: lamp → bottom bar');
  await publishingScreen.publish(page.getByRole('dialog')).click();
  await expect(publishingScreen.isLive(page)).toBeVisible();
  const { page: there, launcher, window } = await visit(browser, `${testServer.site}/tonight`);
  await expect(launcher).toBeVisible();
  const box = await launcher.boundingBox();
  const height = there.viewportSize()?.height ?? 0;
  expect([box?.width, Math.round((box?.y ?? 0) + (box?.height ?? 0))]).toEqual([300, height]);
  await there.setViewportSize({ width: 390, height: 844 });
  await expect.poll(async () => (await launcher.boundingBox())?.width).toBe(390);
  await expectNoSidewaysScroll(there);
  await there.route('**/*.webp', (route) => route.abort());
  await launcher.click();
  await expect(window.locator('.head .face')).toHaveText('FO');
  await expectNoAxe(there, 'a window with initials');
  // Where the sheet of the other forms is missing, there is a launcher still.
  await there.route('**/extras.js', (route) => route.abort());
  await there.reload();
  await expect(launcher).toBeVisible();
  expect((await launcher.boundingBox())?.width).toBeLessThan(390);
});

test('a link of the page opens the window with a team and a first question; where there is no launcher on phones it still does', async ({
  browser,
}) => {
  const page = await lookPanel(browser, 'Passing by');
  await unfold(page, 'Launcher');
  await lookScreen.hiddenOnPhones(part(page, 'Launcher')).check();
  await lookScreen.bellMark(lookScreen.marks(page)).click();
  await expect(tile(page, '.launcher .mark path')).toHaveAttribute('d', /^M5 17h14/);
  await expectCalmAxe(page, 'the launcher’s part');
  await publish(page);
  const address = `${testServer.site}/asks.html`;
  writeFileSync(
    join(testServer.siteDir, 'asks.html'),
    `<!doctype html><meta name="viewport" content="width=device-width"><title>Ask</title><body>${testServer.tag()}<a id="a" href="/groups/schools" data-porch-open="night-desk: Note: is it dark at ten?">Ask us</a></body>`,
  );
  const {
    page: there,
    launcher,
    window,
    field,
  } = await visit(browser, address, {
    viewport: { width: 390, height: 844 },
    isMobile: true,
    hasTouch: true,
  });
  await expect(there.locator('sunny-porch')).toHaveCount(1);
  await expect(launcher).toBeHidden();
  await there.locator('#a').click();
  await expect(window).toBeVisible();
  expect(there.url()).toBe(address);
  await expect(field.or(window.locator('textarea')).first()).toHaveValue('Note: is it dark at ten?');
  await there.setViewportSize({ width: 1280, height: 800 });
  await partsScreen.anyClose(window).click();
  await expect(launcher.locator('.mark path')).toHaveAttribute('d', /^M5 17h14/);
  // A computer whose text is at 200 % has the room of a phone, and is none.
  const large = await visit(browser, address, { viewport: { width: 640, height: 400 } });
  await expect(large.launcher).toBeVisible();
});

test('an element of the page instead of a launcher; in the middle of an edge; a larger window, below something of the page’s', async ({
  browser,
}) => {
  const page = await lookPanel(browser, 'Passing by');
  await unfold(page, 'Place');
  const place = part(page, 'Place');
  await lookScreen.middleRight(place).check();
  await lookScreen.largeWindow(place).click();
  await lookScreen.layer(place).fill('5');
  await expect(page.locator('[data-grip]')).toHaveAccessibleName(
    /^Place: middle of the right edge, 20 px from the side/,
  );
  await expectCalmAxe(page, 'the place’s part');
  await publish(page);
  writeFileSync(
    join(testServer.siteDir, 'own.html'),
    `<!doctype html><title>Own</title><body>${testServer.tag()}<button class="ours" style="margin-top:90px">Write to us</button><div style="position:fixed;inset:0 0 auto;height:60px;background:#eee;z-index:9">bar</div></body>`,
  );
  const {
    page: there,
    launcher,
    window,
  } = await visit(browser, `${testServer.site}/own.html`, { viewport: { width: 1280, height: 800 } });
  const box = await launcher.boundingBox();
  expect(Math.round((box?.y ?? 0) + (box?.height ?? 0) / 2)).toBe(400);
  await expect(there.locator('sunny-porch')).toHaveCSS('z-index', '5');
  await launcher.click();
  await expect.poll(async () => (await window.boundingBox())?.width).toBe(420);
  expect(Math.round((await window.boundingBox())?.height ?? 0)).toBe(640);
  await unfold(page, 'Launcher');
  await lookScreen.ownElementForm(page).check();
  const selector = lookScreen.elementSelector(page);
  await selector.fill('.ours[');
  await expect(lookScreen.selectorFault(page)).toBeVisible();
  const where = lookScreen.elementOnPages(page);
  await selector.fill('footer a[href="/volunteer"]');
  await expect(where).toHaveText(/^It is on all \d\d pages we know\.$/);
  await selector.fill('nav a[href="/groups/schools"]');
  await expect(where).toHaveText(
    /^It is on \d+ of \d\d pages we know\. Not on .*\/(pt|de)\/.* and \d+ more\.$/,
  );
  await selector.fill('.ours');
  await expect(where).toContainText(
    /^None of the \d\d pages we know has it: nobody could open the window there\./,
  );
  await expectCalmAxe(page, 'an element that no known page has');
  await publish(page);
  await there.reload();
  await expect(there.locator('sunny-porch')).toHaveCount(1);
  await expect(launcher).toBeHidden();
  await there.getByRole('button', { name: 'Write to us' }).click();
  await expect(window).toBeVisible();
  await there.keyboard.press('Escape');
  await expect(there.getByRole('button', { name: 'Write to us' })).toBeFocused();
});

test('launcher and invitation are judged against the page behind them, and one that is hardly seen there gets a ring', async ({
  browser,
}) => {
  const page = await lookPanel(browser, 'Passing by');
  await unfold(page, 'Place');
  await lookScreen.lowerRight(page).check();
  await unfold(page, 'Launcher');
  await lookScreen.lampForm(page).first().check();
  await lookScreen.lift(part(page, 'Place')).fill('0');
  const picture = await sharp({ create: { width: 1280, height: 800, channels: 3, background: '#ffffff' } })
    .composite([
      {
        input: { create: { width: 500, height: 100, channels: 3, background: '#6d2a55' } },
        left: 780,
        top: 700,
      },
    ])
    .png()
    .toBuffer();
  const sent = await page.request.post(
    `${testServer.app}/api/s/${testServer.siteKey}/page-pictures/desktop`,
    {
      data: picture,
      headers: { 'Content-Type': 'image/png', Origin: testServer.app },
    },
  );
  expect(sent.status()).toBe(200);
  await saved(page);
  await page.reload();
  await designScreen.lookTab(page).click();
  await expect(part(page, 'Colours')).toContainText(/\d to fix/);
  const today = await enterAs(browser, testServer, 'today');
  await expect(lookScreen.launcherHardlySeen(today)).toBeVisible();
  await today.close();
  await unfold(page, 'Colours');
  await expect(
    part(page, 'Colours').getByRole('listitem').filter({ hasText: 'An invitation on your page' }),
  ).toContainText('At worst, on #ffffff');
  const row = part(page, 'Colours').getByRole('listitem').filter({ hasText: 'The launcher on your page' });
  await expect(row).toContainText(/1\.\d:1, too little; it needs 3:1\. At worst, on #6[cde]2[9ab]5[456]\./);
  await lookScreen.addRing(row).click();
  await expect(row).toContainText('enough (3:1)');
  await expect(tile(page, '.launcher')).toHaveCSS('box-shadow', /0px 0px 0px 2px/);
  await saved(page);
});

test('a font of ours comes with the window and not before; fixed to the evening it is dark on a light page; motion is left out where it is not wanted', async ({
  browser,
}) => {
  const page = await lookPanel(browser);
  await unfold(page, 'Starting look');
  await lookScreen.nightLightLook(page).click();
  await lookScreen.useLook(page).click();
  await expect.poll(() => page.evaluate(() => document.fonts.check('15px "Sunny Porch figtree"'))).toBe(true);
  await publish(page);
  const {
    page: there,
    launcher,
    window,
  } = await visit(browser, `${testServer.site}/tonight`, { reducedMotion: 'reduce' });
  const asked: string[] = [];
  there.on('request', (request) => asked.push(request.url()));
  await expect(launcher).toBeVisible();
  await expect(launcher).toHaveCSS('animation-name', 'none');
  expect(asked.filter((address) => address.includes('font-'))).toEqual([]);
  await launcher.click();
  await expect(window).toHaveCSS('background-color', 'rgb(34, 23, 29)');
  await expect(window).toHaveCSS('animation-name', 'none');
  await expect
    .poll(() =>
      there.evaluate(() => [...document.fonts].filter(({ family }) => family.includes('Sunny Porch')).length),
    )
    .toBe(1);
  expect(asked.filter((address) => address.includes('font-')).length).toBe(1);
  await expectNoAxe(there, 'night light on the site');
});

test('a cookie bar is marked; what lies over it is told for every screen; the launcher is dragged clear, or moved by one click', async ({
  browser,
}) => {
  const page = await lookPanel(browser, 'Passing by');
  await unfold(page, 'Launcher');
  await lookScreen.hiddenOnPhones(part(page, 'Launcher')).uncheck();
  await unfold(page, 'Place');
  const place = part(page, 'Place');
  const covered = lookScreen.covered(place);
  await lookScreen.lowerRight(place).check();
  const bar = lookScreen.lowerBarHandle(page);
  await expect(bar).toHaveAttribute('aria-valuetext', 'none');
  const edge = await lookScreen.dragBar(bar).boundingBox();
  if (edge === null) throw new Error('There is no bar to be pulled out.');
  await page.mouse.move(edge.x + 60, edge.y + 12);
  await page.mouse.down();
  await page.mouse.move(edge.x + 60, edge.y - 28, { steps: 4 });
  await page.mouse.up();
  await expect(lookScreen.lowerBarHeight(place)).toHaveValue(/^[4-9]\d$/);
  await lookScreen.lowerBarHeight(place).fill('16');
  await bar.focus();
  await page.keyboard.press('PageUp');
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('ArrowUp');
  await expect(bar).toHaveAttribute('aria-valuetext', '64 px');
  await expect(covered).toContainText(
    'The launcher covers 44 px of your lower bar, on a computer (1280 × 800).',
  );
  await expect(covered).toContainText(
    'The window covers 44 px of your lower bar, on a computer (1280 × 800).',
  );
  await expect(covered).toContainText('with text at 200 %');
  await expect(page.locator('[data-bar=lower]')).toBeVisible();
  await expectCalmAxe(page, 'a covered bar');
  await saved(page);
  const today = await enterAs(browser, testServer, 'today');
  await todayScreen.suggestions(today).click();
  const finding = today
    .getByRole('listitem')
    .filter({ hasText: 'covers 44 px of the lower bar on your page on a computer (1280 × 800)' });
  await expect(finding).toHaveCount(3);
  await todayScreen.openPlace(finding.first()).click();
  await expect(lookScreen.covered(part(today, 'Place'))).toBeVisible();
  await today.close();
  await stageScreen.wholePage(page).click();
  const grip = await page.locator('[data-grip]').boundingBox();
  if (grip === null) throw new Error('Nothing to drag.');
  await page.mouse.move(grip.x + 12, grip.y + 12);
  await page.mouse.down();
  await page.mouse.move(grip.x + 12, grip.y - 10, { steps: 4 });
  await page.mouse.move(grip.x + 12, grip.y - 38, { steps: 4 });
  await page.mouse.up();
  await expect(place).not.toContainText('on a computer (');
  await saved(page);
  await designScreen.undo(page).click();
  await expect(covered).toContainText('on a computer');
  await lookScreen.moveClear(place).click();
  await expect(place).not.toContainText('on a computer (');
  await circumstancesScreen.onAComputer(page).click();
  await circumstancesScreen.phone(page).click();
  await lookScreen.lowerBarHeight(place).fill('120');
  await expect(covered).toContainText('on a phone (390 × 844)');
  await expect(covered).toContainText('on a small phone (320 × 480)');
  await lookScreen.moveClear(place).click();
  await expect(place).not.toContainText('on a phone (');
  await lookScreen.lowerBarHeight(place).fill('0');
  await circumstancesScreen.onAPhone(page).click();
  await circumstancesScreen.computer(page).click();
  await lookScreen.lowerBarHeight(place).fill('0');
  await expect(page.locator('[data-bar=lower]')).toHaveCount(0);
  await saved(page);
});
