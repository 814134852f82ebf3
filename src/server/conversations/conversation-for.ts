import { RESUMES_WITHIN_MS } from '../../core/model/conversation';
import type { Widget } from '../../core/model/design';
import type { Replies as FormReplies } from '../../core/model/form';
import type { WidgetState } from '../../core/model/moment';
import type { EpochMs } from '../../core/model/units';
import type { VisitorEntry } from '../../core/wire/talk';
import type { Tx } from '../db/open';
import type { KnownSite } from '../facts/known-sites';
import { newId, newIdAfter } from '../ids';
import type { MessageInput } from '../input/visitor.input';
import {
  type ConversationHead,
  type ConversationRow,
  insertConversation,
  isNoteAnswered,
  updateConversation,
} from './conversations.repository';
import { endIn } from './end-talk';
import type { GivenForm } from './forms';
import { insertNote, setVisitorReplies } from './visitors.repository';
import { quietSince, widgetOf } from './widget-asked';

/** What a note brings besides its words. */
export interface GivenNote {
  readonly mail: string;
  readonly name: string | null;
  readonly fields: FormReplies;
}

/** What is said, by whom and under which circumstances: all that a conversation may begin with. */
export interface Beginning {
  readonly siteId: string;
  readonly site: KnownSite;
  readonly visitorId: string;
  readonly teamId: string | null;
  readonly widget: Widget | undefined;
  readonly said: MessageInput;
  readonly replies: GivenNote | null;
  readonly form: GivenForm;
  readonly state: WidgetState;
  readonly isPractice: boolean;
  readonly at: EpochMs;
}

interface Place {
  readonly conversation: ConversationHead;
  /** Whether it begins with what is said now. */
  readonly isBegun: boolean;
  /** The end of the one before it, where the server had not looked yet. */
  readonly ended: readonly VisitorEntry[];
}

/** [M4] The conversation a word goes into: what is not settled yet, what was ended just now, or a new one of the same visitor. */
export async function conversationFor(
  tx: Tx,
  known: ConversationHead | null,
  begin: Beginning,
): Promise<Place> {
  const { siteId, site, replies, at } = begin;
  const goesOn = known === null ? null : await howItGoesOn(tx, known, begin);
  if (known !== null && goesOn === 'as-it-is' && replies === null)
    return { conversation: known, isBegun: false, ended: [] };
  // [M8] What reaches a paused site all the same begins no chat, and is kept.
  const isKept = replies === null && site.site.pausedAt !== null;
  const status = replies === null && !isKept ? 'asked' : 'note';
  const isBegun = known === null || goesOn === null;
  const end =
    isBegun && known !== null && known.status !== 'note'
      ? await endIn(tx, known, { author: 'system', personId: null }, at)
      : null;
  const conversation = isBegun
    ? await beginOne(tx, newRow(begin, status, known?.id ?? null))
    : { ...known, ...askedAnew(begin, status) };
  if (!isBegun) await updateConversation(tx, siteId, known.id, askedAnew(begin, status));
  if (replies !== null) await keepReplies(tx, conversation, replies, begin);
  if (status === 'note') await insertNoteOf(tx, conversation, begin);
  return { conversation, isBegun, ended: end === null ? [] : [end] };
}

/** Whether what is said goes into what the visitor stands in; null: it begins another conversation. */
async function howItGoesOn(
  tx: Tx,
  known: ConversationHead,
  { siteId, site, widget, said, replies, at }: Beginning,
): Promise<'as-it-is' | 'anew' | null> {
  const own = known.widget_key === said.widget ? widget : widgetOf(site, known.widget_key, at);
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
    ends_ms: null,
    ends_by: null,
    assigned_to: null,
    is_done: 0,
    is_practice: isPractice ? 1 : 0,
    ...(said.trail === undefined ? {} : { trail_json: JSON.stringify(said.trail) }),
  };
}

async function beginOne(tx: Tx, row: ConversationRow): Promise<ConversationHead> {
  await insertConversation(tx, row);
  return row;
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
    waiting_ms: null,
    answers_json: null,
    trail_json: null,
    ...askedAnew(begin, status),
  };
}

async function insertNoteOf(
  tx: Tx,
  { site_id: siteId, id, team_id: teamId }: ConversationHead,
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
  { site_id: siteId, id }: ConversationHead,
  replies: GivenNote,
  { visitorId }: Beginning,
): Promise<void> {
  await setVisitorReplies(tx, siteId, visitorId, replies);
  await updateConversation(tx, siteId, id, { answers_json: JSON.stringify(replies) });
}
