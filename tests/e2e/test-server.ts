import { type ChildProcess, execFile, fork } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import type axeCore from 'axe-core';
import {
  type Browser,
  type BrowserContext,
  type BrowserContextOptions,
  type Cookie,
  type Frame,
  type Locator,
  type Page,
  expect,
  test,
} from '@playwright/test';
import { serveFiles } from '../../src/demo/serve';
import { writeSite } from '../../src/demo/site/write-site';
import { frameScreen } from './screens/frame';
import { entranceScreen } from './screens/entrance';

export { expect, test };
const run = promisify(execFile);

/** A running porch of its own: the built entry on a free port, and the observatory's site on another host name. */
export class TestServer {
  app = '';
  site = '';
  siteKey = '';
  siteDir = '';
  setupCode: string | null = null;
  readonly dataDir = mkdtempSync(join(tmpdir(), 'porch-e2e-'));
  private entry: ChildProcess | null = null;
  private files: Server | null = null;
  /** Who has signed in once: time is not spent on the door again. */
  readonly sessions = new Map<string, Cookie[]>();
  /** Browsers of people at the desk that no test is using: what they have loaded stays loaded. */
  readonly idleDesks = new Map<string, BrowserContext[]>();
  readonly busyDesks = new Map<BrowserContext, string>();
  /** What the process printed; for the sentence it must say. */
  printed = '';
  /** Where the guest was built, if it is not where the build puts it: another program, as after an upgrade. */
  widgetDir: string | null = null;

  /** Fills the demo unless it is to stay empty, and starts both halves. */
  async open({ isEmpty = false } = {}): Promise<void> {
    this.siteDir = join(this.dataDir, 'site');
    this.files = serveFiles(this.siteDir);
    const files = this.files;
    await new Promise<void>((resolve) => files.listen(0, 'localhost', resolve));
    this.site = `http://localhost:${(files.address() as AddressInfo).port}`;
    if (!isEmpty) {
      const { stdout } = await run(process.execPath, ['dist/server/fill-demo.mjs', this.site], {
        env: this.env(0),
      });
      this.siteKey = (JSON.parse(stdout) as { siteKey: string }).siteKey;
    }
    await this.start(0);
    writeSite(this.siteDir, this.tag(), this.site);
  }

  tag(key = this.siteKey): string {
    return `<script async src="${this.app}/w/porch.js" data-site="${key}"></script>`;
  }

  private env(port: number): NodeJS.ProcessEnv {
    const env: NodeJS.ProcessEnv = {
      ...process.env,
      NODE_ENV: 'production',
      PORCH_DATA: this.dataDir,
      PORCH_DEMO: 'a'.repeat(43),
      PORT: String(port),
      HOST: '127.0.0.1',
    };
    delete env.PUBLIC_URL;
    if (this.widgetDir !== null) env.PORCH_WIDGET = this.widgetDir;
    return env;
  }

  private async start(port: number): Promise<void> {
    const entry = fork('dist/server/entry.mjs', [], { env: this.env(port), silent: true });
    this.entry = entry;
    for (const stream of [entry.stdout, entry.stderr])
      stream?.on('data', (part: Buffer) => (this.printed += part.toString()));
    const told = await new Promise<{ port: number; setupCode: string | null }>((resolve, reject) => {
      entry.once('exit', () => reject(new Error(`The server did not start: ${this.printed}`)));
      entry.on('message', (message: { kind: string; port: number; setupCode: string | null }) => {
        if (message.kind === 'listening') resolve(message);
      });
    });
    this.app = `http://127.0.0.1:${told.port}`;
    this.setupCode = told.setupCode;
  }

  /** Ends the process as a power cut would. */
  async kill(): Promise<void> {
    await this.end('SIGKILL');
  }

  /** The same porch again, at the same address. */
  async restart(): Promise<void> {
    await this.start(Number(new URL(this.app).port));
  }

  async moveTo(instant: number): Promise<void> {
    const { entry } = this;
    if (entry === null) throw new Error('The server is not running.');
    this.sessions.clear();
    const moved = new Promise<void>((resolve) =>
      entry.on('message', ({ kind }: { kind: string }) => kind === 'moved' && resolve()),
    );
    entry.send({ kind: 'move-to', instant });
    await moved;
  }

  private async end(signal: NodeJS.Signals): Promise<void> {
    const { entry } = this;
    this.entry = null;
    if (entry === null || entry.exitCode !== null) return;
    const gone = new Promise((resolve) => entry.once('exit', resolve));
    entry.kill(signal);
    await gone;
  }

  async close(): Promise<void> {
    await this.end('SIGTERM');
    this.files?.closeAllConnections();
    await new Promise((resolve) => (this.files === null ? resolve(null) : this.files.close(resolve)));
  }
}

/**
 * One server for all tests of a file. After each test visitors' browsers are closed, and so are the pages of the desk's, so
 * that nobody stays in; the desk's browsers keep what they have loaded.
 */
export function useTestServer(options: { isEmpty?: boolean } = {}): TestServer {
  const testServer = new TestServer();
  test.afterEach(async ({ browser }) => {
    const { idleDesks, busyDesks } = testServer;
    for (const [desk, name] of busyDesks) idleDesks.set(name, [...(idleDesks.get(name) ?? []), desk]);
    busyDesks.clear();
    const desks = [...idleDesks.values()].flat();
    await Promise.all([
      ...desks.flatMap((desk) => desk.pages().map((page) => page.close())),
      ...browser
        .contexts()
        .filter((context) => !desks.includes(context))
        .map((context) => context.close()),
    ]);
  });
  test.afterEach(() => {
    expect(screenErrors.splice(0), 'errors in the console').toEqual([]);
  });
  test.beforeAll(() => testServer.open(options));
  test.afterAll(() => testServer.close());
  return testServer;
}

/** Opens a screen in a browser of their own, signed in by the demo's door. */
export async function enterAs(
  browser: Browser,
  testServer: TestServer,
  screen: string,
  { who = 'Inês', ...options }: BrowserContextOptions & { who?: string } = {},
): Promise<Page> {
  const page = await deskPage(browser, testServer, JSON.stringify([who, options]), options);
  const known = testServer.sessions.get(who);
  if (known !== undefined) await page.context().addCookies(known);
  else {
    await page.goto(`${testServer.app}/signin`);
    await entranceScreen.demoDoorOf(who)(page).click();
    await page.waitForURL(/\/s\/[a-z0-9]+\/today/);
    testServer.sessions.set(who, await page.context().cookies());
  }
  await page.goto(`${testServer.app}/s/${testServer.siteKey}/${screen}`);
  return page;
}

/** What screens of the application have written to the console as errors; each story ends with none. */
const screenErrors: string[] = [];

/** What the browser itself writes of answers that stories provoke, and of the owner's page, which runs no scripts on the stage. */
const EXPECTED_ERRORS = /^(Failed to load resource|Blocked script execution)/;

function hearErrors(page: Page): void {
  page.on('pageerror', (error) => screenErrors.push(error.message));
  page.on('console', (message) => {
    if (message.type() === 'error' && !EXPECTED_ERRORS.test(message.text()))
      screenErrors.push(message.text());
  });
}

/** A page in a browser that nobody is using, emptied of all but what it has loaded; else in a new one. */
async function deskPage(
  browser: Browser,
  { app, idleDesks, busyDesks }: TestServer,
  name: string,
  options: BrowserContextOptions,
): Promise<Page> {
  const idle = idleDesks.get(name)?.pop();
  const desk = idle ?? (await browser.newContext(options));
  busyDesks.set(desk, name);
  const page = await desk.newPage();
  hearErrors(page);
  if (idle === undefined) return page;
  await desk.clearCookies();
  await page.goto(`${app}/w/porch.js`); // the same origin, and no page of ours
  await page.evaluate(() => {
    localStorage.clear();
    sessionStorage.clear();
  });
  return page;
}

/** A visitor in a browser of their own, on a page of the site. What the page hears of errors is kept. */
export async function visit(
  browser: Browser,
  address: string,
  options: BrowserContextOptions = {},
): Promise<Visitor> {
  const page = await (await browser.newContext(options)).newPage();
  const errors: string[] = [];
  const lines: string[] = [];
  page.on('pageerror', (error) => errors.push(error.message));
  page.on('console', (message) => lines.push(message.text()));
  await page.goto(address);
  return visitorOn(page, errors, lines);
}

export interface Visitor {
  readonly page: Page;
  readonly launcher: Locator;
  readonly window: Locator;
  readonly field: Locator;
  /** Entries by id, in the order they stand. */
  entries(): Promise<string[]>;
  say(text: string): Promise<void>;
  readonly errors: readonly string[];
  readonly lines: readonly string[];
}

function visitorOn(page: Page, errors: string[], lines: string[]): Visitor {
  const porch = page.locator('sunny-porch');
  const field = porch.locator('.foot textarea');
  return {
    page,
    errors,
    lines,
    launcher: porch.locator('.launcher'),
    window: porch.getByRole('dialog'),
    field,
    entries: () =>
      porch
        .locator('[data-entry]')
        .evaluateAll((all) => all.map((one) => (one as HTMLElement).dataset.entry ?? '')),
    say: async (text) => {
      await field.fill(text);
      await field.press('Enter');
      await expect(porch.locator('[data-entry]', { hasText: text })).toBeVisible();
    },
  };
}

/** Says whether one is in, unless it was said before, and waits until the lamp tells: it is lit while anybody is in. */
export async function beIn(page: Page, isIn: boolean): Promise<void> {
  await sayWhetherIn(page, isIn);
  await expect(frameScreen.lamp(page)).toHaveAttribute('data-lamp', isIn ? 'lit' : 'unlit');
}

/** Says whether one is in, unless it was said before. */
export async function sayWhetherIn(page: Page, isIn: boolean): Promise<void> {
  const before = frameScreen.presence(page);
  await expect(before).toBeVisible();
  if ((await before.getAttribute('aria-pressed')) !== String(isIn)) await before.click();
  await expect((isIn ? frameScreen.answeringSwitch : frameScreen.notAnsweringSwitch)(page)).toBeVisible();
}

/** Waits until nothing on a page moves any more. */
export async function beStill(page: Page): Promise<void> {
  await page.evaluate(async () => {
    await new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve)));
    const roots = [
      document,
      ...[...document.querySelectorAll('sunny-porch')].flatMap(({ shadowRoot }) => shadowRoot ?? []),
    ];
    // One that is cancelled does not move any more either.
    const all = roots.flatMap((root) => root.getAnimations());
    await Promise.all(all.map((one) => one.finished.catch(() => undefined)));
  });
}

/**
 * Nothing for axe to say. Transitions have ended and none begins meanwhile: a colour on its way, as that of a button while
 * a draft is being saved, is measured as neither of its two.
 */
export async function expectNoAxe(page: Page, what: string): Promise<void> {
  await page.evaluate(async () => {
    const ending = document
      .getAnimations()
      .filter(({ effect }) => effect?.getComputedTiming().iterations !== Infinity);
    await Promise.all(ending.map((one) => one.finished.catch(() => undefined)));
    const still = new CSSStyleSheet();
    still.replaceSync('*, *::before, *::after { transition: none !important }');
    document.adoptedStyleSheets.push(still);
  });
  const found = await Promise.all(page.frames().map(axeIn));
  await page.evaluate(() => void document.adoptedStyleSheets.pop());
  expect(found.flat(), what).toEqual([]);
}

const AXE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

/** What axe holds against one frame. It is asked where it stands: sent once a page, and nothing is opened beside it. */
async function axeIn(frame: Frame): Promise<string[]> {
  if (!(await frame.evaluate(() => 'axe' in window))) await frame.evaluate(AXE);
  return frame.evaluate(async () => {
    const { axe } = window as unknown as { readonly axe: typeof axeCore };
    const { violations } = await axe.run(document, { resultTypes: ['violations'] });
    return violations.map(
      ({ id, nodes }) =>
        `${id}: ${nodes.map(({ target, failureSummary }) => `${target.join(' ')} ${failureSummary}`).join(' | ')}`,
    );
  });
}

/** No view scrolls sideways. */
export async function expectNoSidewaysScroll(page: Page): Promise<void> {
  expect(
    await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth),
  ).toBeLessThanOrEqual(0);
}
