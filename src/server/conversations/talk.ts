import { hasGoneQuiet } from '../../core/decide/moment';
import type { Widget } from '../../core/model/design';
import type { Replies as FormReplies } from '../../core/model/form';
import type { WidgetState } from '../../core/model/moment';
import { DAY_MS, type EpochMs } from '../../core/model/units';
import type { SentAnswer, VisitorEntry, VisitorTalk } from '../../core/wire/talk';
import {
  type ConversationRow,
  findConversation,
  findConversationOf,
  getFacts,
  insertConversation,
  updateConversation,
} from './conversations.repository';
import {
  type NewEntry,
  appendEntry,
  findEntryByClientId,
  hasJoined,
  listEntries,
} from './entries.repository';
import { findPreviewEnd } from '../designs/previews.repository';
import { findVersionInForce } from '../designs/versions.repository';
import { getSite } from '../accounts/sites.repository';
import { listTeams } from '../facts/teams.repository';
import {
  findVisitorByToken,
  insertNote,
  insertToken,
  insertVisitor,
  markNotesAnswered,
  setVisitorReplies,
  touchToken,
} from './visitors.repository';
import type { Db, Tx } from '../db/open';
import { inTransaction } from '../db/transaction';
import { hashOf, newId } from '../ids';
import type { MessageInput, NoteInput } from '../input/visitor.input';
import type { State } from '../state';
import { keepForm } from './forms';
import { widgetStateAt } from '../facts/widget-state';
import { teamStates, tellTeams } from '../facts/presence';
import { tellEntry } from './tell-entry';
import { tellPlaces } from './tell-places';

const TOKEN_MS = 30 * DAY_MS;

/** Who writes: a known visitor's token, or none yet. */
export interface Writer {
  readonly siteId: string;
  readonly token: string | null;
  readonly at: EpochMs;
}

/** The token is unknown on this site or ran out. */
export class TokenError extends Error {
  constructor() {
    super('The visitor token is unknown here, or ran out.');
  }
}

/** Stores what a visitor wrote, and only then acknowledges it. Sent twice, it is stored once. Throws TokenError. */
export async function takeMessage(state: State, writer: Writer, said: MessageInput): Promise<SentAnswer> {
  return take(state, writer, said, null);
}

/** Stores a note with its replies. What was said before it stays in the same conversation ([M5]). Throws TokenError. */
export async function takeNote(state: State, writer: Writer, said: NoteInput): Promise<SentAnswer> {
  return take(state, writer, said, {
    mail: said.mail,
    name: said.name === '' ? null : said.name,
    fields: said.replies ?? {},
  });
}

type Replies = { mail: string; name: string | null; fields: FormReplies };

async function take(
  state: State,
  writer: Writer,
  said: MessageInput,
  replies: Replies | null,
): Promise<SentAnswer> {
  const { siteId, at } = writer;
  const states = await teamStates(state, siteId);
  const isPractice =
    said.pass !== undefined && (await findPreviewEnd(state.db, siteId, hashOf(said.pass), at)) !== null;
  const stored = await inTransaction(state.db, async (tx) => {
    const visitorId = await visitorOf(tx, writer, said);
    const known = await findConversationOf(tx, siteId, visitorId);
    const seen =
      known === null ? null : await findEntryByClientId(tx, siteId, known.id, 'visitor', said.clientId);
    if (known !== null && seen !== null)
      return {
        visitorId,
        conversation: known,
        entry: seen,
        isNew: false,
        state: stateFrom(states, known.team_id),
      };
    const widget = await widgetFor(tx, siteId, said.widget, at);
    const teams = await teamsThere(tx, siteId, widget);
    const asked = teams.find((id) => id === said.asks);
    const teamId = asked ?? teams.find((id) => states[id] === 'in') ?? teams[0] ?? null;
    const widgetState = await widgetStateAt({ db: tx, facts: state.facts }, siteId, { widget, states }, at);
    const conversation = await conversationFor(
      tx,
      known,
      { siteId, visitorId, teamId, widget, said, state: widgetState, isPractice, at },
      replies,
    );
    const entry = await appendEntry(
      tx,
      conversation,
      {
        kind: replies === null ? 'message' : 'note',
        author: 'visitor',
        person_id: null,
        client_id: said.clientId,
        body: said.body,
        page: said.page,
        written_ms: null,
      },
      at,
    );
    if (replies !== null) await keepNote(tx, conversation, visitorId, replies, at);
    if (replies !== null) await keepForm(tx, siteId, conversation.id, 'note', said, at);
    else if (known === null) await keepForm(tx, siteId, conversation.id, 'before', said, at);
    return { visitorId, conversation, entry, isNew: true, state: widgetState };
  });
  const conversation = await getFacts(state.db, siteId, stored.conversation.id);
  if (stored.isNew) await tellEntry(state, siteId, stored.visitorId, stored.conversation.id, stored.entry);
  if (stored.isNew && replies !== null) await tellPlaces(state, siteId);
  return { conversation, entries: [stored.entry], state: stored.state };
}

/** The visitor of the token; of a new one, the visitor it was first sent for, or a new one. */
async function visitorOf(tx: Tx, { siteId, token, at }: Writer, said: MessageInput): Promise<string> {
  if (token !== null) {
    const found = await findVisitorByToken(tx, siteId, hashOf(token), at);
    if (found === null) throw new TokenError();
    await touchToken(tx, siteId, hashOf(token), at, at + TOKEN_MS);
    return found;
  }
  if (said.newToken === undefined) throw new TokenError();
  const again = await findVisitorByToken(tx, siteId, hashOf(said.newToken), at);
  if (again !== null) return again;
  const id = newId(at);
  await insertVisitor(tx, siteId, { id, locale: said.locale }, at);
  await insertToken(tx, siteId, id, hashOf(said.newToken), at, at + TOKEN_MS);
  return id;
}

/** The widget of the version in force. */
async function widgetFor(
  db: Db | Tx,
  siteId: string,
  widgetKey: string,
  at: EpochMs,
): Promise<Widget | undefined> {
  const version = await findVersionInForce(db, siteId, at);
  const widgets = version?.design.widgets ?? [];
  return widgets.find(({ key }) => key === widgetKey) ?? widgets[0];
}

async function teamsThere(db: Db | Tx, siteId: string, widget: Widget | undefined): Promise<string[]> {
  const there = new Set((await listTeams(db, siteId)).map(({ id }) => id));
  return (widget?.teams ?? []).filter((id) => there.has(id));
}

interface Beginning {
  readonly siteId: string;
  readonly visitorId: string;
  readonly teamId: string | null;
  readonly widget: Widget | undefined;
  readonly said: MessageInput;
  readonly state: WidgetState;
  readonly isPractice: boolean;
  readonly at: EpochMs;
}

function isQuiet(known: ConversationRow, { widget, at }: Beginning): boolean {
  return (
    widget !== undefined &&
    hasGoneQuiet({ standing: known.status, lastMs: known.last_entry_ms }, widget.timings, at)
  );
}

/** The conversation a word goes into: the one that stands, opened again where it had ended ([M4]), or a new one. */
async function conversationFor(
  tx: Tx,
  known: ConversationRow | null,
  begin: Beginning,
  replies: Replies | null,
): Promise<ConversationRow> {
  const { siteId, at } = begin;
  // [M4] Twelve quiet hours have ended it, whether the server has looked yet or not.
  const isOver = known !== null && (known.status === 'ended' || isQuiet(known, begin));
  if (known !== null && replies === null && !isOver) return known;
  // [M8] What reaches a paused site all the same begins no chat, and is kept.
  const isKept = replies === null && (await getSite(tx, siteId)).pausedAt !== null;
  const status = replies === null && !isKept ? 'asked' : 'note';
  const row = known === null ? newRow(begin, status) : { ...known, ...askedAnew(begin, status) };
  if (known === null) await insertConversation(tx, row);
  else await updateConversation(tx, siteId, known.id, askedAnew(begin, status));
  if (isKept) await insertNoteOf(tx, row, at);
  return row;
}

function askedAnew({ at, isPractice, said }: Beginning, status: 'asked' | 'note') {
  return {
    status,
    asked_ms: at,
    joined_ms: null,
    ended_ms: null,
    ended_by: null,
    assigned_to: null,
    is_practice: isPractice ? 1 : 0,
    ...(said.trail === undefined ? {} : { trail_json: JSON.stringify(said.trail) }),
  };
}

function newRow(begin: Beginning, status: 'asked' | 'note'): ConversationRow {
  const { siteId, visitorId, teamId, said, state, at } = begin;
  return {
    site_id: siteId,
    id: newId(at),
    visitor_id: visitorId,
    team_id: teamId,
    widget_key: said.widget,
    design_file: said.design,
    state_at_start: state,
    page: said.page,
    last_entry_ms: at,
    last_seq: 0,
    answers_json: null,
    trail_json: null,
    ...askedAnew(begin, status),
  };
}

async function insertNoteOf(
  tx: Tx,
  { site_id: siteId, id, team_id: teamId }: ConversationRow,
  at: EpochMs,
): Promise<void> {
  await insertNote(tx, siteId, { id: newId(at), conversationId: id, teamId });
}

async function keepNote(
  tx: Tx,
  conversation: ConversationRow,
  visitorId: string,
  replies: Replies,
  at: EpochMs,
): Promise<void> {
  const { site_id: siteId, id } = conversation;
  await setVisitorReplies(tx, siteId, visitorId, replies);
  await updateConversation(tx, siteId, id, { status: 'note', answers_json: JSON.stringify(replies) });
  await insertNoteOf(tx, conversation, at);
}

/** All that a visitor's conversation holds; null where they have none. Throws TokenError. */
export async function getTalk(
  state: State,
  writer: Writer,
): Promise<{ visitorId: string; talk: VisitorTalk | null }> {
  const visitorId =
    writer.token === null
      ? null
      : await findVisitorByToken(state.db, writer.siteId, hashOf(writer.token), writer.at);
  if (visitorId === null) throw new TokenError();
  const row = await findConversationOf(state.db, writer.siteId, visitorId);
  if (row === null) return { visitorId, talk: null };
  const [conversation, entries] = await Promise.all([
    getFacts(state.db, writer.siteId, row.id),
    listEntries(state.db, writer.siteId, row.id, 0, 5000),
  ]);
  return { visitorId, talk: { conversation, entries } };
}

/** A responder writes: who writes first has joined. Null where the conversation is not on this site. */
export async function replyTo(
  state: State,
  actor: { siteId: string; personId: string; at: EpochMs },
  id: string,
  said: { clientId: string; body: string },
): Promise<VisitorEntry | null> {
  const { siteId, personId, at } = actor;
  const outcome = await inTransaction(state.db, async (tx) => {
    const row = await findConversation(tx, siteId, id);
    if (row === null) return null;
    const seen = await findEntryByClientId(tx, siteId, id, 'person', said.clientId);
    if (seen !== null) return { row, entries: [seen], isNew: false };
    const entries: VisitorEntry[] = [];
    if (row.status !== 'joined' || row.assigned_to !== personId) {
      await updateConversation(tx, siteId, id, {
        status: 'joined',
        joined_ms: row.joined_ms ?? at,
        assigned_to: personId,
        ended_ms: null,
        ended_by: null,
      });
      await markNotesAnswered(tx, siteId, id, at);
      if (!(await hasJoined(tx, siteId, id, personId)))
        entries.push(await appendEntry(tx, row, joinedBy(personId), at));
    }
    entries.push(
      await appendEntry(
        tx,
        row,
        {
          kind: 'message',
          author: 'person',
          person_id: personId,
          client_id: said.clientId,
          body: said.body,
          page: null,
          written_ms: null,
        },
        at,
      ),
    );
    return { row, entries, isNew: true };
  });
  if (outcome === null) return null;
  if (outcome.isNew) {
    for (const entry of outcome.entries) await tellEntry(state, siteId, outcome.row.visitor_id, id, entry);
    await tellTeams(state, siteId);
    await tellPlaces(state, siteId);
  }
  return outcome.entries.at(-1) ?? null;
}

/** Said once per person, however often they take turns. */
function joinedBy(personId: string): NewEntry {
  return {
    kind: 'joined',
    author: 'system',
    person_id: personId,
    client_id: null,
    body: '',
    page: null,
    written_ms: null,
  };
}

function stateFrom(states: Readonly<Record<string, WidgetState>>, teamId: string | null): WidgetState {
  return (teamId === null ? undefined : states[teamId]) ?? 'nobody';
}
