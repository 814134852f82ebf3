import type { BrowserContext, Page } from '@playwright/test';
import { alertsScreen } from './screens/alerts';
import { conversationsScreen } from './screens/conversations';
import { accountScreen } from './screens/settings';
import { beIn, enterAs, expect, expectNoAxe, test, useTestServer, visit } from './test-server';

const testServer = useTestServer();

interface Notice {
  readonly title: string;
  readonly body: string;
}

/** What the stand-in below keeps in each page. */
interface Kept {
  notices: { title: string; body: string; isOpen: boolean; click: () => void }[];
  played: number;
  asked: number;
  isAway: boolean;
}
type KeptWindow = Window & { kept: Kept };

/**
 * Stands in for what a browser without a screen has no place for: notifications, of which it keeps what they say and whether they
 * still stand; sounds, which it counts; and whether a tab is in front. Pages that were opened before are loaded anew.
 */
async function recordAlerts(context: BrowserContext, permission: NotificationPermission): Promise<void> {
  await context.addInitScript((first) => {
    const kept: Kept = { notices: [], played: 0, asked: 0, isAway: false };
    (window as unknown as KeptWindow).kept = kept;
    class StandIn extends EventTarget {
      static permission = first;
      static requestPermission(): Promise<NotificationPermission> {
        kept.asked++;
        StandIn.permission = 'granted';
        return Promise.resolve('granted');
      }
      onclick: (() => void) | null = null;
      private readonly notice: Kept['notices'][number];
      constructor(title: string, { body = '' }: NotificationOptions = {}) {
        super();
        this.notice = { title, body, isOpen: true, click: () => this.onclick?.() };
        kept.notices.push(this.notice);
      }
      close(): void {
        this.notice.isOpen = false;
      }
    }
    Object.assign(window, { Notification: StandIn });
    const RealContext = AudioContext;
    Object.assign(window, {
      AudioContext: class extends RealContext {
        constructor() {
          super();
          kept.played++;
        }
      },
    });
    document.hasFocus = () => !kept.isAway;
  }, permission);
  await Promise.all(context.pages().map((page) => page.reload()));
}

/** Whoever looks at a tab turns to something else, or comes back. */
async function turn(page: Page, isAway: boolean): Promise<void> {
  await page.evaluate((away) => {
    (window as unknown as KeptWindow).kept.isAway = away;
    window.dispatchEvent(new Event(away ? 'blur' : 'focus'));
  }, isAway);
}

/** Notifications that stand, of all tabs. */
async function standing(...pages: Page[]): Promise<Notice[]> {
  const all = await Promise.all(
    pages.map((page) => page.evaluate(() => (window as unknown as KeptWindow).kept.notices)),
  );
  return all.flatMap((notices) =>
    notices.filter(({ isOpen }) => isOpen).map(({ title, body }) => ({ title, body })),
  );
}

async function played(...pages: Page[]): Promise<number> {
  const all = await Promise.all(
    pages.map((page) => page.evaluate(() => (window as unknown as KeptWindow).kept.played)),
  );
  return all.reduce((sum, one) => sum + one, 0);
}

const HIDDEN = { title: 'A visitor asks Farrow Isle Observatory', body: 'Click to read it and answer.' };

test('a question is told once in two tabs, without its words, and taken back in both when a colleague answers; a curious click tells nothing', async ({
  browser,
}) => {
  const desk = await enterAs(browser, testServer, 'team');
  await recordAlerts(desk.context(), 'granted');
  const second = await desk.context().newPage();
  await second.goto(`${testServer.app}/s/${testServer.siteKey}/account`);
  await beIn(desk, true);
  await turn(desk, true);
  await turn(second, true);
  const visitor = await visit(browser, `${testServer.site}/tonight`);
  await visitor.launcher.click();
  await expect(visitor.window).toContainText('We are here');
  await visitor.field.fill('Is there a moon');
  expect(await standing(desk, second)).toEqual([]);
  await visitor.say('Is there a moon tonight?');
  await expect.poll(() => standing(desk, second)).toEqual([HIDDEN]);

  const colleague = await enterAs(browser, testServer, 'conversations', { who: 'Rui' });
  await conversationsScreen.list(colleague).getByText('Is there a moon tonight?').click();
  await conversationsScreen.reply(colleague).fill('It sets at eleven.');
  await conversationsScreen.send(colleague).click();
  await expect.poll(() => standing(desk, second)).toEqual([]);
  // It is Rui's now: what the visitor says next is told to nobody else.
  await visitor.say('And before that?');
  await expect(conversationsScreen.messages(colleague).getByText('And before that?')).toBeVisible();
  const other = await visit(browser, `${testServer.site}/tonight`);
  await other.launcher.click();
  await other.say('May we bring a dog?'); // told after that, so that what was not told can be seen
  await expect.poll(() => standing(desk, second)).toEqual([HIDDEN]);
  for (const page of [desk, second])
    await page.evaluate(() => {
      const { notices } = (window as unknown as KeptWindow).kept;
      notices.filter(({ isOpen }) => isOpen).forEach(({ click }) => click());
    });
  const shows = /\/conversations\/\w+$/;
  await expect.poll(() => [desk, second].filter((page) => shows.test(page.url())).length).toBe(1);
});

test('what one chooses is heard as it is chosen, holds in every tab at once, and is kept: a bell in one tab, the words, once more after two minutes, quiet hours', async ({
  browser,
}) => {
  const account = await enterAs(browser, testServer, 'account');
  await recordAlerts(account.context(), 'granted');
  const desk = await account.context().newPage();
  await desk.clock.install();
  await desk.goto(`${testServer.app}/s/${testServer.siteKey}/team`);
  await beIn(desk, true);
  expect(await played(account, desk)).toBe(0);
  await alertsScreen.bell(account).click();
  expect(await played(account)).toBe(1);
  await alertsScreen.words(account).click();
  await alertsScreen.again(account).click();
  await alertsScreen.everyTwoMinutes(account).click();
  await expect(alertsScreen.words(account)).toBeChecked();
  await expectNoAxe(account, 'My account');
  await account.reload();
  await expect(alertsScreen.bell(account)).toBeChecked();
  await expect(alertsScreen.again(account)).toContainText('every 2 minutes');
  await account.goto('about:blank');

  await desk.mouse.click(8, 400); // a browser plays nothing before that
  await turn(desk, true);
  const visitor = await visit(browser, `${testServer.site}/tonight`);
  await visitor.launcher.click();
  await visitor.say('Is the café open before the talk?');
  const said = { title: HIDDEN.title, body: 'Is the café open before the talk?' };
  await expect.poll(() => standing(desk)).toEqual([said]);
  expect(await played(desk)).toBe(1);
  await desk.clock.fastForward(100_000);
  expect(await played(desk)).toBe(1);
  await desk.clock.fastForward(60_000);
  await expect.poll(() => played(desk)).toBe(2);
  const again = await standing(desk);
  expect(again).toHaveLength(1); // the first was closed

  await account.goto(`${testServer.app}/s/${testServer.siteKey}/account`);
  await alertsScreen.quiet(account).click();
  await expect(alertsScreen.until(account)).toHaveValue('07:00');
  await alertsScreen.from(account).fill('00:00');
  await alertsScreen.until(account).fill('23:59');
  await account.reload();
  await expect(alertsScreen.until(account)).toHaveValue('23:59');
  await account.goto('about:blank');
  await desk.clock.setFixedTime(new Date('2026-11-07T12:00:00'));
  const other = await visit(browser, `${testServer.site}/tonight`);
  await other.launcher.click();
  await other.say('Do you lend red torches?');
  await conversationsScreen
    .list(await enterAs(browser, testServer, 'conversations', { who: 'Rui' }))
    .getByText('Do you lend red torches?')
    .waitFor();
  await desk.clock.fastForward(30_000);
  expect(await standing(desk)).toEqual(again);
  expect(await played(desk)).toBe(2);
});

test('one is asked once, in words and with a reason; a browser that says no is said, with the way to change it', async ({
  browser,
}) => {
  const desk = await enterAs(browser, testServer, 'today');
  await recordAlerts(desk.context(), 'default');
  await beIn(desk, false);
  const visitor = await visit(browser, `${testServer.site}/tonight`);
  await enterAs(browser, testServer, 'today', { who: 'Rui' }).then((page) => beIn(page, true));
  await visitor.launcher.click();
  await visitor.say('Is the road to the isle dry?');
  await expect(alertsScreen.ask(desk)).toHaveCount(0); // nobody is asked who does not answer
  await beIn(desk, true);
  await expect(alertsScreen.ask(desk)).toBeVisible();
  await expectNoAxe(desk, 'the question before the browser’s own');
  await alertsScreen.no(desk).click();
  await expect(alertsScreen.ask(desk)).toHaveCount(0);
  await desk.goto(`${testServer.app}/s/${testServer.siteKey}/account`);
  await expect(alertsScreen.allow(desk)).toBeVisible();
  await expect(alertsScreen.ask(desk)).toHaveCount(0);
  await alertsScreen.allow(desk).click();
  await expect(alertsScreen.words(desk)).toBeVisible();

  const refused = await enterAs(browser, testServer, 'account', { who: 'Rui' });
  await recordAlerts(refused.context(), 'denied');
  await expect(alertsScreen.part(refused)).toContainText(
    'This browser blocks notifications from Sunny Porch',
  );
  await expect(alertsScreen.part(refused)).toContainText('to the left of the address');
  await expectNoAxe(refused, 'My account, blocked');
  await expect(accountScreen.name(refused)).toBeVisible();
});
