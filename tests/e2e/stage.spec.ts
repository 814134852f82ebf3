import type { Locator, Page } from '@playwright/test';
import { DRAWN_MOMENTS } from '../../src/core/model/moment';
import { designScreen } from './screens/design';
import { frameScreen } from './screens/frame';
import { lookScreen } from './screens/look';
import { pathScreen } from './screens/path';
import { stageScreen } from './screens/stage';
import { enterAs, expect, expectNoSidewaysScroll, test, useTestServer } from './test-server';

const testServer = useTestServer();
const TAB_STOPS_MAX = 40;
const TEXT_PX_MIN = 13;
const isSaved = (page: Page) =>
  expect(page.getByRole('status').filter({ hasText: /^saved$/i })).toBeVisible();
const momentCard = (page: Page, moment: (typeof DRAWN_MOMENTS)[number]): Locator =>
  pathScreen.path(page).locator(`[data-moment-card=${moment}]`);

/** How many times Tab leads on from the beginning of the page, until it leads out. */
async function tabStops(page: Page): Promise<string[]> {
  await page.evaluate(() => {
    (document.activeElement as HTMLElement | null)?.blur();
    document.getSelection()?.removeAllRanges();
    document.body.tabIndex = -1;
    document.body.focus();
  });
  const stops: string[] = [];
  for (;;) {
    await page.keyboard.press('Tab');
    const name = await page.evaluate(() => {
      const { activeElement: one } = document;
      if (one === null || one === document.body || one.matches('nextjs-portal')) return null;
      return `${one.tagName} ${one.getAttribute('aria-label') ?? one.textContent ?? ''}`.slice(0, 60);
    });
    if (name === null || (stops.length > 0 && name === stops[0]) || stops.length > 99) return stops;
    stops.push(name);
  }
}

test('at each moment Tab stops at most forty times, and the first stops lead to stage, inspector and path', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design?on=/tonight&with=in');
  for (const moment of DRAWN_MOMENTS) {
    await momentCard(page, moment).click();
    await expect(designScreen.momentHeading(moment)(page)).toBeVisible();
    const stops = await tabStops(page);
    expect(stops.slice(0, 3)).toEqual(['A Skip to stage', 'A Skip to inspector', 'A Skip to path']);
    expect(stops.length, `${moment}: ${stops.join(' | ')}`).toBeLessThanOrEqual(TAB_STOPS_MAX);
    expect(stops.length).toBeGreaterThan(15);
  }
  await page.keyboard.press('Shift+Tab');
  await frameScreen.skipToStage(page).focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Tab');
  await expect(designScreen.stage(page).locator(':focus')).toHaveCount(1);
});

test('in a group arrow keys lead from one to the next, and Tab comes back to the one that was left', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design?on=/tonight&with=in&moment=waiting');
  const closeUp = stageScreen.closeUp(page);
  await closeUp.focus();
  await page.keyboard.press('ArrowRight');
  await expect(stageScreen.wholePage(page)).toBeFocused();
  await page.keyboard.press('Tab');
  await page.keyboard.press('Shift+Tab');
  await expect(stageScreen.wholePage(page)).toBeFocused();
  await page.keyboard.press('Home');
  await expect(closeUp).toBeFocused();
  await page.keyboard.press('ArrowLeft');
  await expect(stageScreen.backdropDrawn(page)).toBeFocused();
});

const VIEWPORTS = [
  { width: 1280, height: 800 },
  { width: 1440, height: 900 },
  { width: 1024, height: 768 },
];

test('nothing on the stage overlaps the window, which is always whole: nine moments, three screens, three sizes', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design?on=/tonight&with=in&moment=waiting&look=place');
  const stage = designScreen.stage(page);
  for (const size of ['Small', 'Medium', 'Large']) {
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.goto(
      `${testServer.app}/s/${testServer.siteKey}/design?on=/tonight&with=in&moment=waiting&look=place`,
    );
    await lookScreen.windowSize(size)(page).click();
    await isSaved(page);
    for (const viewport of VIEWPORTS) {
      await page.setViewportSize(viewport);
      for (const moment of DRAWN_MOMENTS) {
        await momentCard(page, moment).click();
        await expect(momentCard(page, moment)).toHaveAttribute('aria-current', 'true');
        const clash = await stage.evaluate(overlapsOn);
        expect(clash, `${size} ${viewport.width} ${moment}`).toEqual([]);
      }
    }
  }
});

/** In the page: what lies over the window, or is cut off it. */
function overlapsOn(box: Element): string[] {
  const root = box.querySelector('sunny-porch')?.shadowRoot;
  const drawn = [...(root?.querySelectorAll('.window, .invitation, .launcher') ?? [])];
  const [window] = drawn.map((one) => one.getBoundingClientRect()).filter(({ width }) => width > 0);
  if (window === undefined) return ['nothing is drawn'];
  const frame = box.getBoundingClientRect();
  const isCut =
    window.top < frame.top - 1 ||
    window.bottom > frame.bottom + 1 ||
    window.left < frame.left - 1 ||
    window.right > frame.right + 1;
  const tools = [...box.querySelectorAll('[role=toolbar] button')].filter((one) => {
    const other = one.getBoundingClientRect();
    return (
      other.left < window.right &&
      other.right > window.left &&
      other.top < window.bottom &&
      other.bottom > window.top
    );
  });
  return [...(isCut ? ['the window is cut'] : []), ...tools.map((one) => one.textContent)];
}

test('no text beside the widget is smaller than 13 px, and all of it follows the reader’s text size', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design?on=/tonight&with=in&moment=waiting');
  await expect(designScreen.momentHeading('waiting')(page)).toBeVisible();
  const small = await page.evaluate((least) => {
    const found = new Set<string>();
    const all = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = all.nextNode(); node !== null; node = all.nextNode()) {
      const parent = node.parentElement;
      const isPicture = parent?.closest('[aria-hidden=true], script, style, noscript') !== null;
      if (parent === null || isPicture || !node.textContent?.trim()) continue;
      if (parseFloat(getComputedStyle(parent).fontSize) < least) found.add(node.textContent);
    }
    return [...found];
  }, TEXT_PX_MIN);
  expect(small).toEqual([]);
  const card = momentCard(page, 'waiting').getByText('Waiting', { exact: true });
  const before = await card.evaluate((one) => parseFloat(getComputedStyle(one).fontSize));
  await page.evaluate(() => (document.documentElement.style.fontSize = '125%'));
  const after = await card.evaluate((one) => parseFloat(getComputedStyle(one).fontSize));
  expect(after / before).toBeCloseTo(1.25, 1);
});

test('Escape takes back what was typed, Ctrl Enter keeps it as one step of undo, and the focus returns to the text', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design?on=/tonight&with=in&moment=at-the-door');
  const text = designScreen.editGreeting(designScreen.stageTexts(designScreen.stage(page)));
  const onStage = designScreen.stage(page).locator('sunny-porch [data-say=greeting]');
  const first = (await onStage.textContent()) ?? '';
  await text.click();
  const field = designScreen.greetingField(page);
  await field.pressSequentially('Clouds tonight');
  await expect(onStage).toHaveText('Clouds tonight');
  await isSaved(page);
  await field.press('Escape');
  await expect(onStage).toHaveText(first);
  await expect(text).toBeFocused();
  await isSaved(page);
  await expect(designScreen.undo(page)).not.toHaveAccessibleName('Undo: greeting');

  await page.keyboard.press('Enter');
  await field.fill('The sky');
  await isSaved(page);
  await field.pressSequentially(' is clear.');
  await isSaved(page);
  await field.press('Control+Enter');
  await expect(field).toHaveCount(0);
  await expect(text).toBeFocused();
  await expect(onStage).toHaveText('The sky is clear.');
  await designScreen.undo(page).click();
  await expect(onStage).toHaveText(first);
});

test('a text that cannot be seen on the stage is edited in its place in the inspector; the moment stands in the address', async ({
  browser,
}) => {
  const page = await enterAs(browser, testServer, 'design?on=/tonight&with=in');
  await momentCard(page, 'waiting').click();
  await expect(page).toHaveURL(/moment=waiting/);
  const inspector = designScreen.inspector(page);
  await designScreen.otherTexts(inspector).click();
  await designScreen.editReassurance(inspector).click();
  const field = designScreen.reassuranceField(inspector);
  await expect(field).toBeFocused();
  await expect(designScreen.reassuranceField(designScreen.stage(page))).toHaveCount(0);
  await field.fill('Still looking. Thank you for waiting.');
  await field.press('Control+Enter');
  await expect(designScreen.editReassurance(inspector)).toBeFocused();
  await expect(designScreen.editReassurance(inspector)).toHaveAccessibleName(/Still looking/);
  await isSaved(page);
  await page.reload();
  await expect(designScreen.momentHeading('waiting')(page)).toBeVisible();
});

test('a toast is in our type, and covers neither reasons nor path', async ({ browser }) => {
  const page = await enterAs(browser, testServer, 'design?on=/tonight&moment=waiting');
  await frameScreen.presence(page).click();
  const toast = page.locator('[data-sonner-toast]').first();
  await expect(toast).toBeVisible();
  await expect(toast).toHaveCSS('font-family', /Figtree/);
  const reasons = await designScreen.reasons(page).boundingBox();
  await expect
    .poll(async () => ((box) => (box === null ? null : box.y + box.height))(await toast.boundingBox()))
    .toBeLessThanOrEqual(reasons?.y ?? 0);
});

test('with text at 200 %, and in a low window, Design takes its phone form, and no screen is wider than the window or cuts its labels', async ({
  browser,
  playwright,
  launchOptions,
}) => {
  const usual = await enterAs(browser, testServer, 'today');
  const args = [...(launchOptions.args ?? []), '--blink-settings=defaultFontSize=32'];
  const large = await playwright.chromium.launch({ ...launchOptions, args });
  const context = await large.newContext({ viewport: { width: 1280, height: 800 } });
  await context.addCookies(await usual.context().cookies());
  const page = await context.newPage();
  for (const screen of ['today', 'install', 'conversations', 'team', 'versions', 'settings', 'account']) {
    await page.goto(`${testServer.app}/s/${testServer.siteKey}/${screen}`);
    await expect(frameScreen.presence(page)).toBeVisible();
    await expectNoSidewaysScroll(page);
  }
  await page.goto(`${testServer.app}/s/${testServer.siteKey}/design?on=/tonight&with=in`);
  await expect(pathScreen.waiting(pathScreen.path(page))).toBeVisible();
  await expect(designScreen.stage(page)).toHaveCount(0);
  await expectNoSidewaysScroll(page);
  await pathScreen.waiting(pathScreen.path(page)).click();
  await expect(designScreen.stage(page)).toBeVisible();
  await expectNoSidewaysScroll(page);
  await large.close();
  await usual.setViewportSize({ width: 1280, height: 480 });
  await usual.goto(`${testServer.app}/s/${testServer.siteKey}/design?on=/tonight&with=in`);
  await expect(pathScreen.waiting(pathScreen.path(usual))).toBeVisible();
  await expect(designScreen.stage(usual)).toHaveCount(0);
});
