import { writeFileSync } from 'node:fs';
import type { Server } from 'node:http';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import {
  type Visitor,
  beIn,
  beStill,
  enterAs,
  expect,
  expectNoAxe,
  test,
  useTestServer,
  visit,
} from './test-server';

const testServer = useTestServer();

/** A page of the site as somebody could have written it, with the tag pasted in. */
function writePage(name: string, { head = '', body = '', lang = 'en', tag = testServer.tag() } = {}): string {
  const html = `<!doctype html><html lang="${lang}"><head><meta charset="utf-8"><title>${name}</title><link rel="icon" href="data:,">
<style>body{font-family:Georgia,serif;font-size:17px;margin:0}</style>${head}</head><body><main><h1>${name}</h1>${body}</main>${tag}</body></html>`;
  writeFileSync(join(testServer.siteDir, `${name}.html`), html);
  return `${testServer.site}/${name}.html`;
}

/** What can be measured of the guest from outside: its boxes, fonts, colours, and what is hit where it stands. */
async function measuresOf({ page, launcher }: Visitor) {
  await expect(launcher).toBeVisible();
  const closed = await page.evaluate(measure);
  await launcher.click();
  await expect(page.locator('sunny-porch .window')).toBeVisible();
  await beStill(page);
  return { closed, open: await page.evaluate(measure) };
}

function measure() {
  const root = document.querySelector('sunny-porch')?.shadowRoot;
  return [
    ...(root?.querySelectorAll<HTMLElement>(
      '.launcher, .words, .window, .title, .card, .note label, .text, .send',
    ) ?? []),
  ]
    .filter((one) => one.getClientRects().length > 0)
    .map((one) => {
      const { x, y, width, height } = one.getBoundingClientRect();
      const { fontFamily, fontSize, color, backgroundColor, lineHeight } = getComputedStyle(one);
      const hit = document.elementFromPoint(x + width / 2, Math.min(y + height / 2, innerHeight - 1));
      return {
        name: one.className,
        box: [x, y, width, height].map(Math.round),
        fontFamily,
        fontSize,
        color,
        backgroundColor,
        lineHeight,
        hit: hit?.localName,
      };
    });
}

const NONCE = 'abc123';
const HOSTILE: Readonly<Record<string, () => string>> = {
  'unset-everything': () =>
    writePage('unset-everything', {
      head: `<style>* { all: unset !important; display: block }</style><style>html { font-size: 40px !important } body { font-family: Georgia, serif !important }</style>`,
    }),
  'hides-divs': () =>
    writePage('hides-divs', {
      head: `<style>div, section, button, svg { display: none !important } sunny-porch { opacity: 0; transform: scale(3); visibility: hidden } *::before { content: "x" }</style>`,
    }),
  'strict-policy': () =>
    writePage('strict-policy', {
      head: `<meta http-equiv="Content-Security-Policy" content="default-src 'none'; img-src data:; script-src ${testServer.app} 'nonce-${NONCE}'; connect-src ${testServer.app}; style-src 'nonce-${NONCE}'; require-trusted-types-for 'script'">`,
    }),
};

test('[threat 9] on hostile pages box, font, colours and hit area equal those on the plain page, and the page sees no error', async ({
  browser,
}) => {
  const plain = await measuresOf(await visit(browser, writePage('plain')));
  expect(plain.closed.map(({ name }) => name)).toContain('launcher');
  expect(plain.open.length).toBeGreaterThan(5);
  for (const [name, make] of Object.entries(HOSTILE)) {
    const address = make();
    const visitor = await visit(browser, address);
    const styled = name === 'strict-policy' ? withoutPageFont : same;
    expect(styled(await measuresOf(visitor)), name).toEqual(styled(plain));
    expect(visitor.errors, name).toEqual([]);
    expect(
      visitor.lines.filter((line) => /Refused|violates/.test(line) && !line.includes('inline style')),
      name,
    ).toEqual([]);
  }
});

test('under a strict policy with the lines that Install lists, the owner’s logo and fonts are there too', async ({
  browser,
}) => {
  const install = await enterAs(browser, testServer, 'install');
  const lines = (await install.getByTestId('policy').textContent())?.split('\n') ?? [];
  expect(lines).toHaveLength(3);
  const policy = `default-src 'none'; style-src 'nonce-${NONCE}'; ${lines.join('; ')}`;
  const tag = testServer.tag().replace('><', ' data-widget="schools"><');
  const visitor = await visit(
    browser,
    writePage('with-our-lines', {
      head: `<meta http-equiv="Content-Security-Policy" content="${policy}">`,
      tag,
    }),
  );
  await visitor.launcher.click();
  await expect
    .poll(() =>
      visitor.window
        .locator('img.logo')
        .evaluate((logo: HTMLImageElement) => logo.complete && logo.naturalWidth > 0),
    )
    .toBe(true);
  expect(visitor.errors).toEqual([]);
  const refused = visitor.lines.filter((line) => /Refused|violates/.test(line));
  expect(refused.filter((line) => !line.includes('inline style') && !line.includes('data:,'))).toEqual([]);
});

/** The strict page's own inline style is refused by its policy, so its body font is the browser's: the widget follows it. */
type Measures = Awaited<ReturnType<typeof measuresOf>>;
const same = (measures: Measures): unknown => measures;
function withoutPageFont({ closed, open }: Measures): unknown {
  const plain = (all: Measures['open']) =>
    all.map(({ name, fontSize, color, backgroundColor, hit }) => ({
      name,
      fontSize,
      color,
      backgroundColor,
      hit,
    }));
  return { closed: plain(closed), open: plain(open) };
}

test('[threat 9] the page has one global more than before, and its own scripts go on', async ({
  browser,
}) => {
  const globals = () => Object.getOwnPropertyNames(window).sort();
  const without = await visit(browser, writePage('without', { tag: '' }));
  const before = await without.page.evaluate(globals);
  const visitor = await visit(
    browser,
    writePage('with-scripts', {
      body: '<script>setTimeout(() => { document.body.dataset.ran = "yes" }, 300)</script>',
    }),
  );
  await expect(visitor.launcher).toBeVisible();
  const after = await visitor.page.evaluate(globals);
  expect(after.filter((name) => !before.includes(name))).toEqual(['SunnyPorch']);
  await expect(visitor.page.locator('body')).toHaveAttribute('data-ran', 'yes');
});

test('the launcher comes with four small requests, shifts nothing, and stores nothing before a word was written', async ({
  browser,
}) => {
  const page = await (await browser.newContext()).newPage();
  const asked: string[] = [];
  page.on(
    'request',
    (request) =>
      request.url().startsWith(testServer.app) &&
      asked.push(new URL(request.url()).pathname.split('/').at(-1) ?? ''),
  );
  await page.addInitScript(() => {
    const seen = { shift: 0 };
    Object.assign(window, { seen });
    new PerformanceObserver((list) =>
      list.getEntries().forEach((entry) => (seen.shift += (entry as unknown as { value: number }).value)),
    ).observe({
      type: 'layout-shift',
      buffered: true,
    });
  });
  await page.goto(`${testServer.site}/tonight`);
  await expect(page.locator('sunny-porch .launcher')).toBeVisible();
  // What watches for invitations comes later, and only where there are some.
  const first = asked.filter((name) => !name.startsWith('watch-'));
  expect(first.map((name) => name.replace(/-[0-9a-f]{16}/, ''))).toEqual(
    ['porch.js', 'live.json', 'd1.en.json', 'f7.json'].map((name) =>
      expect.stringMatching(new RegExp(`^${name.replace(/\d/, '\\d+')}$`)),
    ),
  );
  await page.locator('sunny-porch .launcher').click();
  await expect(page.locator('sunny-porch .window')).toBeVisible();
  expect(await page.evaluate(() => (window as unknown as { seen: { shift: number } }).seen.shift)).toBe(0);
  expect(await page.evaluate(() => [localStorage.length, sessionStorage.length, document.cookie])).toEqual([
    0,
    0,
    '',
  ]);
  expect(await page.context().cookies()).toEqual([]);
});

test('an unknown key: the widget stays away, with one line in the console', async ({ browser }) => {
  const visitor = await visit(browser, writePage('unknown-key', { tag: testServer.tag('zzzzzzzzzzzz') }));
  await expect
    .poll(() => visitor.lines.filter((line) => line.startsWith('Sunny Porch:')))
    .toEqual(['Sunny Porch: Unknown data-site. Copy the snippet from Install again.']);
  await expect(visitor.page.locator('sunny-porch')).toHaveCount(0);
  expect(visitor.errors).toEqual([]);
});

test('no key at all, and the tag pasted twice: one line each, one widget at most', async ({ browser }) => {
  const none = await visit(browser, writePage('no-key', { tag: testServer.tag('oops') }));
  await expect.poll(() => none.lines.join()).toContain('Unknown data-site.');
  const twice = await visit(browser, writePage('twice', { tag: testServer.tag() + testServer.tag() }));
  await expect(twice.launcher).toBeVisible();
  await expect(twice.page.locator('sunny-porch')).toHaveCount(1);
  expect(twice.lines.filter((line) => line.includes('twice'))).toHaveLength(1);
});

test('[threat 17] on a foreign site the widget stays away, and says why once', async ({ browser }) => {
  const html = `<!doctype html><title>elsewhere</title><h1>Elsewhere</h1>${testServer.tag()}`;
  const elsewhere: Server = createServer((_request, response) =>
    response.writeHead(200, { 'Content-Type': 'text/html' }).end(html),
  );
  await new Promise<void>((resolve) => elsewhere.listen(0, 'localhost', resolve));
  const visitor = await visit(browser, `http://localhost:${(elsewhere.address() as AddressInfo).port}/`);
  await expect.poll(() => visitor.lines.filter((line) => line.startsWith('Sunny Porch:'))).toHaveLength(1);
  await expect(visitor.page.locator('sunny-porch')).toHaveCount(0);
  expect(visitor.errors).toEqual([]);
  elsewhere.closeAllConnections();
  elsewhere.close();
});

test('never on /privacy; on the others by the language of the page, mirrored in Arabic', async ({
  browser,
}) => {
  const quiet = await (await browser.newContext()).newPage();
  await quiet.addInitScript(() => {
    window.addEventListener('sunnyporch:decided', (event) =>
      Object.assign(window, { decided: (event as CustomEvent<unknown>).detail }),
    );
  });
  await quiet.goto(`${testServer.site}/privacy`);
  await expect
    .poll(() =>
      quiet.evaluate(() => (window as unknown as { decided?: { widget: string | null } }).decided?.widget),
    )
    .toBeNull();
  await expect(quiet.locator('sunny-porch')).toHaveCount(0);
  const portuguese = await visit(browser, `${testServer.site}/pt/tonight`);
  await expect(portuguese.launcher).toHaveText('Deixar uma nota');
  const arabic = await visit(browser, writePage('arabic', { lang: 'ar' }));
  await expect(arabic.launcher).toBeVisible();
  expect((await arabic.launcher.boundingBox())?.x).toBe(20);
  await arabic.launcher.click();
  await expect(arabic.window).toBeVisible();
  expect((await arabic.window.boundingBox())?.x).toBe(20);
  await expectNoAxe(arabic.page, 'the window in Arabic');
});

test('the evening look comes only where the page declares it, and axe finds nothing on the open window in either', async ({
  browser,
}) => {
  const desk = await enterAs(browser, testServer, 'conversations');
  await beIn(desk, true);
  const light = await visit(browser, writePage('light-page'), { colorScheme: 'dark' });
  await expect(light.page.locator('sunny-porch .root')).toHaveAttribute('data-scheme', 'day');
  const dark = await visit(
    browser,
    writePage('dark-page', { head: '<meta name="color-scheme" content="light dark">' }),
    {
      colorScheme: 'dark',
    },
  );
  await expect(dark.page.locator('sunny-porch .root')).toHaveAttribute('data-scheme', 'evening');
  for (const visitor of [light, dark]) {
    await expectNoAxe(visitor.page, 'the launcher');
    await visitor.launcher.click();
    await visitor.say('Is it dark yet?');
    await expectNoAxe(visitor.page, 'waiting');
  }
});

test('a page that replaces its body keeps its widget, and a page that stores nothing still talks', async ({
  browser,
}) => {
  const desk = await enterAs(browser, testServer, 'conversations');
  await beIn(desk, true);
  const visitor = await visit(
    browser,
    writePage('replaces-body', {
      head: `<script>Object.defineProperty(window, 'localStorage', { get() { throw new Error('blocked') } })</script>`,
    }),
  );
  await expect(visitor.launcher).toBeVisible();
  await visitor.page.evaluate(() => document.body.replaceWith(document.createElement('body')));
  await visitor.launcher.click();
  await visitor.say('Does this page store nothing?');
  await expect(visitor.window).toHaveAttribute('data-moment', 'waiting');
  expect(visitor.errors).toEqual([]);
});
