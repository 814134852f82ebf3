import { gzipSync } from 'node:zlib';
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
import { EVENING, madeSite } from '../../../tests/made/site';
import type { DeskTalk } from '../../core/wire/desk';
import { HOUR_MS, MINUTE_MS } from '../../core/model/units';
import type { SentAnswer, VisitorTalk } from '../../core/wire/talk';
import { insertFile } from '../designs/publications.repository';
import { newId, newSecret } from '../ids';
import { addTeam } from '../accounts/team';

let testServer: TestServer;
let porch: MadePorch;
beforeEach(async () => {
  testServer = await makeTestServer();
  porch = await madePorch(testServer, 'farrowisle');
});
const pass = (ms: number) => testServer.state.clock.moveTo(testServer.state.clock.now() + ms);
const say = async (body: string, token: string, more: Record<string, unknown> = {}) =>
  read<SentAnswer>(await porch.visit('POST messages', { token, body: madeMessage(body, more) }));
const ask = async (body = 'Is it dark yet?', more: Record<string, unknown> = {}) => {
  const token = newSecret();
  const message = madeMessage(body, { newToken: token, ...more });
  const answer = await read<SentAnswer>(await porch.visit('POST messages', { body: message }));
  return { token, id: answer.conversation.id, message };
};
const leaveNote = async (token = newSecret()) => {
  const note = madeMessage('Please write', { newToken: token, mail: 'joana@isle.example', name: 'Joana' });
  const { conversation } = await read<SentAnswer>(await porch.visit('POST notes', { body: note }));
  return { token, id: conversation.id };
};
const reply = (id: string, body: string) =>
  porch.desk(`POST conversations/${id}/entries`, { clientId: newId(1), body });
const end = (id: string) => porch.desk(`POST conversations/${id}/end`);
const talkOf = async (token: string) => read<VisitorTalk>(await porch.visit('GET conversation', { token }));
const deskTalk = async (id: string) => read<DeskTalk>(await porch.desk(`GET conversations/${id}`));
const saidIn = (entries: VisitorTalk['entries'] = []) =>
  entries.filter(({ kind }) => kind === 'message' || kind === 'note').map(({ body }) => body);

describe('[M4] what is written after the end', () => {
  it.each([
    ['nine minutes later', { after: 9 }, true],
    ['eleven minutes later', { after: 11 }, false],
    ['at once, where something else is asked', { after: 0, more: { anew: true } }, false],
    ['at once, on another widget', { after: 0, more: { widget: 'telescopes' } }, false],
  ])('%s', async (_, { after, more = {} }: { after: number; more?: Record<string, unknown> }, goesOn) => {
    const { token, id } = await ask();
    await reply(id, 'From ten on.');
    pass(1);
    await end(id);
    pass(after * MINUTE_MS);
    const { conversation } = await say('One more thing', token, more);
    expect(conversation).toMatchObject({ standing: 'asked', joinedMs: null, endedBy: null });
    expect(conversation.id === id).toBe(goesOn);
    const ended = (await deskTalk(id)).conversation;
    expect([ended.status, ended.isDone]).toEqual(goesOn ? ['asked', false] : ['ended', true]);
  });

  it('begins a conversation of the same visitor, with its own team, page, pages on the way and form; the earlier one is readable on both sides', async () => {
    const actor = { siteId: porch.siteId, personId: porch.ownerId, at: EVENING };
    const { id: loans } = await addTeam(testServer.state, actor, {
      key: 'loans',
      name: { en: 'Loans' },
      position: 1,
      personIds: [],
    });
    const draft = await read<{ revision: number }>(await porch.desk('GET draft'));
    const patches = [{ op: 'set', path: ['widgets', 0, 'teams', 1], value: loans }];
    await porch.desk('POST draft', { clientId: newId(1), base: draft.revision, patches, label: 'teams' });
    const now = { remark: '', from: null, until: null, takesBack: false };
    await porch.desk('POST publish', { revision: draft.revision + 1, ...now });
    const form = [
      { id: 'whom', kind: 'team', isRequired: true, words: 'Whom do you ask?' },
      { id: 'nights', kind: 'short', isRequired: true, words: 'How many nights?' },
    ];
    const design = madeSite().design;
    const widgets = design.widgets.map((one) => ({ ...one, forms: { before: form, note: [], after: [] } }));
    const body = gzipSync(JSON.stringify({ ...design, widgets }));
    const name = 'd9-0123456789abcdef';
    const file = {
      name: `${name}.en.json`,
      kind: 'design',
      versionNumber: null,
      factsRevision: null,
    } as const;
    await insertFile(testServer.db, porch.siteId, { ...file, body }, EVENING);

    const { token, id } = await ask();
    await end(id);
    const more = {
      ...{ anew: true, design: name, page: 'https://farrowisle.example/loans' },
      ...{ trail: [['farrowisle.example/loans', 1]], replies: { whom: loans, nights: '3' } },
    };
    const unfit = madeMessage('A telescope?', { ...more, replies: { whom: loans } });
    expect((await porch.visit('POST messages', { token, body: unfit })).status).toBe(400);
    const { conversation } = await say('A telescope?', token, more);
    expect([conversation.id === id, conversation.teamId]).toEqual([false, loans]);
    const desk = await deskTalk(conversation.id);
    expect(desk).toMatchObject({
      conversation: { page: more.page, teamId: loans },
      trail: more.trail,
      forms: [{ replies: [{ values: ['Loans'] }, { values: ['3'] }] }],
    });
    expect([saidIn(desk.earlier), saidIn(desk.entries)]).toEqual([['Is it dark yet?'], ['A telescope?']]);
    const visitor = await talkOf(token);
    expect([saidIn(visitor.earlier), saidIn(visitor.entries)]).toEqual([
      ['Is it dark yet?'],
      ['A telescope?'],
    ]);
    expect((await deskTalk(id)).earlier).toEqual([]);
    const other = await madePorch(testServer, 'elsewhere');
    expect((await other.desk(`GET conversations/${conversation.id}`)).status).toBe(404);
  });

  it('after the quiet hours that the server has not looked at yet, the old one ends first', async () => {
    const { token, id } = await ask();
    pass(13 * HOUR_MS);
    const { conversation } = await say('Still there?', token);
    expect(conversation.id).not.toBe(id);
    const { earlier, entries } = await talkOf(token);
    expect([earlier?.map(({ kind }) => kind), saidIn(entries)]).toEqual([
      ['message', 'ended'],
      ['Still there?'],
    ]);
  });

  it('sent twice it is stored once, also where another conversation has begun meanwhile', async () => {
    const { token, id, message } = await ask();
    await end(id);
    await say('And this?', token, { anew: true });
    const again = await read<SentAnswer>(await porch.visit('POST messages', { token, body: message }));
    expect(again.entries).toMatchObject([{ conversationId: id, body: 'Is it dark yet?' }]);
    const { earlier, entries } = await talkOf(token);
    expect([saidIn(earlier), saidIn(entries)]).toEqual([['Is it dark yet?'], ['And this?']]);
  });
});

describe('[M4] an answer to what is over', () => {
  it('is added and reopens nothing; what the visitor replies begins another conversation', async () => {
    const { token, id } = await leaveNote();
    await reply(id, 'With pleasure.');
    expect((await talkOf(token)).conversation).toMatchObject({
      ...{ id, standing: 'note', isAnswered: true, joinedMs: null, waitingMs: null },
      responderName: 'Inês Matos',
    });
    expect((await deskTalk(id)).conversation).toMatchObject({ status: 'note', isDone: true });
    expect(await testServer.db.selectFrom('note').select('state').execute()).toEqual([{ state: 'done' }]);
    const { conversation } = await say('On Friday?', token);
    expect([conversation.id === id, conversation.standing]).toEqual([false, 'asked']);
  });

  it('what is added to a note that nobody has answered stays one note', async () => {
    const { token, id } = await leaveNote();
    expect((await say('We are nine.', token)).conversation).toMatchObject({ id, standing: 'note' });
  });

  it('a note may be answered while another conversation of its visitor runs, and that one goes on', async () => {
    const { token, id } = await leaveNote();
    await reply(id, 'With pleasure.');
    const running = (await say('On Friday?', token)).conversation.id;
    await reply(running, 'At ten.');
    expect((await reply(id, 'And bring a coat.')).status).toBe(200);
    const talk = await talkOf(token);
    expect(talk.conversation).toMatchObject({ id: running, standing: 'joined' });
    expect([saidIn(talk.earlier), saidIn(talk.entries)]).toEqual([
      ['Please write', 'With pleasure.', 'And bring a coat.'],
      ['On Friday?', 'At ten.'],
    ]);
    // Of both no entry is missing, each counted for itself.
    for (const part of [talk.earlier ?? [], talk.entries])
      expect(part.map(({ seq }) => seq)).toEqual(part.map((_one, index) => index + 1));
  });

  it('an ended conversation stays ended, and after quiet hours it ends before the answer is added', async () => {
    const { token, id } = await ask();
    pass(13 * HOUR_MS);
    await reply(id, 'Sorry, we were out.');
    const { conversation, entries } = await talkOf(token);
    expect(conversation).toMatchObject({ standing: 'ended', endedBy: 'silence', waitingMs: null });
    expect(entries.map(({ kind }) => kind)).toEqual(['message', 'ended', 'message']);
    await reply(id, 'It is dark now.');
    expect((await talkOf(token)).conversation.standing).toBe('ended');
  });
});

describe('[M4] the stream', () => {
  it('carries what was said in all conversations of a visitor, those before under a name of their own', async () => {
    const { token, id } = await leaveNote();
    await reply(id, 'With pleasure.');
    await say('On Friday?', token);
    const { entries, earlier = [] } = await talkOf(token);
    const after = Math.min(...earlier.map((entry) => entry.id));
    const resumed = await porch.visit('GET stream', { token, headers: { 'Last-Event-ID': String(after) } });
    const missed = await readFor(resumed, (text) => text.includes('On Friday?'));
    expect(missed.match(/^event: \S*entry$/gm)).toEqual(['event: earlier-entry', 'event: entry']);
    const live = await porch.visit('GET stream', {
      token,
      headers: { 'Last-Event-ID': String(entries.at(-1)?.id) },
    });
    await reply(id, 'And bring a coat.');
    const told = await readFor(live, (text) => text.includes('a coat'));
    expect(told.match(/^event: \S*entry$/gm)).toEqual(['event: earlier-entry']);
  });
});

describe('[M7] a long talk', () => {
  it('is read in pages, on both sides, without a gap', async () => {
    const { token, id } = await ask('no. 1');
    const at = testServer.state.clock.now();
    const row = { site_id: porch.siteId, conversation_id: id, kind: 'message', stored_ms: at } as const;
    const rows = Array.from({ length: 2400 }, (_, index) => ({
      ...{ ...row, author: 'visitor' as const, seq: index + 2, body: `no. ${index + 2}` },
      ...{ person_id: null, client_id: null, page: null, written_ms: null },
    }));
    while (rows.length > 0) await testServer.db.insertInto('entry').values(rows.splice(0, 200)).execute();
    const whole = Array.from({ length: 2401 }, (_, index) => index + 1);
    const pagesOf = async (get: (query: string) => Promise<VisitorTalk | DeskTalk>) => {
      let seqs: number[] = [];
      let query = '';
      for (let hasEarlier = true; hasEarlier;) {
        const page = await get(query);
        seqs = [...page.entries.map(({ seq }) => seq), ...seqs];
        query = `?before=${page.entries[0]?.id ?? 0}`;
        hasEarlier = page.hasEarlier === true;
      }
      return seqs;
    };
    const asVisitor = async (query: string) =>
      read<VisitorTalk>(await porch.visit(`GET conversation${query}`, { token }));
    const atDesk = async (query: string) =>
      read<DeskTalk>(await porch.desk(`GET conversations/${id}${query}`));
    expect(await pagesOf(asVisitor)).toEqual(whole);
    expect(await pagesOf(atDesk)).toEqual(whole);
  });
});
