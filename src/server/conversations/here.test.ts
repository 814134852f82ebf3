import { beforeEach, describe, expect, it } from 'vitest';
import {
  type MadePorch,
  type TestServer,
  madeMessage,
  madePorch,
  makeTestServer,
  read,
  readFor,
} from '../../../tests/made/test-server';
import { SECOND_MS } from '../../core/model/units';
import type { DeskTalk } from '../../core/wire/desk';
import type { SentAnswer } from '../../core/wire/talk';
import { newSecret } from '../ids';

let testServer: TestServer;
let porch: MadePorch;
let token: string;
let id: string;
beforeEach(async () => {
  testServer = await makeTestServer();
  porch = await madePorch(testServer, 'farrowisle');
  token = newSecret();
  const body = madeMessage('Is it dark yet?', {
    newToken: token,
    page: 'https://farrowisle.example/tonight?a=1',
  });
  id = (await read<SentAnswer>(await porch.visit('POST messages', { body }))).conversation.id;
});
const pass = (ms: number) => testServer.state.clock.moveTo(testServer.state.clock.now() + ms);
const here = (moment: string, page?: string, as = token) =>
  porch.visit('POST here', {
    token: as,
    body: { moment, ...(page === undefined ? {} : { step: [`farrowisle.example${page}`, 1] }) },
  });
const atDesk = async () => read<DeskTalk>(await porch.desk(`GET conversations/${id}`));

describe('where a visitor is', () => {
  it('[V9] is told to the desk with what they see: the page since when, and the pages since the question; nothing is known before', async () => {
    expect(await atDesk()).toMatchObject({ visitorNow: null, trail: [] });
    const desk = await porch.desk('GET stream');
    await here('waiting', '/tonight');
    expect(await atDesk()).toMatchObject({
      visitorNow: {
        moment: 'waiting',
        page: ['farrowisle.example/tonight', expect.any(Number)],
        goneMs: null,
      },
      trail: [],
    });
    const since = testServer.state.clock.now();
    await here('slow-reply', '/sky-log');
    const { visitorNow, trail } = await atDesk();
    pass(SECOND_MS);
    await here('talking', '/sky-log'); // the same page, since the same time
    expect((await atDesk()).visitorNow).toEqual({ ...visitorNow, moment: 'talking' });
    expect(trail.map(([address]) => address)).toEqual(['farrowisle.example/sky-log']);
    expect(visitorNow?.page?.[1]).toBeGreaterThanOrEqual(since);
    const told = await readFor(desk, (text) => text.includes('"talking"'));
    expect(told.match(/^event: visitor-now$/gm)).toHaveLength(3);
    await here('waiting'); // no page may be known any more
    expect((await atDesk()).visitorNow?.page).toBeNull();
  });

  it('they have left once their last stream is closed, but not while one page follows another', async () => {
    await here('talking', '/tonight');
    const open = () => porch.visit('GET stream', { token });
    const [one, two] = [await open(), await open()];
    await one.body?.cancel();
    pass(6 * SECOND_MS);
    expect((await atDesk()).visitorNow?.goneMs).toBeNull();
    await two.body?.cancel();
    const next = await open();
    pass(6 * SECOND_MS);
    expect((await atDesk()).visitorNow?.goneMs).toBeNull();
    const desk = await porch.desk('GET stream');
    const at = testServer.state.clock.now();
    await next.body?.cancel();
    pass(6 * SECOND_MS);
    await readFor(desk, (text) => text.includes('"goneMs":1'));
    expect((await atDesk()).visitorNow?.goneMs).toBeLessThan(at + SECOND_MS);
    await here('talking', '/tonight');
    expect((await atDesk()).visitorNow?.goneMs).toBeNull();
  });

  it('who closes the window after the end has not left: nothing is known any more', async () => {
    await here('goodbye', '/tonight');
    const stream = await porch.visit('GET stream', { token });
    await porch.desk(`POST conversations/${id}/end`);
    const desk = await porch.desk('GET stream');
    await stream.body?.cancel();
    pass(6 * SECOND_MS);
    await readFor(desk, (text) => text.includes('"now":null'));
    expect((await atDesk()).visitorNow).toBeNull();
  });

  it('[threat 2] [threat 15] only their own token tells it, of a moment that there is, sixty times a minute, and forgetting forgets it', async () => {
    const other = await madePorch(testServer, 'elsewhere');
    const as = { token, body: { moment: 'talking' } };
    expect((await other.visit('POST here', as)).status).toBe(401);
    expect((await porch.visit('POST here', { body: { moment: 'talking' } })).status).toBe(401);
    expect((await here('dancing')).status).toBe(400);
    const odd = { moment: 'talking', step: ['x'.repeat(3000), 1] };
    expect((await porch.visit('POST here', { token, body: odd })).status).toBe(400);
    const statuses: number[] = []; // one was spent at the other site
    for (let count = 0; count < 60; count++) statuses.push((await here('talking', `/${count}`)).status);
    expect([statuses.filter((status) => status === 200).length, statuses.at(-1)]).toEqual([59, 429]);
    expect((await atDesk()).trail).toHaveLength(50);
    const visitor = await testServer.db.selectFrom('visitor').select('id').executeTakeFirstOrThrow();
    await porch.visit('POST forget', { token, body: {} });
    expect(testServer.state.whereabouts.get(porch.siteId, visitor.id)).toBeNull();
  });
});
