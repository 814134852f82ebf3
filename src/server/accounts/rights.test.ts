import { beforeEach, describe, expect, it } from 'vitest';
import {
  type MadePorch,
  type TestServer,
  madeMember,
  madeMessage,
  madePorch,
  makeTestServer,
  read,
  readFor,
} from '../../../tests/made/test-server';
import { DAY_MS, MINUTE_MS } from '../../core/model/units';
import type { DeskTalk, MadeJoinLink, PeopleView } from '../../core/wire/desk';
import type { SentAnswer, VisitorTalk } from '../../core/wire/talk';
import { connectionOf } from '../db/open';
import { listTeams } from '../facts/teams.repository';
import { newId, newSecret } from '../ids';
import { type Joiner, joinByLink, readJoinLink } from './joining';

let testServer: TestServer;
let porch: MadePorch;
beforeEach(async () => {
  testServer = await makeTestServer();
  porch = await madePorch(testServer, 'farrowisle');
});
const teamId = async (): Promise<string> => (await listTeams(testServer.db, porch.siteId))[0]?.id ?? '';
/** Of a link that was made; the owner's unless another one is given. */
const secretOf = async (
  role = 'responder',
  teamIds: readonly string[] = [],
  as?: string,
): Promise<string> => {
  const response = await porch.desk('POST join-links', { role, teamIds }, as);
  return (await read<MadeJoinLink>(response)).path.replace('/join/', '');
};
const LENA: Joiner = { name: 'Lena Fuchs', mail: 'lena@farrowisle.example', passwordHash: 'x', locale: 'en' };
const join = (secret: string, who: Joiner = LENA) =>
  joinByLink(testServer.state, secret, who, testServer.state.clock.now());
const people = async (as?: string) => read<PeopleView>(await porch.desk('GET people', undefined, as));
const named = async (name: string) => (await people()).people.find((one) => one.name === name);
const later = (ms: number) => testServer.state.clock.moveTo(testServer.state.clock.now() + ms);

describe('a link by which a colleague joins', () => {
  it('brings one person in, with the role and the teams it was made for, and is used up by that', async () => {
    const secret = await secretOf('designer', [await teamId()]);
    expect(await readJoinLink(testServer.state, secret)).toMatchObject({
      siteName: 'farrowisle',
      madeByName: 'Inês Matos',
    });
    expect((await join(secret)).ok).toBe(true);
    expect(await named('Lena Fuchs')).toMatchObject({ role: 'designer', teamIds: [await teamId()] });
    const again = await join(secret, { ...LENA, mail: 'other@farrowisle.example' });
    expect(again).toMatchObject({
      ok: false,
      errors: { '': expect.stringContaining('does not work any more') as unknown },
    });
    expect((await people()).people).toHaveLength(2);
  });

  it('lets one of two in who use it in the same moment', async () => {
    const secret = await secretOf();
    const both = await Promise.all([
      join(secret),
      join(secret, { ...LENA, mail: 'other@farrowisle.example' }),
    ]);
    expect(both.filter(({ ok }) => ok)).toHaveLength(1);
    expect((await people()).people).toHaveLength(2);
  });

  it('ends after seven days, when it is taken back, and when whoever made it is no owner any more', async () => {
    const old = await secretOf();
    later(7 * DAY_MS - MINUTE_MS);
    expect(await readJoinLink(testServer.state, old)).not.toBeNull();
    later(MINUTE_MS);
    expect((await join(old)).ok).toBe(false);
    porch = await madePorch(testServer, 'elsewhere');
    const withdrawn = await secretOf();
    const [link] = (await people()).rights?.links ?? [];
    expect((await porch.desk(`POST join-links/${link?.id}/withdraw`)).status).toBe(200);
    expect((await join(withdrawn)).ok).toBe(false);
    const second = await madeMember(testServer, porch, 'owner', 'rui@elsewhere.example');
    const theirs = await secretOf('owner', [], second.secret);
    await porch.desk(`POST people/${second.personId}/role`, { role: 'responder' });
    expect((await join(theirs)).ok).toBe(false);
  });

  it('is made by owners alone, its secret is kept nowhere, and another site cannot take it back', async () => {
    const rui = await madeMember(testServer, porch, 'designer', 'rui@farrowisle.example');
    expect((await porch.desk('POST join-links', { role: 'responder', teamIds: [] }, rui.secret)).status).toBe(
      403,
    );
    expect((await people(rui.secret)).rights).toBeNull();
    const secret = await secretOf();
    expect(
      JSON.stringify(connectionOf(testServer.db).prepare('SELECT * FROM join_link').all()),
    ).not.toContain(secret);
    const [link] = (await people()).rights?.links ?? [];
    const other = await madePorch(testServer, 'elsewhere');
    expect((await other.desk(`POST join-links/${link?.id}/withdraw`)).status).toBe(404);
    expect((await join(secret)).ok).toBe(true);
  });

  it('is not used up by whoever answers there already, nor by an address that has an account', async () => {
    const secret = await secretOf();
    expect((await join(secret, { personId: porch.ownerId })).ok).toBe(false);
    const taken = await join(secret, { ...LENA, mail: 'ines@farrowisle.example' });
    expect(taken).toMatchObject({
      ok: false,
      errors: { mail: expect.stringContaining('Sign in') as unknown },
    });
    expect((await join(secret)).ok).toBe(true);
  });

  it('leaves out a team that is not of this site', async () => {
    const other = await madePorch(testServer, 'elsewhere');
    const [theirs] = await listTeams(testServer.db, other.siteId);
    await join(await secretOf('responder', [theirs?.id ?? '', await teamId()]));
    expect((await named('Lena Fuchs'))?.teamIds).toEqual([await teamId()]);
  });
});

describe('who may do what', () => {
  it('never leaves a site without an owner', async () => {
    for (const route of ['role', 'remove']) {
      const asked = route === 'role' ? { role: 'designer' } : {};
      expect((await porch.desk(`POST people/${porch.ownerId}/${route}`, asked)).status).toBe(409);
    }
    const rui = await madeMember(testServer, porch, 'owner', 'rui@farrowisle.example');
    expect((await porch.desk(`POST people/${porch.ownerId}/role`, { role: 'designer' })).status).toBe(200);
    expect((await porch.desk(`POST people/${rui.personId}/remove`, {}, rui.secret)).status).toBe(409);
  });

  it('is told at once on the streams of whom it is about', async () => {
    const rui = await madeMember(testServer, porch, 'responder', 'rui@farrowisle.example');
    const stream = await porch.desk('GET stream', undefined, rui.secret);
    await porch.desk(`POST people/${rui.personId}/role`, { role: 'designer' });
    expect(await readFor(stream, (text) => text.includes('event: rights'))).toContain('{"role":"designer"}');
  });

  it('ends for somebody who is removed: access and streams at once, what they wrote stays, and what they were in waits', async () => {
    const rui = await madeMember(testServer, porch, 'responder', 'rui@farrowisle.example');
    const token = newSecret();
    const asked = await porch.visit('POST messages', {
      body: madeMessage('Is it dark yet?', { newToken: token }),
    });
    const { id } = (await read<SentAnswer>(asked)).conversation;
    const said = { clientId: newId(1), body: 'From ten on.' };
    await porch.desk(`POST conversations/${id}/entries`, said, rui.secret);
    const stream = await porch.desk('GET stream', undefined, rui.secret);
    expect((await porch.desk(`POST people/${rui.personId}/remove`)).status).toBe(200);
    const heard = await stream.text(); // to its end
    expect(heard).toContain('event: rights\ndata: {"role":null}');
    expect((await porch.desk('GET people', undefined, rui.secret)).status).toBe(404);
    expect((await porch.desk('GET stream', undefined, rui.secret)).status).toBe(404);
    expect(await named('Rui Faria')).toBeUndefined();
    const { conversation, entries } = await read<DeskTalk>(await porch.desk(`GET conversations/${id}`));
    expect(conversation).toMatchObject({ status: 'asked', leftMs: expect.any(Number) as unknown });
    expect(entries.map(({ name }) => name)).toContain('Rui Faria');
    const visitor = await read<VisitorTalk>(await porch.visit('GET conversation', { token }));
    expect(visitor.entries.find(({ body }) => body === 'From ten on.')?.name).toBe('Rui Faria');
  });

  it('comes back with a new link, for the same account', async () => {
    const rui = await madeMember(testServer, porch, 'designer', 'rui@farrowisle.example');
    await porch.desk(`POST people/${rui.personId}/remove`);
    await join(await secretOf('responder', [await teamId()]), { personId: rui.personId });
    expect(await named('Rui Faria')).toMatchObject({ role: 'responder', teamIds: [await teamId()] });
    expect((await porch.desk('GET people', undefined, rui.secret)).status).toBe(200);
  });

  it('is kept in a log, with who did what to whom, that only owners read', async () => {
    const rui = await madeMember(testServer, porch, 'responder', 'rui@farrowisle.example');
    await join(await secretOf('designer', [await teamId()]));
    await porch.desk(`POST people/${rui.personId}/role`, { role: 'designer' });
    await porch.desk(`POST people/${rui.personId}/role`, { role: 'designer' }); // no change
    await porch.desk(`POST people/${rui.personId}/teams`, { teamIds: [await teamId()] });
    await porch.desk(`POST people/${rui.personId}/remove`);
    const changes = (await people()).rights?.changes ?? [];
    expect(changes.map(({ kind, by, person, role }) => [kind, by, person, role])).toEqual([
      ['removed', 'Inês Matos', 'Rui Faria', null],
      ['teams-set', 'Inês Matos', 'Rui Faria', null],
      ['role-set', 'Inês Matos', 'Rui Faria', 'designer'],
      ['joined', 'Lena Fuchs', 'Lena Fuchs', 'designer'],
      ['link-made', 'Inês Matos', null, 'designer'],
    ]);
    expect(changes.find(({ kind }) => kind === 'joined')?.teams).toEqual(['farrowisle']);
  });
});
