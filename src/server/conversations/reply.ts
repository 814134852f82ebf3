import type { EpochMs } from '../../core/model/units';
import type { VisitorEntry } from '../../core/wire/talk';
import { type ConversationRow, findConversation, updateConversation } from './conversations.repository';
import { type NewEntry, appendEntry, findEntryByClientId, hasJoined } from './entries.repository';
import { markNotesAnswered } from './visitors.repository';
import type { Tx } from '../db/open';
import { inTransaction } from '../db/transaction';
import type { State } from '../state';
import { endIn } from './end-talk';
import { tellTeams } from '../facts/presence';
import { tellEntry } from './tell-entry';
import { tellPlaces } from './tell-places';
import { findWidget, quietSince } from './widget-asked';

interface Actor {
  readonly siteId: string;
  readonly personId: string;
  readonly at: EpochMs;
}

/**
 * A responder writes. Who writes first in what runs has joined; to a note, a missed question or after the end the answer
 * is only added ([M4]). Null where the conversation is not on this site.
 */
export async function replyTo(
  state: State,
  actor: Actor,
  id: string,
  said: { clientId: string; body: string },
): Promise<VisitorEntry | null> {
  const { siteId, personId, at } = actor;
  const outcome = await inTransaction(state.db, async (tx) => {
    const row = await findConversation(tx, siteId, id);
    if (row === null) return null;
    const seen = await findEntryByClientId(tx, siteId, id, 'person', said.clientId);
    if (seen !== null) return { row, entries: [seen], isNew: false };
    const widget = await findWidget(tx, siteId, row.widget_key, at);
    const end =
      quietSince(row, widget, at) === null
        ? null
        : await endIn(tx, row, { author: 'system', personId: null }, at);
    const isRunning = end === null && (row.status === 'asked' || row.status === 'joined');
    const before = isRunning ? await join(tx, row, actor) : await answerAfterwards(tx, row, actor);
    const answer = await appendEntry(
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
    );
    return { row, entries: [...(end === null ? [] : [end]), ...before, answer], isNew: true };
  });
  if (outcome === null) return null;
  if (outcome.isNew) {
    for (const entry of outcome.entries) await tellEntry(state, siteId, outcome.row.visitor_id, entry);
    await tellTeams(state, siteId);
    await tellPlaces(state, siteId);
  }
  return outcome.entries.at(-1) ?? null;
}

/** Takes a running conversation up, or over; that somebody is here is said once per person, however often they take turns. */
async function join(tx: Tx, row: ConversationRow, { siteId, personId, at }: Actor): Promise<VisitorEntry[]> {
  if (row.status === 'joined' && row.assigned_to === personId) return [];
  await updateConversation(tx, siteId, row.id, {
    status: 'joined',
    joined_ms: row.joined_ms ?? at,
    assigned_to: personId,
    left_ms: null,
    missed_ms: null,
  });
  await markNotesAnswered(tx, siteId, row.id, at);
  return (await hasJoined(tx, siteId, row.id, personId))
    ? []
    : [await appendEntry(tx, row, joinedBy(personId), at)];
}

/** What is over stays over: it is answered, and nobody has joined. */
async function answerAfterwards(
  tx: Tx,
  row: ConversationRow,
  { siteId, personId, at }: Actor,
): Promise<VisitorEntry[]> {
  await updateConversation(tx, siteId, row.id, { assigned_to: personId, missed_ms: null, is_done: 1 });
  await markNotesAnswered(tx, siteId, row.id, at);
  return [];
}

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
