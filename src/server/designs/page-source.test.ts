import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { type TestServer, type MadePorch, makeTestServer, madePorch } from '../../../tests/made/test-server';
import { getSite, insertDomain } from '../accounts/sites.repository';
import { pageSource } from './page-source';

let testServer: TestServer;
let porch: MadePorch;
const server = createServer((_, response) => void response.end('<a class="contact">Write</a>'));
let origin = '';
beforeEach(async () => {
  testServer = await makeTestServer();
  porch = await madePorch(testServer, 'farrowisle');
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  origin = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterEach(() => new Promise((resolve) => server.close(resolve)));

const ask = (address: string) => porch.desk('POST page-source', { address });
const errorResponse = async (response: Response) => [
  response.status,
  ((await response.json()) as { errors: Record<string, string> }).errors[''],
];

it('[threat 14] opens pages of the site’s own addresses, and no others', async () => {
  expect(await errorResponse(await ask(`${origin}/tonight`))).toEqual([
    400,
    expect.stringContaining('own addresses'),
  ]);
  await insertDomain(testServer.db, porch.siteId, origin, true);
  const got = await ask(`${origin}/tonight`);
  expect([got.status, await got.json(), got.headers.get('Cache-Control')]).toEqual([
    200,
    { address: `${origin}/tonight`, type: '', text: '<a class="contact">Write</a>' },
    'no-store',
  ]);
  expect((await errorResponse(await ask('https://elsewhere.example/')))[0]).toBe(400);
  expect((await ask('file:///etc/passwd')).status).toBe(400);
});

it('[threat 14] a site on this computer is opened only by a house that is for this computer alone', async () => {
  await insertDomain(testServer.db, porch.siteId, origin, true);
  const site = await getSite(testServer.db, porch.siteId);
  const open = { ...testServer.state, env: { ...testServer.state.env, publicUrl: 'https://porch.example' } };
  const everywhere = { ...testServer.state, env: { ...testServer.state.env, host: '0.0.0.0' } };
  for (const state of [open, everywhere])
    expect(await pageSource(state, site, `${origin}/`)).toEqual({
      ok: false,
      errors: { '': expect.stringContaining('private network') as string },
    });
  expect((await pageSource(testServer.state, site, `${origin}/`)).ok).toBe(true);
});

it('[threat 15] so many pages a minute, and no more', async () => {
  const statuses = [];
  for (let count = 0; count < 241; count++)
    statuses.push((await errorResponse(await ask('https://elsewhere.example/')))[1]);
  expect(statuses[239]).toContain('own addresses');
  expect(statuses[240]).toMatch(/in \d+ seconds/);
});
