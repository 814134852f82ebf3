import { beforeEach, describe, expect, it } from 'vitest';
import {
  type MadePorch,
  type TestServer,
  madeMember,
  madeMessage,
  madePorch,
  makeTestServer,
  read,
} from '../../../tests/made/test-server';
import type { DeskTalk, Overview, TeamsView } from '../../core/wire/desk';
import type { SentAnswer } from '../../core/wire/talk';
import { newId, newSecret } from '../ids';

let testServer: TestServer;
let porch: MadePorch;
beforeEach(async () => {
  testServer = await makeTestServer();
  porch = await madePorch(testServer, 'farrowisle');
});
const teams = async () => (await read<TeamsView>(await porch.desk('GET teams'))).teams;
const add = async (name: string) => {
  const view = await read<TeamsView>(await porch.desk('POST teams', { locale: 'en', name }));
  return view.teams.at(-1) ?? expect.fail('no team was added');
};
/** The public names as visitors' pages would read them now. */
const published = async () => (await read<Overview>(await porch.desk('GET overview'))).facts?.teams ?? {};

describe('the teams of a site', () => {
  it('are added, named in each language, and put in order; visitors read it at once', async () => {
    const schools = await add('School visits');
    expect(schools.key).toBe('school-visits');
    expect((await published())[schools.id]?.name).toEqual({ en: 'School visits' });
    const named = { locale: 'en', name: 'Schools' };
    expect((await porch.desk(`POST teams/${schools.id}/name`, named)).status).toBe(200);
    expect((await published())[schools.id]).toMatchObject({ key: 'school-visits', name: { en: 'Schools' } });
    const [first] = await teams();
    expect((await porch.desk('POST teams/order', { teamIds: [schools.id, first?.id] })).status).toBe(200);
    expect((await teams()).map(({ id }) => id)).toEqual([schools.id, first?.id]);
  });

  it.each([
    [{ locale: 'en', name: '' }, 'the usual language is never without a name'],
    [{ locale: 'pt', name: 'Escolas' }, 'a language that the widget does not speak'],
    [{ locale: 'en', name: 'x'.repeat(61) }, 'a name without end'],
  ])('refuse the name %j: %s', async (asked) => {
    const schools = await add('School visits');
    expect((await porch.desk(`POST teams/${schools.id}/name`, asked)).status).toBe(400);
    expect((await teams()).at(-1)?.name).toEqual({ en: 'School visits' });
  });

  it('cannot be removed while a widget names them, in the draft or in what is live; the owner is told which', async () => {
    const loans = await add('Telescope loans');
    const [first] = await teams();
    expect(first?.inDraft).toEqual([{ widget: expect.any(String) as unknown, how: 'asks' }]);
    expect(first?.inPublished).toEqual(first?.inDraft);
    expect((await porch.desk(`POST teams/${first?.id}/remove`)).status).toBe(409);
    const patches = [{ op: 'set', path: ['widgets', 0, 'teams'], value: [loans.id] }];
    const change = { clientId: newId(3), base: 1, patches, label: 'teams' };
    expect((await porch.desk('POST draft', change)).status).toBe(200);
    expect((await porch.desk(`POST teams/${first?.id}/remove`)).status).toBe(409); // visitors still ask it
    expect((await teams()).map(({ inDraft, inPublished }) => [inDraft.length, inPublished.length])).toEqual([
      [0, 1],
      [1, 0],
    ]);
  });

  it('leave what was asked of them to everybody when they are removed, and are never none', async () => {
    const loans = await add('Telescope loans');
    const token = newSecret();
    const asked = await porch.visit('POST messages', {
      body: madeMessage('Is one free?', { newToken: token }),
    });
    const { id } = (await read<SentAnswer>(asked)).conversation;
    await testServer.db.updateTable('conversation').set({ team_id: loans.id }).where('id', '=', id).execute();
    expect((await porch.desk(`POST teams/${loans.id}/remove`)).status).toBe(200);
    const { conversation } = await read<DeskTalk>(await porch.desk(`GET conversations/${id}`));
    expect(conversation).toMatchObject({ teamId: null, status: 'asked' });
    for (const name of ['One', 'Two', 'Three']) await add(name);
    const [, one] = await teams();
    await porch.desk(`POST teams/${one?.id}/remove`);
    await add('Four'); // last, though a place in between was left
    expect((await teams()).map(({ name }) => name['en'])).toEqual(['farrowisle', 'Two', 'Three', 'Four']);
    for (const team of (await teams()).slice(1)) await porch.desk(`POST teams/${team.id}/remove`);
    const [last] = await teams();
    expect((await porch.desk(`POST teams/${last?.id}/remove`)).status).toBe(409);
  });

  it('are changed by owners alone', async () => {
    const rui = await madeMember(testServer, porch, 'designer', 'rui@farrowisle.example');
    for (const route of ['GET teams', 'POST teams', 'POST teams/order'])
      expect((await porch.desk(route, { locale: 'en', name: 'x', teamIds: [] }, rui.secret)).status).toBe(
        403,
      );
  });
});
