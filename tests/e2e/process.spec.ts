import { fork, spawn } from 'node:child_process';
import { cpSync, mkdtempSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { request } from 'node:http';
import { createServer } from 'node:net';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { enterAs, expect, test, useTestServer, visit } from './test-server';
import { widgetScreen } from './screens/widget';

const testServer = useTestServer();

/** Runs a program of ours to its end and gives what it said. */
async function endOf(
  args: readonly string[],
  env: Record<string, string>,
): Promise<{ code: number | null; said: string }> {
  const child = spawn(process.execPath, args, { env: { ...process.env, NODE_ENV: 'production', ...env } });
  let said = '';
  for (const stream of [child.stdout, child.stderr])
    stream.on('data', (part: Buffer) => (said += part.toString()));
  const code = await new Promise<number | null>((resolve) => child.once('exit', resolve));
  return { code, said };
}

test('a second process on the same data says who holds them, and ends', async () => {
  const { code, said } = await endOf(['dist/server/entry.mjs'], {
    PORT: '0',
    PORCH_DATA: testServer.dataDir,
  });
  expect(code).toBe(1);
  expect(said).toContain('Sunny Porch is running on these data already');
});

test('a database of a newer version is left alone, and the server does not start', async () => {
  const dir = mkdtempSync(join(tmpdir(), 'porch-newer-'));
  const file = join(dir, 'sunny-porch.db');
  const newer = new Database(file);
  newer.exec(
    `CREATE TABLE kysely_migration (name TEXT, timestamp TEXT); INSERT INTO kysely_migration VALUES ('209901010000-tomorrow', 'x')`,
  );
  newer.close();
  const { code, said } = await endOf(['dist/server/entry.mjs'], { PORT: '0', PORCH_DATA: dir });
  expect([
    code,
    said.includes('written by a newer version of Sunny Porch (it knows "209901010000-tomorrow")'),
  ]).toEqual([1, true]);
});

test('a failing migration: the server does not start and says which', async () => {
  const dir = mkdtempSync(join(tmpdir(), 'porch-failing-'));
  const half = new Database(join(dir, 'sunny-porch.db'));
  half.exec('CREATE TABLE entry (id TEXT)');
  half.close();
  const { code, said } = await endOf(['dist/server/entry.mjs'], { PORT: '0', PORCH_DATA: dir });
  expect([
    code,
    said.includes(
      'The migration "202611240001-foundations" failed and was undone; the database is as it was.',
    ),
  ]).toEqual([1, true]);
  const after = new Database(join(dir, 'sunny-porch.db'));
  const tables = after
    .prepare(
      `SELECT name FROM sqlite_schema WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND name NOT LIKE 'kysely_%'`,
    )
    .all();
  expect(tables).toEqual([{ name: 'entry' }]);
  after.close();
});

test('a busy port is said in one sentence with the way out, by the server and by the demo', async () => {
  const holder = createServer();
  await new Promise<void>((resolve) => holder.listen(0, '127.0.0.1', resolve));
  const { port } = holder.address() as AddressInfo;
  const dir = mkdtempSync(join(tmpdir(), 'porch-busy-'));
  const server = await endOf(['dist/server/entry.mjs'], { PORT: String(port), PORCH_DATA: dir });
  expect([
    server.code,
    server.said.includes(`Port ${port} is busy.`),
    server.said.includes(`PORT=${port + 1} npm start`),
  ]).toEqual([1, true, true]);
  const demo = await endOf(['scripts/demo.mjs'], { PORT: String(port) });
  expect([demo.code, demo.said.trim()]).toEqual([
    1,
    `Port ${port} is busy. Stop what runs there, or take another one: PORT=${port + 1} npm run demo`,
  ]);
  holder.close();
});

test('[threat 4] nothing changes without an Origin of our own: not by null, another port, the demo site', async () => {
  const paths = ['/signin', `/api/s/${testServer.siteKey}/presence`, `/api/s/${testServer.siteKey}/publish`];
  for (const path of paths)
    for (const origin of [
      undefined,
      'null',
      testServer.site,
      testServer.app.replace('127.0.0.1', 'localhost'),
    ]) {
      const headers: Record<string, string> = {
        'Content-Type': 'application/json',
        ...(origin === undefined ? {} : { Origin: origin }),
      };
      const response = await fetch(testServer.app + path, { method: 'POST', body: '{}', headers });
      expect([path, origin, response.status]).toEqual([path, origin, 403]);
    }
});

test('[threat 7] no page of the application may stand in a frame; what visitors are sent may be read anywhere', async () => {
  for (const path of ['/signin', '/', '/start', `/s/${testServer.siteKey}/design`]) {
    const { headers } = await fetch(testServer.app + path, { redirect: 'manual' });
    expect([
      path,
      headers.get('X-Frame-Options'),
      headers.get('Content-Security-Policy')?.includes("frame-ancestors 'none'"),
    ]).toEqual([path, 'DENY', true]);
  }
  const script = await fetch(`${testServer.app}/w/porch.js`);
  expect([script.headers.get('X-Frame-Options'), script.headers.get('Access-Control-Allow-Origin')]).toEqual([
    null,
    '*',
  ]);
});

test('a broken request for a site’s files answers, and never with a page', async () => {
  for (const [path, status] of [
    [`/w/${testServer.siteKey}/d1-0000000000000000.en.json`, 404],
    [`/w/${testServer.siteKey}/../../etc/passwd`, 404],
    [`/w/${testServer.siteKey}/live.json/more`, 404],
    ['/w/zzzzzzzzzzzz/live.json', 404],
    [`/api/s/${testServer.siteKey}/draft`, 401],
    ['/api/s', 404],
  ] as const)
    expect([path, (await fetch(testServer.app + path)).status]).toEqual([path, status]);
});

test('[threat 15] what nobody can read is refused, and the next request is answered', async () => {
  const { hostname, port } = new URL(testServer.app);
  const statusOf = (
    method: string,
    path: string,
    host = `${hostname}:${port}`,
  ): Promise<number | undefined> =>
    new Promise((resolve, reject) => {
      const options = { hostname, port, method, path, headers: { host } };
      request(options, (answer) => {
        answer.resume();
        resolve(answer.statusCode);
      })
        .on('error', reject)
        .end();
    });
  for (const [status, method, path, host] of [
    [405, 'TRACE', '/'],
    [400, 'OPTIONS', '*'],
    [400, 'GET', '/w/%zz/live.json'],
    [400, 'GET', '/s/%E0%A4%A/today'],
    [400, 'GET', '/', 'a b'],
    [200, 'GET', '/health'],
  ] as const)
    expect([method, path, await statusOf(method, path, host)]).toEqual([method, path, status]);
});

test('[L9] a page opened before an upgrade opens its window after it, with the window it was made for', async ({
  browser,
}) => {
  const visitor = await visit(browser, `${testServer.site}/tonight`);
  await expect(visitor.launcher).toBeVisible();
  const before = JSON.parse(readFileSync('dist/widget/built.json', 'utf8')) as { panel: string };
  await testServer.kill();

  // The next program is built with another window: the file that this page will ask for is not among its own.
  const upgraded = mkdtempSync(join(tmpdir(), 'porch-upgraded-'));
  cpSync('dist/widget', upgraded, { recursive: true });
  const panel = 'panel-00000000000000ff.js';
  for (const coding of ['gz', 'br'])
    renameSync(join(upgraded, `${before.panel}.${coding}`), join(upgraded, `${panel}.${coding}`));
  writeFileSync(join(upgraded, 'built.json'), JSON.stringify({ ...before, panel }));
  testServer.widgetDir = upgraded;
  await testServer.restart();

  const asked: string[] = [];
  visitor.page.on('request', (request) => asked.push(new URL(request.url()).pathname));
  await visitor.launcher.click();
  await expect(visitor.window).toBeVisible();
  expect(asked).toContain(`/w/${before.panel}`);
  await visitor.page.reload();
  await visitor.launcher.click();
  await expect(visitor.window).toBeVisible();
  expect(asked).toContain(`/w/${panel}`);
  testServer.widgetDir = null;
});

test('GET /health answers a supervisor before and after pages are served, and what fails is logged without the address', async () => {
  await expect
    .poll(async () => (await fetch(`${testServer.app}/health`)).json() as Promise<unknown>)
    .toEqual({ database: 'answers', pages: 'served' });
  expect(testServer.printed).toContain('"msg":"Listening."');
  for (const line of testServer.printed.split('\n').filter((one) => one.startsWith('{')))
    expect(() => JSON.parse(line) as unknown, line).not.toThrow();
});

test('[threat 16] behind a proxy that nobody has named: the log says so once, and the owner finds it on Today', async ({
  browser,
}) => {
  const through = (visitor: string) =>
    fetch(`${testServer.app}/w/${testServer.siteKey}/live.json`, {
      headers: { 'X-Forwarded-For': visitor, Origin: testServer.site },
    });
  const told = () => testServer.printed.split('and no proxy is trusted').length - 1;
  const before = told();
  for (const visitor of ['198.51.100.1', '198.51.100.2']) expect((await through(visitor)).status).toBe(200);
  expect([before, told()]).toEqual([0, 1]);
  const page = await enterAs(browser, testServer, 'today');
  await expect(page.getByText('Requests come through a proxy (127.0.0.1)')).toBeVisible();
});

test('browsers are told to keep to TLS where the address is https, and nowhere else', async () => {
  const dir = mkdtempSync(join(tmpdir(), 'porch-tls-'));
  const env = {
    ...process.env,
    NODE_ENV: 'production' as const,
    PORCH_DATA: dir,
    PORT: '0',
    PUBLIC_URL: 'https://porch.example',
  };
  const behindTls = fork('dist/server/entry.mjs', [], { env, silent: true });
  const port = await new Promise<number>((resolve) =>
    behindTls.on(
      'message',
      (told: { kind: string; port: number }) => told.kind === 'listening' && resolve(told.port),
    ),
  );
  const told = async (origin: string) =>
    (await fetch(`${origin}/health`)).headers.get('Strict-Transport-Security');
  expect(await told(`http://127.0.0.1:${port}`)).toBe('max-age=31536000');
  expect(await told(testServer.app)).toBeNull();
  behindTls.kill('SIGKILL');
});

test('plain next start serves the same: the gate, the tag, and a question that is kept', async ({
  browser,
}) => {
  await testServer.kill();
  const port = new URL(testServer.app).port;
  const next = spawn(
    process.execPath,
    ['node_modules/next/dist/bin/next', 'start', '-p', port, '-H', '127.0.0.1'],
    {
      env: { ...process.env, NODE_ENV: 'production', PORCH_DATA: testServer.dataDir, PORT: port },
    },
  );
  await new Promise<void>((resolve) =>
    next.stdout.on('data', (part: Buffer) => part.toString().includes('Ready') && resolve()),
  );
  expect((await fetch(`${testServer.app}/signin`, { method: 'POST' })).status).toBe(403);
  const visitor = await visit(browser, `${testServer.site}/tonight`);
  await visitor.launcher.click();
  await widgetScreen.noteText(visitor.window).fill('Kept by the plain server too?');
  await widgetScreen.email(visitor.window).fill('joana@example.org');
  await widgetScreen.leaveNote(visitor.window).click();
  await expect(visitor.window).toHaveAttribute('data-moment', 'note-left');
  const gone = new Promise((resolve) => next.once('exit', resolve));
  next.kill('SIGKILL');
  await gone;
  await testServer.restart();
});
