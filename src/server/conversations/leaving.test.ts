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
import { HOUR_MS, MINUTE_MS, SECOND_MS } from '../../core/model/units';
import type { DeskTalk } from '../../core/wire/desk';
import type { SentAnswer, VisitorTalk } from '../../core/wire/talk';
import { newId, newSecret } from '../ids';
import { endQuiet, lookAfter } from './end-talk';
import { watchPresence } from './leaving';

let testServer: TestServer;
let porch: MadePorch;
let close: () => void;
let gone: Promise<void>;
beforeEach(async () => {
  testServer = await makeTestServer();
  porch = await madePorch(testServer, 'farrowisle');
  watchPresence(testServer.state);
  gone = new Promise((resolve) => {
    testServer.state.board.onChange((id) => testServer.state.board.isThere(id) || resolve());
  });
  close = come(porch.ownerId);
  await porch.desk('POST presence', { choice: 'in' });
});
const come = (personId: string) => {
  const leave = testServer.state.board.arrive(personId);
  testServer.state.board.answer(personId);
  return leave;
};
/** Their place is kept for a while: until the board has told of them, and twenty seconds more. */
const later = async () => {
  await gone;
  pass(21 * SECOND_MS);
};
const pass = (ms: number) => testServer.state.clock.moveTo(testServer.state.clock.now() + ms);
/** Waits until a visitor is told that whoever answered has left. */
const toldOf = async (token: string) => {
  const stream = await porch.visit('GET stream', { token, headers: { 'Last-Event-ID': '999999' } });
  return readFor(stream, (text) => text.includes('"leftMs":1'));
};
const ask = async (more: Record<string, unknown> = {}) => {
  const token = newSecret();
  const message = madeMessage('Is it dark yet?', { newToken: token, ...more });
  const answer = await read<SentAnswer>(await porch.visit('POST messages', { body: message }));
  return { token, id: answer.conversation.id };
};
const say = (token: string, body: string) => porch.visit('POST messages', { token, body: madeMessage(body) });
const reply = (id: string, as?: string) =>
  porch.desk(`POST conversations/${id}/entries`, { clientId: newId(1), body: 'From ten on.' }, as);
const talkOf = async (token: string) => read<VisitorTalk>(await porch.visit('GET conversation', { token }));
const atDesk = async (id: string) =>
  (await read<DeskTalk>(await porch.desk(`GET conversations/${id}`))).conversation;

describe('[M3] a responder who leaves in the midst of a conversation', () => {
  const ways: readonly [string, () => Promise<unknown> | void][] = [
    ['says so', () => porch.desk('POST presence', { choice: 'out' })],
    [
      'falls silent',
      () => {
        pass(61 * SECOND_MS);
        return later();
      },
    ],
    [
      'signs out',
      () => {
        close();
        pass(4 * SECOND_MS);
        return later();
      },
    ],
  ];
  it.each(ways)('%s: it is asked again with its team, and the visitor is told', async (_, leave) => {
    const { token, id } = await ask();
    await reply(id);
    const before = (await talkOf(token)).conversation;
    const told = toldOf(token);
    await leave();
    expect(await told).toContain('"standing":"asked"');
    expect((await talkOf(token)).conversation).toEqual({
      ...before,
      ...{ standing: 'asked', joinedMs: null, leftMs: expect.any(Number) as number, place: 1 },
    });
    expect(await atDesk(id)).toMatchObject({ status: 'asked', responderId: porch.ownerId, isDone: false });
  });

  it('who is back within twenty seconds has not left', async () => {
    const { token, id } = await ask();
    await reply(id);
    close();
    pass(4 * SECOND_MS);
    await gone;
    come(porch.ownerId);
    pass(21 * SECOND_MS);
    await porch.desk('GET overview');
    expect((await talkOf(token)).conversation.standing).toBe('joined');
  });

  it('nobody else is left: what another one has joined goes on, and so does what is theirs on another site', async () => {
    const rui = await madeMember(testServer, porch, 'responder', 'rui@farrowisle.example');
    come(rui.personId);
    const { token, id } = await ask();
    await reply(id, rui.secret);
    await porch.desk('POST presence', { choice: 'out' });
    expect((await talkOf(token)).conversation.standing).toBe('joined');
  });

  it('who comes back, or takes over, has joined again, and it is said once', async () => {
    const { token, id } = await ask();
    await reply(id);
    await porch.desk('POST presence', { choice: 'out' });
    await porch.desk('POST presence', { choice: 'in' });
    await reply(id);
    const { conversation, entries } = await talkOf(token);
    expect(conversation).toMatchObject({ standing: 'joined', leftMs: null });
    expect(entries.filter(({ kind }) => kind === 'joined')).toHaveLength(1);
  });

  it('whoever was there before the server started, and does not come back within a minute, has left', async () => {
    const { token, id } = await ask();
    await reply(id);
    testServer.state.board.answer(porch.ownerId);
    close();
    const started = { ...testServer.state, board: { ...testServer.state.board, isThere: () => false } };
    watchPresence(started);
    const told = toldOf(token);
    pass(61 * SECOND_MS);
    await told;
    expect((await talkOf(token)).conversation.standing).toBe('asked');
  });
});

describe('a question that ends unanswered', () => {
  const missed = { isDone: false, missedMs: expect.any(Number) as number };

  it('is missed, by the visitor or after the quiet hours, and stays open until it is answered or settled', async () => {
    const [given, quiet, over] = [await ask(), await ask(), await ask()];
    await porch.visit('POST end', { token: given.token, body: {} });
    await porch.visit('POST end', { token: over.token, body: {} });
    pass(13 * HOUR_MS);
    await endQuiet(testServer.state);
    for (const { id } of [given, quiet, over])
      expect(await atDesk(id)).toMatchObject({ ...missed, status: 'ended' });
    const { conversations } = await read<{ conversations: { id: string }[] }>(
      await porch.desk('GET conversations'),
    );
    expect(new Set(conversations.map(({ id }) => id))).toEqual(new Set([given.id, quiet.id, over.id]));
    await reply(given.id);
    await porch.desk(`POST conversations/${over.id}/end`);
    for (const { id } of [given, over])
      expect(await atDesk(id)).toMatchObject({ isDone: true, missedMs: null, status: 'ended' });
  });

  it('is not missed where one of ours has answered, or has ended it', async () => {
    const [answered, ended] = [await ask(), await ask()];
    await reply(answered.id);
    await say(answered.token, 'Thank you!');
    await porch.visit('POST end', { token: answered.token, body: {} });
    await porch.desk(`POST conversations/${ended.id}/end`);
    for (const { id } of [answered, ended])
      expect(await atDesk(id)).toMatchObject({ isDone: true, missedMs: null });
  });

  it('is missed too where whoever answered left, and what was asked since has no answer', async () => {
    const { token, id } = await ask();
    await reply(id);
    pass(1);
    await porch.desk('POST presence', { choice: 'out' });
    await say(token, 'And on Friday?');
    await porch.visit('POST end', { token, body: {} });
    expect(await atDesk(id)).toMatchObject(missed);
  });

  it('becomes a note where an address is known', async () => {
    const token = newSecret();
    const note = madeMessage('Please write', { newToken: token, mail: 'joana@isle.example', name: 'Joana' });
    const first = (await read<SentAnswer>(await porch.visit('POST notes', { body: note }))).conversation.id;
    await reply(first);
    await say(token, 'On Friday?');
    const { id } = (await talkOf(token)).conversation;
    await porch.visit('POST end', { token, body: {} });
    expect(await atDesk(id)).toMatchObject({ ...missed, visitorMail: 'joana@isle.example' });
    const notes = await testServer.db.selectFrom('note').select(['conversation_id', 'state']).execute();
    expect(notes).toContainEqual({ conversation_id: id, state: 'new' });
    await reply(id);
    expect(await testServer.db.selectFrom('note').select('state').distinct().execute()).toEqual([
      { state: 'done' },
    ]);
  });

  it('is missed as soon as nobody can answer any more, with no page of the visitor open, but not where it is kept', async () => {
    const { token, id } = await ask();
    await porch.desk('POST presence', { choice: 'out' });
    expect(await atDesk(id)).toMatchObject({ ...missed, status: 'asked' });
    expect((await talkOf(token)).conversation.standing).toBe('asked');
    await porch.desk('POST presence', { choice: 'in' });
    await reply(id);
    expect(await atDesk(id)).toMatchObject({ missedMs: null, status: 'joined' });
    const draft = await read<{ revision: number }>(await porch.desk('GET draft'));
    const patches = [{ op: 'set', path: ['widgets', 0, 'talks', 'keepsWaiting'], value: true }];
    await porch.desk('POST draft', { clientId: newId(1), base: draft.revision, patches, label: 'keep' });
    const now = { remark: '', from: null, until: null, takesBack: false };
    await porch.desk('POST publish', { revision: draft.revision + 1, ...now });
    const kept = await ask();
    await porch.desk('POST presence', { choice: 'out' });
    pass(11 * MINUTE_MS);
    await lookAfter(testServer.state);
    expect(await atDesk(kept.id)).toMatchObject({ status: 'asked', missedMs: null });
  });
});
