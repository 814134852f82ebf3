import type { Browser, BrowserContext, Page } from '@playwright/test';
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { beIn, enterAs, expect, expectNoAxe, sayWhetherIn, test, useTestServer, visit } from './test-server';
import { frameScreen } from './screens/frame';
import { widgetScreen } from './screens/widget';

const testServer = useTestServer();

/** A page on which time is ours, and what watches over it has come; the server goes by its own time. */
async function clocked(browser: Browser, path: string, context?: BrowserContext): Promise<Page> {
  const page = await (context ?? (await browser.newContext())).newPage();
  await page.clock.install({ time: Date.now() });
  await watched(page, () => page.goto(`${testServer.site}${path}`));
  return page;
}

/** Goes somewhere, lets the launcher come, and the visit runtime after it. */
async function watched(page: Page, go: () => Promise<unknown>): Promise<void> {
  const watch = page.waitForResponse((response) => response.url().includes('/watch-'));
  await go();
  await page.clock.runFor(4000);
  await expect(page.locator('sunny-porch .launcher')).toBeVisible();
  // It listens once its file has been run, which may be long after it has come.
  await page.evaluate(`import(${JSON.stringify((await watch).url())}).then(() => undefined)`);
  await page.clock.runFor(500);
}

/** Does what makes the page ask the server, and lets the answer come: a question gives up after fifteen seconds of the page's own time. */
async function answered(page: Page, act: () => Promise<unknown>): Promise<void> {
  const answer = page.waitForResponse((response) => response.url().endsWith('/live.json'));
  await act();
  await (await answer).finished();
}

const invitation = (page: Page) => page.locator('sunny-porch .invitation');

test('[I3] forty seconds on /tonight while somebody is in: the invitation speaks on a fresh word, and accepting leads to the door', async ({
  browser,
}) => {
  await beIn(await enterAs(browser, testServer, 'conversations'), true);
  const page = await clocked(browser, '/tonight');
  const asked: string[] = [];
  page.on('request', (request) => request.url().endsWith('/live.json') && asked.push(request.url()));
  await page.clock.runFor(20_000);
  await expect(invitation(page)).toHaveCount(0);
  expect(asked).toEqual([]);
  await page.clock.runFor(20_000);
  await expect(invitation(page)).toBeVisible();
  expect(asked).toHaveLength(1);
  await expect(
    invitation(page).getByText('Clear skies tonight. Shall we tell you how to get up here?'),
  ).toBeVisible();
  expect(await page.evaluate(() => document.activeElement?.localName)).toBe('body');
  await expectNoAxe(page, 'an invitation');
  await widgetScreen.acceptInvitation(invitation(page)).click();
  await expect(page.locator('sunny-porch').getByRole('dialog')).toBeVisible();
  await expect(invitation(page)).toHaveCount(0);
  await expect(page.locator('sunny-porch .foot textarea')).toBeFocused();
});

test('[I7] a no is a no: by keyboard, on the next page and in the next language too, and nothing else is kept', async ({
  browser,
}) => {
  await beIn(await enterAs(browser, testServer, 'conversations'), true);
  const page = await clocked(browser, '/pt/tonight');
  await page.clock.runFor(40_000);
  await expect(invitation(page).getByText('Céu limpo esta noite.')).toBeVisible();
  await widgetScreen.declineInvitationPt(invitation(page)).press('Enter');
  await expect(invitation(page)).toHaveCount(0);
  const kept = await page.evaluate(() =>
    Object.values({ ...localStorage }).map((text) => JSON.parse(String(text)) as Record<string, unknown>),
  );
  expect(kept).toHaveLength(1);
  expect(kept[0]).toMatchObject({ token: null, visit: null, trail: [], counts: {} });
  await watched(page, () => page.goto(`${testServer.site}/tonight`));
  await page.clock.runFor(3_600_000);
  await expect(page.locator('sunny-porch .launcher')).toBeVisible();
  await expect(invitation(page)).toHaveCount(0);
});

test('[I12] two tabs of one browser that may be remembered: one of them invites, once for the visit', async ({
  browser,
}) => {
  await beIn(await enterAs(browser, testServer, 'conversations'), true);
  mkdirSync(join(testServer.siteDir, 'kept', 'tonight'), { recursive: true });
  const tag = testServer.tag().replace('<script', '<script data-consent="given"');
  const html = `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Kept</title><link rel="icon" href="data:,"></head><body><main><h1>Kept</h1></main>${tag}</body></html>`;
  writeFileSync(join(testServer.siteDir, 'kept', 'tonight', 'index.html'), html);
  const context = await browser.newContext();
  const tabs: Page[] = [];
  for (let count = 0; count < 2; count++) {
    const page = await clocked(browser, '/kept/tonight', context);
    tabs.push(page);
  }
  const shown = async (): Promise<number> =>
    (await Promise.all(tabs.map((page) => invitation(page).count()))).reduce((sum, one) => sum + one, 0);
  await expect
    .poll(async () => {
      // A little at a time: a question gives up after fifteen seconds of the page's own time.
      for (const page of tabs) await page.clock.runFor(5000);
      return shown();
    })
    .toBe(1);
  for (const page of tabs) await page.clock.runFor(600_000);
  expect(await shown()).toBe(1);
});

test('[I2] a form of the page begun and left: five seconds later somebody offers to help, and is told nothing of what was typed', async ({
  browser,
}) => {
  await beIn(await enterAs(browser, testServer, 'conversations', { who: 'Rui' }), true);
  const page = await clocked(browser, '/telescopes/loan');
  const sent: string[] = [];
  page.on('request', (request) => sent.push(`${request.url()} ${request.postData() ?? ''}`));
  const field = page.locator('main input').first();
  await field.fill('Afonso Braga');
  await page.locator('h1').click();
  await page.clock.runFor(4000);
  await expect(invitation(page)).toHaveCount(0);
  await page.clock.runFor(2000);
  await expect(invitation(page).getByText('Stuck with the loan form?')).toBeVisible();
  expect(sent.filter((one) => one.includes('Afonso'))).toEqual([]);
});

test('[P17] [V1] a page that changes its address without loading begins a new page view: rules and seconds anew; page() holds until it really moves', async ({
  browser,
}) => {
  await beIn(await enterAs(browser, testServer, 'conversations'), true);
  const page = await clocked(browser, '/volunteer');
  const launcher = page.locator('sunny-porch .launcher');
  await page.clock.runFor(35_000);
  await answered(page, async () => {
    await page.evaluate(() => history.pushState({}, '', '/tonight'));
    await page.clock.runFor(1000); // a new address is noticed by looking
  });
  await page.clock.runFor(19_000);
  await expect(invitation(page)).toHaveCount(0); // fifty-five seconds since loading, twenty on this page
  await page.clock.runFor(21_000);
  await expect(invitation(page)).toBeVisible();
  await page.evaluate(() => history.pushState({}, '', '/privacy'));
  await expect(launcher).toHaveCount(0);
  await page.evaluate(() =>
    (window as unknown as { SunnyPorch(call: string, value: string): void }).SunnyPorch('page', '/volunteer'),
  );
  await expect(launcher).toBeVisible();
  await page.evaluate(() => history.replaceState({}, '', '/privacy?again'));
  await expect(launcher).toHaveCount(0);
});

test('[V1] back from the cache a page view begins anew; a page that is only prerendered asks nothing until it is seen', async ({
  browser,
}) => {
  await beIn(await enterAs(browser, testServer, 'conversations'), true);
  const page = await clocked(browser, '/tonight');
  await page.clock.runFor(30_000);
  await answered(page, () =>
    page.evaluate(() => window.dispatchEvent(new PageTransitionEvent('pageshow', { persisted: true }))),
  );
  await page.clock.runFor(30_000); // a minute since it loaded, half of one since it came back
  await expect(invitation(page)).toHaveCount(0);
  await page.clock.runFor(11_000);
  await expect(invitation(page)).toBeVisible();

  const early = await (await browser.newContext()).newPage();
  const asked: string[] = [];
  early.on('request', (request) => request.url().endsWith('/live.json') && asked.push(request.url()));
  await early.addInitScript(() =>
    Object.defineProperty(document, 'prerendering', { value: true, configurable: true }),
  );
  await early.goto(`${testServer.site}/tonight`, { waitUntil: 'networkidle' });
  await early.evaluate(() => new Promise((resolve) => requestIdleCallback(resolve)));
  expect(asked).toEqual([]);
  await early.evaluate(() => document.dispatchEvent(new Event('prerenderingchange')));
  await expect(early.locator('sunny-porch .launcher')).toBeVisible();
  expect(asked).toHaveLength(1);
});

test('forms come from the design: what fails is said at its field, what depends appears, and the note keeps it all', async ({
  browser,
}) => {
  // Whoever was in a story ago is taken to be in for a while after their page closed.
  const desks = await Promise.all(
    ['Inês', 'Rui'].map((who) => enterAs(browser, testServer, 'conversations', { who })),
  );
  for (const desk of desks) await sayWhetherIn(desk, false);
  for (const desk of desks) await expect(frameScreen.lamp(desk)).toHaveAttribute('data-lamp', 'unlit');
  const visitor = await visit(browser, `${testServer.site}/groups/schools`);
  await visitor.launcher.click();
  await expect(widgetScreen.noteText(visitor.window)).toBeVisible();
  await widgetScreen.noteText(visitor.window).fill('We would come on a Thursday.');
  await widgetScreen.email(visitor.window).fill('class@school.example');
  await visitor.window.getByLabel('How many children?').fill('40');
  await widgetScreen.leaveNote(visitor.window).click();
  await expect(visitor.window.getByText('At most 28, please.')).toBeVisible();
  await expect(visitor.window.getByLabel('How many children?')).toBeFocused();
  await expect(widgetScreen.consentNeeded(visitor.window)).toBeVisible();
  await expectNoAxe(visitor.page, 'a form with faults');
  await visitor.window.getByLabel('How many children?').fill('26');
  await expect(visitor.window.getByLabel('For which day?')).toHaveCount(0);
  await visitor.window.getByRole('group', { name: 'Do you need the minibus?' }).getByLabel('Yes').check();
  await expect(visitor.window.getByLabel('For which day?')).toBeVisible();
  await visitor.window.getByLabel('Which class?').selectOption({ label: 'Years 5 to 9' });
  await visitor.window.getByLabel('We may keep this to plan the visit.').check();
  await widgetScreen.leaveNote(visitor.window).click();
  await expect(widgetScreen.noteLeft(visitor.window)).toBeVisible();
});

test('[S3] [T8] outside of the hours: closed, with the next opening by the island’s clock, and nothing asked before it', async ({
  browser,
}) => {
  const day = 86_400_000;
  const monday = new Date(Date.now() + 2 * day);
  while (monday.getUTCDay() !== 1) monday.setTime(monday.getTime() + day);
  monday.setUTCHours(12, 0, 0, 0);
  await testServer.moveTo(monday.getTime());
  const page = await (await browser.newContext()).newPage();
  const decided: unknown[] = [];
  await page.exposeFunction('tellDecided', (detail: unknown) => decided.push(detail));
  await page.addInitScript(() => {
    window.addEventListener(
      'sunnyporch:decided',
      (event) =>
        void (window as unknown as { tellDecided(detail: unknown): void }).tellDecided(
          (event as CustomEvent<unknown>).detail,
        ),
    );
  });
  await page.goto(`${testServer.site}/tonight`);
  const launcher = page.locator('sunny-porch .launcher');
  await expect(launcher).toBeVisible();
  await expect(launcher.locator('[data-lamp]')).toHaveAttribute('data-lamp', 'shutter');
  const last = () => decided.at(-1) as { state: string; askAgainAt: number } | undefined;
  await expect.poll(() => last()?.state).toBe('closed');
  expect(last()?.askAgainAt).toBeGreaterThan(monday.getTime() + 3600_000);
  await expect(launcher).toHaveAccessibleName(/^Leave .* a note\. Back /);
  await launcher.click();
  await expect(page.locator('sunny-porch [data-say=status]')).toContainText(
    /Closed\. Back (tomorrow|Wednesday|\d)/,
  );
  await expect(page.locator('sunny-porch [data-say=status]')).toContainText(/5:30\sPM/);
});

test('[I10] a stir moves the launcher each time it is shown and takes no focus; under reduced motion nothing moves', async ({
  browser,
}) => {
  await beIn(await enterAs(browser, testServer, 'conversations'), true);
  const stirs = (page: Page) =>
    page.evaluate(() => {
      const launcher = document.querySelector('sunny-porch')?.shadowRoot?.querySelector('.launcher');
      return (launcher?.getAnimations() ?? []).filter(({ id }) => id === 'stir').length;
    });
  const page = await clocked(browser, '/groups/schools');
  await page.clock.runFor(26_000);
  await expect.poll(() => stirs(page)).toBe(1);
  expect(await page.evaluate(() => document.activeElement?.localName)).toBe('body');
  const still = await clocked(
    browser,
    '/groups/schools',
    await browser.newContext({ reducedMotion: 'reduce' }),
  );
  const told = still.evaluate(
    () => new Promise((resolve) => window.addEventListener('sunnyporch:invited', () => resolve('invited'))),
  );
  await still.clock.runFor(26_000);
  expect(await stirs(still)).toBe(0);
  expect(await Promise.race([told, still.evaluate(() => 'nothing')])).toBe('nothing');
});
