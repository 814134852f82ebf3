import { beforeEach, describe, expect, it } from 'vitest';
import {
  type TestServer,
  type MadePorch,
  makeTestServer,
  madeMember,
  madeMessage,
  madePorch,
  readFor,
} from '../../../tests/made/test-server';
import type { Design } from '../../core/model/design';
import type { PointerV1 } from '../../core/wire/pointer';
import type { DeskConversation } from '../../core/wire/desk';
import type { SentAnswer, VisitorTalk } from '../../core/wire/talk';
import { newId, newSecret } from '../ids';
import { setPresenceChoice } from '../facts/teams.repository';
import { teamStates } from '../facts/presence';
import { addTeam } from '../accounts/team';

let testServer: TestServer;
let porch: MadePorch;
beforeEach(async () => {
  testServer = await makeTestServer();
  porch = await madePorch(testServer, 'farrowisle');
});
const read = async <T>(response: Response): Promise<T> => (await response.json()) as T;

const ask = async (body = 'Is it dark yet?') => {
  const token = newSecret();
  const answer = await read<SentAnswer>(
    await porch.visit('POST messages', { body: madeMessage(body, { newToken: token }) }),
  );
  return { token, id: answer.conversation.id };
};
const reply = (id: string, body: string, clientId = newId(1)) =>
  porch.desk(`POST conversations/${id}/entries`, { clientId, body });
const talkOf = async (token: string) => read<VisitorTalk>(await porch.visit('GET conversation', { token }));
const bodies = ({ entries }: VisitorTalk) => entries.map(({ kind, author, body }) => [kind, author, body]);

describe('a conversation', () => {
  it('goes back and forth in one order for both sides, and ends', async () => {
    const { token, id } = await ask();
    await reply(id, 'From ten on.');
    await porch.visit('POST messages', { token, body: madeMessage('Thank you!') });
    await porch.desk(`POST conversations/${id}/end`);
    const talk = await talkOf(token);
    expect(bodies(talk)).toEqual([
      ['message', 'visitor', 'Is it dark yet?'],
      ['joined', 'house', ''],
      ['message', 'person', 'From ten on.'],
      ['message', 'visitor', 'Thank you!'],
      ['ended', 'person', ''],
    ]);
    const desk = await read<{ entries: VisitorTalk['entries'] }>(await porch.desk(`GET conversations/${id}`));
    expect(desk.entries.map((entry) => [entry.id, entry.seq])).toEqual(
      talk.entries.map((entry) => [entry.id, entry.seq]),
    );
    expect(talk.conversation).toMatchObject({
      standing: 'ended',
      endedBy: 'person',
      responderName: 'Inês Matos',
    });
  });

  it('begins with the team that was asked for, if it answers there; else with whoever is in', async () => {
    const { state } = testServer;
    const actor = { siteId: porch.siteId, personId: porch.ownerId, at: state.clock.now() };
    const { id: schools } = await addTeam(state, actor, {
      key: 'schools',
      name: { en: 'School visits' },
      position: 1,
      personIds: [],
    });
    const { id: loans } = await addTeam(state, actor, {
      key: 'loans',
      name: { en: 'Loans' },
      position: 2,
      personIds: [],
    });
    const { revision, design } = await read<{ revision: number; design: Design }>(
      await porch.desk('GET draft'),
    );
    const [night = ''] = design.widgets[0]?.teams ?? [];
    const patches = [{ op: 'set', path: ['widgets', 0, 'teams', 1], value: schools }];
    await porch.desk('POST draft', { clientId: newId(1), base: revision, patches, label: 'teams' });
    await porch.desk('POST publish', {
      revision: revision + 1,
      remark: '',
      from: null,
      until: null,
      takesBack: false,
    });
    const teamFor = async (asks?: string) => {
      const body = madeMessage('May thirty children come?', {
        newToken: newSecret(),
        ...(asks === undefined ? {} : { asks }),
      });
      return (await read<SentAnswer>(await porch.visit('POST messages', { body }))).conversation.teamId;
    };
    expect([await teamFor(), await teamFor(schools), await teamFor(loans), await teamFor('nobody')]).toEqual([
      night,
      schools,
      night,
      night,
    ]);
  });

  it('[M8] a pause is kept by the server: who talks goes on, and what is new is kept as a note', async () => {
    const { token, id } = await ask();
    await porch.desk('POST pause', { isPaused: true });
    await porch.visit('POST messages', { token, body: madeMessage('Are you there?') });
    expect((await talkOf(token)).conversation.standing).toBe('asked');
    const other = await ask('Nobody saw the pause yet.');
    expect((await talkOf(other.token)).conversation.standing).toBe('note');
    await porch.desk(`POST conversations/${id}/end`);
    await porch.visit('POST messages', { token, body: madeMessage('And now?') });
    expect((await talkOf(token)).conversation.standing).toBe('note');
    expect(await testServer.db.selectFrom('note').select('state').execute()).toEqual([
      { state: 'new' },
      { state: 'new' },
    ]);
  });

  it('says once that somebody is here, however often they take turns', async () => {
    const { token, id } = await ask();
    const rui = await madeMember(testServer, porch, 'responder', 'rui@farrowisle.example');
    await reply(id, 'From ten on.');
    await porch.desk(
      `POST conversations/${id}/entries`,
      { clientId: newId(2), body: 'And it is free.' },
      rui.secret,
    );
    await reply(id, 'For everybody.', newId(3));
    await porch.desk(`POST conversations/${id}/end`);
    await porch.visit('POST messages', { token, body: madeMessage('One more thing.') });
    await reply(id, 'Yes?', newId(4));
    const { entries } = await talkOf(token);
    expect(entries.filter(({ kind }) => kind === 'joined')).toHaveLength(2);
  });

  it('an address that is left without words hides nothing of what was asked', async () => {
    const { token, id } = await ask();
    const note = madeMessage('', { mail: 'ana@farrowisle.example', name: '' });
    expect((await porch.visit('POST notes', { token, body: note })).status).toBe(200);
    const { conversations } = await read<{ conversations: DeskConversation[] }>(
      await porch.desk('GET conversations'),
    );
    expect(conversations).toMatchObject([
      { id, status: 'note', lastBody: 'Is it dark yet?', visitorMail: 'ana@farrowisle.example' },
    ]);
  });

  it('ended twice has one end', async () => {
    const { token, id } = await ask();
    await porch.visit('POST end', { token, body: {} });
    await porch.visit('POST end', { token, body: {} });
    await porch.desk(`POST conversations/${id}/end`);
    expect(bodies(await talkOf(token)).filter(([kind]) => kind === 'ended')).toEqual([
      ['ended', 'visitor', ''],
    ]);
  });

  it('an answer sent twice by the same id is stored once', async () => {
    const { token, id } = await ask();
    const clientId = newId(1);
    await Promise.all([reply(id, 'From ten on.', clientId), reply(id, 'From ten on.', clientId)]);
    expect(bodies(await talkOf(token)).filter(([, author]) => author === 'person')).toHaveLength(1);
  });

  it('messages of many at once keep one gapless order', async () => {
    const { token, id } = await ask();
    await Promise.all(
      Array.from({ length: 8 }, (_, index) =>
        index % 2 === 0
          ? reply(id, `r${index}`)
          : porch.visit('POST messages', { token, body: madeMessage(`v${index}`) }),
      ),
    );
    const { entries } = await talkOf(token);
    expect(entries.map(({ seq }) => seq)).toEqual(entries.map((_, index) => index + 1));
    expect([...entries].sort((a, b) => a.id - b.id)).toEqual(entries);
  });
});

describe('forget', () => {
  it('[V8] [threat 1] deletes the visitor with all they said, nobody else, and only by their own token on their own site', async () => {
    const [mine, theirs] = [await ask('mine'), await ask('theirs')];
    const other = await madePorch(testServer, 'elsewhere');
    expect((await other.visit('POST forget', { token: mine.token, body: {} })).status).toBe(401);
    expect((await porch.visit('POST forget', { body: {} })).status).toBe(401);
    expect((await porch.visit('POST forget', { token: mine.token, body: {} })).status).toBe(200);
    expect((await porch.visit('GET conversation', { token: mine.token })).status).toBe(401);
    expect((await porch.desk(`GET conversations/${mine.id}`)).status).toBe(404);
    expect(
      (await testServer.db.selectFrom('entry').select('body').execute()).map(({ body }) => body),
    ).toEqual(['theirs']);
    expect(bodies(await talkOf(theirs.token))).toEqual([['message', 'visitor', 'theirs']]);
  });
});

describe('the pages on the way', () => {
  it('[V9] come with the first words, stand at the desk, and what is none is refused', async () => {
    const trail = [
      ['farrowisle.example/', 1],
      ['farrowisle.example/tonight', 2],
    ];
    const body = madeMessage('Is it dark?', { newToken: newSecret(), trail });
    const { conversation } = await read<SentAnswer>(await porch.visit('POST messages', { body }));
    expect(
      (await read<{ trail: unknown }>(await porch.desk(`GET conversations/${conversation.id}`))).trail,
    ).toEqual(trail);
    for (const odd of [{}, [['x']], [['x', -1]], [['x'.repeat(2049), 1]], Array(51).fill(['x', 1])])
      expect(
        (
          await porch.visit('POST messages', {
            body: madeMessage('?', { newToken: newSecret(), trail: odd }),
          })
        ).status,
      ).toBe(400);
  });
});

describe('the line', () => {
  it('[M7] counts the team’s questions by when they were asked, and tells whoever waits when it moves on', async () => {
    const [first, second, third] = [await ask('one'), await ask('two'), await ask('three')];
    const placeOf = async ({ token }: { token: string }) => (await talkOf(token)).conversation.place;
    expect([await placeOf(first), await placeOf(second), await placeOf(third)]).toEqual([1, 2, 3]);
    const stream = await porch.visit('GET stream', { token: third.token });
    await reply(first.id, 'Coming.');
    const told = await readFor(stream, (text) => text.includes('"place":2'));
    expect(told.match(/"place":\d/g)).toEqual(['"place":3', '"place":2']);
    await porch.visit('POST end', { token: second.token, body: {} });
    expect([await placeOf(first), await placeOf(second), await placeOf(third)]).toEqual([null, null, 1]);
    const other = await madePorch(testServer, 'elsewhere');
    const answer = await read<SentAnswer>(
      await other.visit('POST messages', { body: madeMessage('there', { newToken: newSecret() }) }),
    );
    expect(answer.conversation.place).toBe(1);
  });
});

describe('the stream', () => {
  it('resumes after the last id: what was missed, no more and no less', async () => {
    const { token, id } = await ask();
    await reply(id, 'one');
    const { entries } = await talkOf(token);
    await reply(id, 'two');
    const stream = await porch.visit('GET stream', {
      token,
      headers: { 'Last-Event-ID': String(entries.at(-1)?.id) },
    });
    const text = await readFor(stream, (so) => so.includes('"two"'));
    expect(text.match(/^event: entry$/gm)).toHaveLength(1);
    expect(text).not.toContain('"one"');
  });

  it('carries an answer as it is written, and nobody else’s', async () => {
    const ana = await ask('I am Ana');
    const rui = await ask('I am Rui');
    const stream = await porch.visit('GET stream', {
      token: ana.token,
      headers: { 'Last-Event-ID': '999999' },
    });
    await reply(rui.id, 'for Rui');
    await reply(ana.id, 'for Ana');
    const text = await readFor(stream, (so) => so.includes('for Ana'));
    expect(text).not.toContain('for Rui');
  });

  it('without a token carries how the teams stand, and no word of anybody', async () => {
    const stream = await porch.visit('GET stream');
    const { id } = await ask('I am Ana');
    await reply(id, 'for Ana');
    await porch.desk('POST presence', { choice: 'in' });
    const text = await readFor(stream, (so) => (so.match(/^event: teams$/gm)?.length ?? 0) > 1);
    expect(text).not.toContain('Ana');
  });

  it('[threat 15] an address has fifty at most of visitors that are not known, whatever they call themselves', async () => {
    const open = (tab: number) => porch.visit(`GET stream?tab=${String(tab).padStart(26, 'a')}`);
    for (let count = 0; count < 50; count++) expect((await open(count)).status).toBe(200);
    expect((await open(50)).status).toBe(429);
    expect((await open(49)).status).toBe(200); // a tab that comes again takes its own place
    expect((await porch.visit('GET stream', { token: newSecret() })).status).toBe(401);
    const { token } = await ask();
    expect((await porch.visit('GET stream', { token })).status).toBe(200);
  });

  it('[threat 15] a visitor has three at most', async () => {
    const { token } = await ask();
    const statuses: number[] = [];
    for (let count = 0; count < 4; count++)
      statuses.push((await porch.visit('GET stream', { token })).status);
    expect(statuses).toEqual([200, 200, 200, 429]);
  });
});

describe('presence', () => {
  const stateNow = async () => Object.values(await teamStates(testServer.state, porch.siteId))[0];
  const come = (personId: string) => {
    const leave = testServer.state.board.arrive(personId);
    testServer.state.board.answer(personId);
    return leave;
  };

  it('[S2] in is said by hand and confirmed by an answer to the ping: neither alone is enough', async () => {
    await setPresenceChoice(testServer.db, porch.siteId, porch.ownerId, 'in');
    expect(await stateNow()).toBe('nobody');
    testServer.state.board.answer(porch.ownerId);
    expect(await stateNow()).toBe('nobody');
    come(porch.ownerId);
    expect(await stateNow()).toBe('in');
    await setPresenceChoice(testServer.db, porch.siteId, porch.ownerId, 'out');
    expect(await stateNow()).toBe('nobody');
  });

  it('[S2] silent for 60 s is out, also with the stream open', async () => {
    await setPresenceChoice(testServer.db, porch.siteId, porch.ownerId, 'in');
    come(porch.ownerId);
    testServer.state.clock.moveTo(testServer.state.clock.now() + 55_000);
    expect(await stateNow()).toBe('in');
    testServer.state.clock.moveTo(testServer.state.clock.now() + 6_000);
    expect(await stateNow()).toBe('nobody');
  });

  it('[S2] any tab counts: closing one of two changes nothing, closing the last one does', async () => {
    await setPresenceChoice(testServer.db, porch.siteId, porch.ownerId, 'in');
    const [first, second] = [come(porch.ownerId), come(porch.ownerId)];
    first();
    testServer.state.clock.moveTo(testServer.state.clock.now() + 4_000);
    expect(await stateNow()).toBe('in');
    second();
    const told = new Promise<void>((resolve) => testServer.state.board.onChange(() => resolve()));
    testServer.state.clock.moveTo(testServer.state.clock.now() + 4_000);
    await told;
    expect(await stateNow()).toBe('nobody');
  });

  it('[S1] everybody in at their limit is busy, and one more with room is in', async () => {
    await testServer.db.updateTable('site_member').set({ chat_limit: 1 }).execute();
    await setPresenceChoice(testServer.db, porch.siteId, porch.ownerId, 'in');
    come(porch.ownerId);
    const { id } = await ask();
    expect(await stateNow()).toBe('in');
    await reply(id, 'hello');
    expect(await stateNow()).toBe('busy');
    await porch.desk(`POST conversations/${id}/end`);
    expect(await stateNow()).toBe('in');
  });

  it('[S1] somebody in of one team says nothing of another, nor of another site', async () => {
    const other = await madePorch(testServer, 'elsewhere');
    const rui = await madeMember(testServer, porch, 'responder', 'rui@farrowisle.example');
    await setPresenceChoice(testServer.db, porch.siteId, rui.personId, 'in');
    come(rui.personId);
    const pointer = await read<PointerV1>(await other.visit('GET live.json'));
    expect([await stateNow(), Object.values(pointer.teams)]).toEqual(['nobody', ['nobody']]);
  });
});
