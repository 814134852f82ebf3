import { describe, expect, it } from 'vitest';
import { madeMember, madePorch, makeTestServer } from '../../../tests/made/test-server';
import { setInstanceValue } from './persons.repository';
import { findMember } from './who';
import { makePasswords } from './passwords';
import { isDemoDoorOpen } from './demo-door';
import { mayOpenSites } from './opening-sites';
import { openPorch } from './first-run';
import { signIn } from './sign-in';

const from = { address: '192.0.2.1', agent: 'test' };

describe('signing in', () => {
  it('opens a session for the right password, in any case of the mail', async () => {
    const testServer = await makeTestServer();
    const porch = await madePorch(testServer, 'farrowisle');
    const session = await signIn(
      testServer.state,
      { mail: 'INES@farrowisle.example', password: 'clear skies tonight' },
      from,
      testServer.state.clock.now(),
    );
    expect(
      session.ok && (await findMember(testServer.state, session.value, porch.key, 'owner')),
    ).toMatchObject({
      role: 'owner',
    });
  });

  it('[threat 3] says the same for a wrong password and an unknown mail', async () => {
    const testServer = await makeTestServer();
    await madePorch(testServer, 'farrowisle');
    const tries = await Promise.all(
      ['ines@farrowisle.example', 'nobody@farrowisle.example'].map((mail) =>
        signIn(testServer.state, { mail, password: 'wrong' }, from, 1),
      ),
    );
    expect(tries[0]).toEqual(tries[1]);
    expect(tries[0]?.ok).toBe(false);
  });

  it('[threat 3] after ten tries even the right password waits', async () => {
    const testServer = await makeTestServer();
    await madePorch(testServer, 'farrowisle');
    const attempt = (password: string) =>
      signIn(testServer.state, { mail: 'ines@farrowisle.example', password }, from, 1);
    for (let count = 0; count < 10; count++) await attempt('wrong');
    expect(await attempt('clear skies tonight')).toMatchObject({
      ok: false,
      errors: { '': expect.stringContaining('Too many tries') as string },
    });
  });

  it('[threat 3] passwords are argon2id with 64 MiB, and two at a time', async () => {
    const passwords = makePasswords();
    const hash = await passwords.hash('clear skies tonight');
    expect(hash).toMatch(/^\$argon2id\$v=19\$m=65536,/);
    expect(await passwords.isRight(hash, 'clear skies tonight')).toBe(true);
    const checks = await Promise.all(Array.from({ length: 5 }, () => passwords.isRight(hash, 'cloudy')));
    expect(checks).toEqual([false, false, false, false, false]);
  });
});

describe('the demo’s door', () => {
  it('[threat 6] stands only in the demo’s own process, with the mark, on loopback, for a loopback name', async () => {
    const { state: real, db } = await makeTestServer();
    const state = { ...real, env: { ...real.env, demoSecret: 'a'.repeat(43) } };
    expect(await isDemoDoorOpen(state, '127.0.0.1:4310')).toBe(false);
    await setInstanceValue(db, 'demo', 'yes');
    expect(await isDemoDoorOpen(real, '127.0.0.1:4310')).toBe(false);
    expect(await isDemoDoorOpen(state, '127.0.0.1:4310')).toBe(true);
    for (const host of ['porch.example', null, '127.0.0.1.evil.example'])
      expect(await isDemoDoorOpen(state, host)).toBe(false);
    expect(await isDemoDoorOpen({ ...state, env: { ...state.env, host: '0.0.0.0' } }, '127.0.0.1:4310')).toBe(
      false,
    );
  });
});

describe('another site', () => {
  it('[threat 5] is opened by the owner of the first one, and in the demo by everybody', async () => {
    const testServer = await makeTestServer();
    const { state } = testServer;
    const first = await madePorch(testServer, 'farrowisle');
    const second = await madePorch(testServer, 'elsewhere');
    const { personId } = await madeMember(testServer, first, 'designer', 'rui@farrowisle.example');
    const may = (id: string, env = state.env) => mayOpenSites({ ...state, env }, id);
    expect([await may(first.ownerId), await may(second.ownerId), await may(personId)]).toEqual([
      true,
      false,
      false,
    ]);
    expect(await may(personId, { ...state.env, demoSecret: 'a'.repeat(43) })).toBe(true);
  });
});

describe('the first run', () => {
  it('makes owner, site, team and a draft in one go, or nothing at all', async () => {
    const { state, db } = await makeTestServer();
    const answers = {
      siteName: 'Farrow Isle',
      siteAddress: '',
      brand: '#7A2E5D',
      name: '',
      mail: 'ines.matos@farrowisle.example',
      password: 'clear skies tonight',
      locale: 'pt',
      zone: 'Atlantic/Azores',
    };
    await openPorch(state, answers, 1);
    expect(await db.selectFrom('person').select('name').execute()).toEqual([{ name: 'Ines Matos' }]);
    await expect(openPorch(state, answers, 1)).rejects.toThrow();
    const counts = await Promise.all(
      (['person', 'site', 'team', 'draft'] as const).map(
        async (table) => (await db.selectFrom(table).selectAll().execute()).length,
      ),
    );
    expect(counts).toEqual([1, 1, 1, 1]);
  });
});
