import { RESUMES_WITHIN_MS } from '../../core/model/conversation';
import type { Widget } from '../../core/model/design';
import type { Replies as FormReplies } from '../../core/model/form';
import type { TeamState, WidgetState } from '../../core/model/moment';
import type { EpochMs } from '../../core/model/units';
import type { SentAnswer, VisitorEntry } from '../../core/wire/talk';
import {
  type ConversationRow,
  findConversationOf,
  insertConversation,
  isNoteAnswered,
  updateConversation,
} from './conversations.repository';
import { getFacts } from './facts.repository';
import { appendEntry, findEntryOfVisitor } from './entries.repository';
import { findPreviewEnd } from '../designs/previews.repository';
import { getSite } from '../accounts/sites.repository';
import { listTeams } from '../facts/teams.repository';
import { insertNote, setVisitorReplies } from './visitors.repository';
import type { Tx } from '../db/open';
import { inTransaction } from '../db/transaction';
import { hashOf, newId, newIdAfter } from '../ids';
import type { MessageInput, NoteInput } from '../input/visitor.input';
import type { State } from '../state';
import { type GivenForm, givenForm, keepForm } from './forms';
import { endIn } from './end-talk';
import { widgetStateAt } from '../facts/widget-state';
import { teamStates } from '../facts/presence';
import { tellEntry } from './tell-entry';
import { tellPlaces } from './tell-places';
import { findWidget, quietSince } from './widget-asked';
import { type Writer, visitorOf } from './writer';

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

/** What a note brings besides its words. */
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
    const seen = await findEntryOfVisitor(tx, siteId, visitorId, said.clientId);
    const widget = await findWidget(tx, siteId, said.widget, at);
    const widgetState = await widgetStateAt({ db: tx, facts: state.facts }, siteId, { widget, states }, at);
    if (known !== null && seen !== null)
      return { visitorId, currentId: known.id, told: [], entry: seen, state: widgetState };
    const form = await givenForm(tx, siteId, replies === null ? 'before' : 'note', said);
    const teamId = await teamFor(tx, siteId, { widget, states, said, form });
    const kept = await keep(tx, known, {
      ...{ siteId, visitorId, teamId, widget, said, replies, form },
      ...{ state: widgetState, isPractice, at },
    });
    return { visitorId, ...kept, state: widgetState };
  });
  const conversation = await getFacts(state.db, siteId, stored.currentId);
  for (const entry of stored.told) await tellEntry(state, siteId, stored.visitorId, entry);
  if (stored.told.length > 0 && replies !== null) await tellPlaces(state, siteId);
  return { conversation, entries: [stored.entry], state: stored.state };
}

interface Asking {
  readonly widget: Widget | undefined;
  readonly states: Readonly<Record<string, TeamState>>;
  readonly said: MessageInput;
  readonly form: GivenForm;
}

/** The team a conversation that begins is for: the one chosen in the form, the one a link asks for, else whoever is in. */
async function teamFor(
  tx: Tx,
  siteId: string,
  { widget, states, said, form }: Asking,
): Promise<string | null> {
  const there = new Set((await listTeams(tx, siteId)).map(({ id }) => id));
  const teams = (widget?.teams ?? []).filter((id) => there.has(id));
  const asked = teams.find((id) => id === form.team) ?? teams.find((id) => id === said.asks);
  return asked ?? teams.find((id) => states[id] === 'in') ?? teams[0] ?? null;
}

interface Kept {
  readonly currentId: string;
  readonly entry: VisitorEntry;
  /** All that came of it, in order. */
  readonly told: readonly VisitorEntry[];
}

/** Stores what was said, with what belongs to it, where it goes. */
async function keep(tx: Tx, known: ConversationRow | null, begin: Beginning): Promise<Kept> {
  const { siteId, replies, form, said, at } = begin;
  const { conversation, isBegun, ended } = await conversationFor(tx, known, begin);
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
  if (isBegun || replies !== null) await keepForm(tx, siteId, conversation.id, form, said, at);
  return { currentId: conversation.id, entry, told: [...ended, entry] };
}

interface Beginning {
  readonly siteId: string;
  readonly visitorId: string;
  readonly teamId: string | null;
  readonly widget: Widget | undefined;
  readonly said: MessageInput;
  readonly replies: Replies | null;
  readonly form: GivenForm;
  readonly state: WidgetState;
  readonly isPractice: boolean;
  readonly at: EpochMs;
}

interface Place {
  readonly conversation: ConversationRow;
  /** Whether it begins with what is said now. */
  readonly isBegun: boolean;
  /** The end of the one before it, where the server had not looked yet. */
  readonly ended: readonly VisitorEntry[];
}

/** [M4] The conversation a word goes into: what is not settled yet, what was ended just now, or a new one of the same visitor. */
async function conversationFor(tx: Tx, known: ConversationRow | null, begin: Beginning): Promise<Place> {
  const { siteId, replies, at } = begin;
  const goesOn = known === null ? null : await howItGoesOn(tx, known, begin);
  if (known !== null && goesOn === 'as-it-is' && replies === null)
    return { conversation: known, isBegun: false, ended: [] };
  // [M8] What reaches a paused site all the same begins no chat, and is kept.
  const isKept = replies === null && (await getSite(tx, siteId)).pausedAt !== null;
  const status = replies === null && !isKept ? 'asked' : 'note';
  const isBegun = known === null || goesOn === null;
  const end =
    isBegun && known !== null && known.status !== 'note'
      ? await endIn(tx, known, { author: 'system', personId: null }, at)
      : null;
  const conversation = isBegun
    ? newRow(begin, status, known?.id ?? null)
    : { ...known, ...askedAnew(begin, status) };
  if (isBegun) await insertConversation(tx, conversation);
  else await updateConversation(tx, siteId, known.id, askedAnew(begin, status));
  if (replies !== null) await keepReplies(tx, conversation, replies, begin);
  if (status === 'note') await insertNoteOf(tx, conversation, begin);
  return { conversation, isBegun, ended: end === null ? [] : [end] };
}

/** Whether what is said goes into what the visitor stands in; null: it begins another conversation. */
async function howItGoesOn(
  tx: Tx,
  known: ConversationRow,
  { siteId, widget, said, replies, at }: Beginning,
): Promise<'as-it-is' | 'anew' | null> {
  const own = known.widget_key === said.widget ? widget : await findWidget(tx, siteId, known.widget_key, at);
  const quiet = quietSince(known, own, at);
  if (known.status !== 'ended' && quiet === null) {
    if (known.status !== 'note') return 'as-it-is';
    return (await isNoteAnswered(tx, siteId, known.id)) ? null : 'as-it-is';
  }
  if (said.anew === true || replies !== null || known.widget_key !== said.widget) return null;
  return at - (known.ended_ms ?? quiet ?? 0) < RESUMES_WITHIN_MS ? 'anew' : null;
}

function askedAnew({ at, isPractice, said }: Beginning, status: 'asked' | 'note') {
  return {
    status,
    asked_ms: at,
    joined_ms: null,
    left_ms: null,
    missed_ms: null,
    ended_ms: null,
    ended_by: null,
    assigned_to: null,
    is_done: 0,
    is_practice: isPractice ? 1 : 0,
    ...(said.trail === undefined ? {} : { trail_json: JSON.stringify(said.trail) }),
  };
}

/** Ids of a visitor's conversations sort as they were begun. */
function newRow(begin: Beginning, status: 'asked' | 'note', before: string | null): ConversationRow {
  const { siteId, visitorId, teamId, said, state, at } = begin;
  return {
    site_id: siteId,
    id: newIdAfter(before, at),
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
  { form, teamId: asked, at }: Beginning,
): Promise<void> {
  await insertNote(tx, siteId, {
    id: newId(at),
    conversationId: id,
    teamId: form.team === null ? teamId : asked,
  });
}

async function keepReplies(
  tx: Tx,
  { site_id: siteId, id }: ConversationRow,
  replies: Replies,
  { visitorId }: Beginning,
): Promise<void> {
  await setVisitorReplies(tx, siteId, visitorId, replies);
  await updateConversation(tx, siteId, id, { answers_json: JSON.stringify(replies) });
}
