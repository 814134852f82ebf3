import { beforeEach, describe, expect, it } from 'vitest';
import {
  type MadePorch,
  type TestServer,
  madeMessage,
  makeTestServer,
  madePorch,
} from '../../../tests/made/test-server';
import { DAY_MS } from '../../core/model/units';
import type { RetentionAnswer } from '../../core/wire/desk';
import type { SentAnswer } from '../../core/wire/talk';
import { newSecret } from '../ids';
import { sweep } from './sweep';

let testServer: TestServer;
let porch: MadePorch;
beforeEach(async () => {
  testServer = await makeTestServer();
  porch = await madePorch(testServer, 'farrowisle');
});

const ask = async (of: MadePorch, token = newSecret()) => {
  const body = madeMessage('Is it dark yet?', { newToken: token });
  return ((await (await of.visit('POST messages', { body })).json()) as SentAnswer).conversation.id;
};
const pass = (days: number) => testServer.state.clock.moveTo(testServer.state.clock.now() + days * DAY_MS);
const idsOf = async (table: 'conversation' | 'visitor') =>
  (await testServer.db.selectFrom(table).select('id').execute()).map(({ id }) => id);
const countOf = async (table: 'entry' | 'session' | 'visitor_token') =>
  (await testServer.db.selectFrom(table).selectAll().execute()).length;
const keepFor = async (days: number, isSure = false) =>
  (await (await porch.desk('POST settings/retention', { days, isSure })).json()) as RetentionAnswer;

describe('the sweep', () => {
  it('deletes conversations after as many days as their site keeps them, with all they hold, and no other’s', async () => {
    const other = await madePorch(testServer, 'elsewhere');
    await keepFor(20);
    const old = await ask(porch);
    const theirs = await ask(other);
    pass(19);
    const young = await ask(porch);
    expect(await sweep(testServer.state)).toBe(0);
    pass(2);
    expect(await sweep(testServer.state)).toBe(1);
    expect((await idsOf('conversation')).sort()).toEqual([theirs, young].sort());
    expect([await countOf('entry'), (await idsOf('visitor')).length]).toEqual([2, 2]);
    expect(old).not.toBe(young);
  });

  it('deletes more than fit into one go, and tells open desks', async () => {
    for (let count = 0; count < 3; count++) await ask(porch);
    await keepFor(1);
    const stream = await porch.desk('GET stream');
    pass(2);
    expect(await sweep(testServer.state)).toBe(3);
    testServer.state.hub.closeAll();
    expect(await stream.text()).toContain('"why":"old"');
  });

  it('keeps no session and no token that has run out', async () => {
    await ask(porch);
    pass(31);
    await sweep(testServer.state);
    expect([await countOf('session'), await countOf('visitor_token')]).toEqual([0, 0]);
    expect(await idsOf('conversation')).toHaveLength(1); // kept for a year, readable at the desk
  });

  it('a shorter time says first how many would be deleted, and holds once that is wanted', async () => {
    await ask(porch);
    await ask(porch);
    pass(10);
    expect(await keepFor(5)).toMatchObject({ olderCount: 2, view: { retentionDays: 365 } });
    expect(await keepFor(11)).toMatchObject({ olderCount: 0, view: { retentionDays: 11 } });
    expect(await keepFor(5, true)).toMatchObject({ olderCount: 0, view: { retentionDays: 5 } });
    for (const days of [0, 1.5, 3651, '7'])
      expect((await porch.desk('POST settings/retention', { days, isSure: true })).status).toBe(400);
  });
});
