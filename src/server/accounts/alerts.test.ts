import { beforeEach, describe, expect, it } from 'vitest';
import {
  type MadePorch,
  type TestServer,
  madeMember,
  madePorch,
  makeTestServer,
  read,
  readFor,
} from '../../../tests/made/test-server';
import { type AlertSettings, DEFAULT_ALERTS } from '../../core/model/alert-settings';
import type { Overview } from '../../core/wire/desk';
import { connectionOf } from '../db/open';

let testServer: TestServer;
let porch: MadePorch;
beforeEach(async () => {
  testServer = await makeTestServer();
  porch = await madePorch(testServer, 'farrowisle');
});
const overview = async (as?: string) => read<Overview>(await porch.desk('GET overview', undefined, as));
const CHOSEN: AlertSettings = {
  scope: 'all',
  sound: 'bell',
  isNotified: true,
  showsWords: true,
  againMinutes: 10,
  quietHours: { from: 1320, until: 420 },
};

describe('how somebody wants to be told of questions', () => {
  it('is silent and without words until they choose, is kept with them alone, and is theirs on each site', async () => {
    const rui = await madeMember(testServer, porch, 'responder', 'rui@farrowisle.example');
    expect((await overview()).alerts).toEqual({ ...DEFAULT_ALERTS, sound: null, showsWords: false });
    expect((await porch.desk('POST account/alerts', CHOSEN)).status).toBe(200);
    expect((await overview()).alerts).toEqual(CHOSEN);
    expect((await overview(rui.secret)).alerts).toEqual(DEFAULT_ALERTS);
  });

  it('reaches their other tabs and devices at once, and nobody else’s', async () => {
    const rui = await madeMember(testServer, porch, 'responder', 'rui@farrowisle.example');
    const [own, other] = [
      await porch.desk('GET stream'),
      await porch.desk('GET stream', undefined, rui.secret),
    ];
    await porch.desk('POST account/alerts', CHOSEN);
    await porch.desk('POST account/alerts', CHOSEN, rui.secret);
    const heard = await readFor(own, (text) => text.includes('event: alerts'));
    expect(heard.match(/event: alerts/g)).toHaveLength(1);
    expect(await readFor(other, (text) => text.includes('event: alerts'))).toContain('event: alerts');
  });

  it('goes by the teams they are in, which reach their open screens as an owner changes them', async () => {
    const { secret, personId } = await madeMember(testServer, porch, 'responder', 'rui@farrowisle.example');
    const [team] = (await overview(secret)).teams;
    const stream = await porch.desk('GET stream', undefined, secret);
    expect((await overview(secret)).teamIds).toEqual([]);
    expect((await porch.desk(`POST people/${personId}/teams`, { teamIds: [team?.id] })).status).toBe(200);
    expect(await readFor(stream, (text) => text.includes('event: alerts'))).toContain('event: alerts');
    expect((await overview(secret)).teamIds).toEqual([team?.id]);
  });

  it.each([
    ['a sound that there is not', { sound: 'siren' }],
    ['a scope that there is not', { scope: 'everybody' }],
    ['every second', { againMinutes: 1 / 60 }],
    ['a minute that no day has', { quietHours: { from: 0, until: 1440 } }],
    ['hours that are words', { quietHours: 'all day' }],
    ['hours that are not there', { quietHours: undefined }],
    ['more than is asked', { volume: 11 }],
  ])('refuses %s', async (_, changed) => {
    expect((await porch.desk('POST account/alerts', { ...CHOSEN, ...changed })).status).toBe(400);
    expect((await overview()).alerts).toEqual(DEFAULT_ALERTS);
  });

  it('written before a setting was added, is as it comes in that one', async () => {
    connectionOf(testServer.db).prepare(`UPDATE person SET alerts_json = '{"sound":"drops"}'`).run();
    expect((await overview()).alerts).toEqual({ ...DEFAULT_ALERTS, sound: 'drops' });
  });
});
