import type { Page } from '@playwright/test';
import { NOT_PLAIN } from '../wording/not-plain';
import { Tables } from '../wording/tables';
import {
  beIn,
  enterAs,
  expect,
  expectNoAxe,
  expectNoSidewaysScroll,
  test,
  useTestServer,
} from './test-server';
import { conversationsScreen } from './screens/conversations';
import { frameScreen } from './screens/frame';
import { pathScreen } from './screens/path';

const testServer = useTestServer();
const SCREENS = [
  'today',
  'design',
  'versions',
  'install',
  'conversations',
  'team',
  'settings',
  'account',
  'practice',
  'design?path=whole',
  'design?side=look',
] as const;
const VIEWS = [
  { name: 'at 1280×800, light', viewport: { width: 1280, height: 800 }, colorScheme: 'light' },
  { name: 'at 1024×768, evening', viewport: { width: 1024, height: 768 }, colorScheme: 'dark' },
  { name: 'at 390×844, light', viewport: { width: 390, height: 844 }, colorScheme: 'light' },
] as const;

for (const { name, ...view } of VIEWS) {
  test(`no screen has anything for axe, scrolls sideways or logs an error ${name}`, async ({ browser }) => {
    const page = await enterAs(browser, testServer, 'today', view);
    const errors: string[] = [];
    page.on('console', (message) => message.type() === 'error' && errors.push(message.text()));
    page.on('pageerror', (error) => errors.push(error.message));
    for (const screen of SCREENS) {
      await page.goto(`${testServer.app}/s/${testServer.siteKey}/${screen}`);
      await expect(page.getByRole('heading', { level: 1 })).toBeAttached();
      await expect(page.getByRole('progressbar')).toHaveCount(0);
      await expectNoAxe(page, screen);
      await expectNoSidewaysScroll(page);
    }
    expect(errors).toEqual([]);
  });
}

test('Today, Install, Team & hours, Versions and settings stand in one column: 960 px wide, with one left edge', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'today');
  for (const screen of ['today', 'install', 'team', 'versions', 'settings', 'account']) {
    await page.goto(`${testServer.app}/s/${testServer.siteKey}/${screen}`);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    const column = await page.locator('main > *').first().boundingBox();
    expect({ screen, x: column?.x, width: column?.width }).toEqual({ screen, x: 160, width: 960 });
  }
});

/** Every text node and accessible name of the application's own, as it was put together; the stage's widget aside. */
async function wordsOn(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT | NodeFilter.SHOW_ELEMENT);
    const found = new Set<string>();
    for (let node = walker.nextNode(); node !== null; node = walker.nextNode()) {
      if (node instanceof Element)
        for (const name of ['aria-label', 'title', 'placeholder']) found.add(node.getAttribute(name) ?? '');
      else if (!node.parentElement?.closest('script, style, noscript, pre, code'))
        found.add(node.nodeValue ?? '');
    }
    return [...found].map((one) => one.replace(/\s+/g, ' ').trim()).filter((one) => /\p{L}/u.test(one));
  });
}

test('what the screens say, as it is put together, is plain, and stands in the wording tables or is data', async ({
  browser,
}) => {
  const tables = new Tables(['Azores', 'RF', 'Inês']); // cut from a zone, and from names
  expect(tables.strangersIn('Welcome aboard, dear owner')).toBe('welcome aboard dear');
  expect(tables.strangersIn('Publish 3 changes')).toBe('');
  const page = await enterAs(browser, testServer, 'today');
  const site = `s/${testServer.siteKey}`;
  for (const path of [
    ...SCREENS.map((screen) => `${site}/${screen}`),
    `${site}/design?moment=invited&with=in`,
    `${site}/design?moment=slow-reply&with=busy`,
    's/nowhere/today',
    'signin',
  ]) {
    if (path === 'signin') await page.context().clearCookies();
    await page.goto(`${testServer.app}/${path}`);
    await expect(page.getByRole('progressbar')).toHaveCount(0);
    await expect(page.getByRole('heading', { level: 1 })).toBeAttached();
    const words = await wordsOn(page);
    expect(words.length, path).toBeGreaterThan(3);
    const stilted = words.flatMap((one) =>
      NOT_PLAIN.filter(([pattern]) => pattern.test(one)).map(([, better]) => `${one}: ${better}`),
    );
    expect.soft(stilted, path).toEqual([]);
    const strangers = words.map((one) => [one, tables.strangersIn(one)]).filter(([, left]) => left !== '');
    expect.soft(strangers, path).toEqual([]);
  }
});

for (const [colorScheme, ...moments] of [
  ['light', 'Passing by', 'At the door', 'Waiting', 'Talking'],
  ['light', 'Goodbye', 'Nobody home', 'Note left'],
  ['dark', 'Passing by', 'At the door', 'Waiting', 'Talking'],
  ['dark', 'Goodbye', 'Nobody home', 'Note left'],
] as const) {
  test(`the moment cards ${moments.join(', ')} have nothing for axe either, ${colorScheme}`, async ({
    browser,
  }) => {
    const page = await enterAs(browser, testServer, 'design', { colorScheme });
    for (const moment of moments) {
      await pathScreen.moment(moment)(pathScreen.path(page)).click();
      await expectNoAxe(page, moment);
    }
  });
}

test('a chosen conversation has nothing for axe', async ({ browser }) => {
  const page = await enterAs(browser, testServer, 'conversations');
  await conversationsScreen.list(page).getByRole('link').first().click();
  await expect(conversationsScreen.messages(page)).toBeVisible();
  await expectNoAxe(page, 'a conversation');
});

test('the search finds a setting by the trade’s word and leads there; the sheet shows all keys', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'today');
  for (const [word, place, lands] of [
    ['offline form', 'Note form, when nobody can answer', /design\?moment=nobody-home$/],
    ['embed', 'Your snippet', /install$/],
    ['rehearse', 'Try a visit', /design\?try=?/],
    ['working hours', 'Team & hours', /team$/],
    ['inbox', 'Conversations', /conversations$/],
    ['theme', 'Brand colour', /design\?side=look$/],
  ] as const) {
    await page.keyboard.press('Control+k');
    await frameScreen.search(page).fill(word);
    await expect(frameScreen.searchOption(place)(page)).toBeVisible();
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL(lands);
  }
  await page.getByRole('heading', { level: 1 }).first().waitFor({ state: 'attached' });
  await page.keyboard.press('Shift+?');
  await expect(frameScreen.keys(page)).toContainText('Design: undo');
  await expectNoAxe(page, 'the sheet of keys');
});

test('the search opens by button and key on every screen, in the middle, on a ground of ours, and gives the focus back', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'today', { colorScheme: 'light' });
  const [button, list] = [frameScreen.searchButton(page), frameScreen.searchDialog(page)];
  for (const screen of SCREENS) {
    await page.goto(`${testServer.app}/s/${testServer.siteKey}/${screen}`);
    await expect(frameScreen.presence(page)).toBeVisible(); // the page hears clicks from then on
    await button.click();
    await expect(frameScreen.search(page)).toBeFocused();
    await expect(list).toHaveCSS('background-color', 'rgb(255, 253, 247)');
    const box = await list.boundingBox();
    expect(Math.abs((box?.x ?? 0) + (box?.width ?? 0) / 2 - 640)).toBeLessThan(8);
    expect(box?.width).toBe(560);
    expect(box?.y).toBeGreaterThan(48);
    await page.keyboard.press('Escape');
    await expect(list).toHaveCount(0);
    await expect(button).toBeFocused();
    await page.keyboard.press('Control+k');
    await expect(list).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(list).toHaveCount(0);
  }
});

test('a responder sees no Design, and its address says so', async ({ browser }) => {
  const page = await enterAs(browser, testServer, 'today', { who: 'Rui' });
  await expect(frameScreen.conversationsLink(page)).toBeVisible();
  await expect(frameScreen.designLink(page)).toHaveCount(0);
});

test('the theme that was chosen stays, and the lamp stands with its word', async ({ browser }) => {
  const page = await enterAs(browser, testServer, 'today', { colorScheme: 'light' });
  await beIn(page, true);
  await expect(page.getByRole('banner')).toContainText('Answering');
  await frameScreen.account(page).click();
  await frameScreen.evening(page).click();
  await expect(page.locator('html')).toHaveAttribute('data-scheme', 'dark');
  await page.reload();
  await expect(page.locator('html')).toHaveAttribute('data-scheme', 'dark');
  await beIn(page, false);
});

test('an address of somebody else’s site, and one that leads nowhere, say so and lead home', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'today');
  for (const address of [`${testServer.app}/s/zzzzzzzzzzzz/today`, `${testServer.app}/nowhere`]) {
    expect((await page.goto(address))?.status()).toBe(404);
    await expect(frameScreen.notFound(page)).toBeVisible();
  }
  await frameScreen.ownSiteLink(page).click();
  await expect(page).toHaveURL(/\/today$/);
});
