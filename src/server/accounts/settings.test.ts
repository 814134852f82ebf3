import { beforeEach, describe, expect, it } from 'vitest';
import { type MadePorch, type TestServer, makeTestServer, madePorch } from '../../../tests/made/test-server';
import type { AccountView, SettingsView } from '../../core/wire/desk';
import { getDraft } from '../designs/draft';
import { readFacts } from '../facts/facts';
import { openSession } from './sign-in';

let testServer: TestServer;
let porch: MadePorch;
beforeEach(async () => {
  testServer = await makeTestServer();
  porch = await madePorch(testServer, 'farrowisle');
});
const read = async <T>(response: Response): Promise<T> => (await response.json()) as T;
const settings = async () => read<SettingsView>(await porch.desk('GET settings'));

describe('settings of a site', () => {
  it('its name is the site’s at once, and stands in the draft for visitors to read', async () => {
    await porch.desk('POST settings/name', { name: '  Farrow Isle Sky ' });
    expect((await settings()).name).toBe('Farrow Isle Sky');
    expect((await getDraft(testServer.db, porch.siteId)).design.siteName).toBe('Farrow Isle Sky');
    expect((await porch.desk('POST settings/name', { name: '' })).status).toBe(400);
  });

  it('its zone is published with the facts', async () => {
    await porch.desk('POST settings/zone', { zone: 'Europe/Lisbon' });
    const { db, state } = testServer;
    expect((await readFacts(db, state.facts, porch.siteId))?.zone).toBe('Europe/Lisbon');
    expect((await porch.desk('POST settings/zone', { zone: 'Mars/Olympus' })).status).toBe(400);
  });

  it('[T8] its place is called in each language as the owner says, until its zone is another', async () => {
    const { db, state } = testServer;
    const places = async () => (await readFacts(db, state.facts, porch.siteId))?.places;
    await porch.desk('POST settings/place', { locale: 'en', place: ' the Azores ' });
    expect(await places()).toEqual({ en: 'the Azores' });
    expect((await settings()).places).toEqual({ en: 'the Azores' });
    for (const locale of ['tlh', '__proto__'])
      expect((await porch.desk('POST settings/place', { locale, place: 'the Azores' })).status).toBe(400);
    await porch.desk('POST settings/place', { locale: 'en', place: '' });
    expect(await places()).toEqual({});
    await porch.desk('POST settings/place', { locale: 'en', place: 'the Azores' });
    await porch.desk('POST settings/zone', { zone: 'Europe/Lisbon' });
    expect(await places()).toEqual({});
  });

  it('[threat 17] an address that is added lets its pages talk, one that is removed no longer does', async () => {
    const from = (origin: string) =>
      porch
        .visit('GET live.json', { origin })
        .then((answer) => answer.headers.get('Access-Control-Allow-Origin'));
    await porch.desk('POST settings/domains', { origin: '*.granite.example' });
    await porch.desk('POST settings/domains', { origin: 'localhost:3000/tonight' });
    expect((await settings()).domains).toEqual(
      expect.arrayContaining(['https://*.granite.example', 'http://localhost:3000']),
    );
    expect(await from('https://www.granite.example')).toBe('https://www.granite.example');
    expect(await from('https://granite.example')).toBeNull();
    await porch.desk('POST settings/domains/remove', { origin: 'https://*.granite.example' });
    expect(await from('https://www.granite.example')).toBeNull();
    expect((await porch.desk('POST settings/domains', { origin: 'no address' })).status).toBe(400);
  });
});

const PASSWORD = 'clear skies tonight';

describe('one’s own account', () => {
  const account = async () => read<AccountView>(await porch.desk('GET account'));

  it('another e-mail or password needs the one that holds; a new password ends every other session', async () => {
    await openSession(testServer.state, porch.ownerId, 'a lost phone', testServer.state.clock.now());
    expect((await account()).sessions.map(({ isThis }) => isThis).sort()).toEqual([false, true]);
    const change = { password: 'wrong', newPassword: 'cloudy skies tonight' };
    expect((await porch.desk('POST account/password', change)).status).toBe(400);
    expect((await account()).sessions).toHaveLength(2);
    expect((await porch.desk('POST account/password', { ...change, password: PASSWORD })).status).toBe(200);
    expect((await account()).sessions).toMatchObject([{ isThis: true }]);
    const mail = { mail: 'sky@farrowisle.example', password: 'cloudy skies tonight' };
    expect((await porch.desk('POST account/mail', { ...mail, password: PASSWORD })).status).toBe(400);
    expect((await porch.desk('POST account/mail', mail)).status).toBe(200);
    expect((await account()).mail).toBe('sky@farrowisle.example');
  });

  it('nobody takes the address of somebody else', async () => {
    const other = await madePorch(testServer, 'elsewhere');
    const { mail } = await read<AccountView>(await other.desk('GET account'));
    const answer = await porch.desk('POST account/mail', { mail, password: PASSWORD });
    expect(answer.status).toBe(400);
    expect((await account()).mail).not.toBe(mail);
  });
});
