import type { EpochMs } from '../../core/model/units';
import type { VisitorEntry } from '../../core/wire/talk';
import { type ConversationHead, findHead, updateConversation } from './conversations.repository';
import { type NewEntry, appendEntry, findEntryByClientId, hasJoined } from './entries.repository';
import { markNotesAnswered } from './visitors.repository';
import type { Tx } from '../db/open';
import type { KnownSite } from '../facts/known-sites';
import type { State } from '../state';
import { endIn } from './end-talk';
import { tellTeams } from '../facts/presence';
import { readTelling, tellEntries } from './tell-entry';
import { tellPlaces } from './tell-places';
import { quietSince, widgetOf } from './widget-asked';

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
  const { siteId } = actor;
  const site = await state.sites.get(siteId);
  return state.commits.store({
    write: async (tx) => {
      const answered = await answerIn(tx, site, actor, { ...said, id });
      if (answered === null) return null;
      const { visitorId, entries } = answered;
      return { ...answered, telling: await readTelling(tx, state, { siteId, visitorId }, { entries }) };
    },
    tell: async (answered, news) => {
      if (answered === null) return null;
      const { visitorId, entries, telling, isNew, hasMoved } = answered;
      if (isNew) await tellEntries(state, { siteId, visitorId }, entries, telling);
      if (hasMoved) {
        news.add(`teams ${siteId}`, () => tellTeams(state, siteId));
        news.add(`places ${siteId}`, () => tellPlaces(state, siteId));
      }
      return entries.at(-1) ?? null;
    },
  });
}

interface Answered {
  readonly visitorId: string;
  /** All that came of it, in order; the answer last. */
  readonly entries: readonly VisitorEntry[];
  readonly isNew: boolean;
  /** Whether somebody else may have room or a place in the line since. */
  readonly hasMoved: boolean;
}

async function answerIn(
  tx: Tx,
  site: KnownSite,
  actor: Actor,
  said: { readonly id: string; readonly clientId: string; readonly body: string },
): Promise<Answered | null> {
  const { siteId, personId, at } = actor;
  const row = await findHead(tx, siteId, said.id);
  if (row === null) return null;
  const seen = await findEntryByClientId(tx, siteId, row.id, 'person', said.clientId);
  if (seen !== null) return { visitorId: row.visitor_id, entries: [seen], isNew: false, hasMoved: false };
  const widget = widgetOf(site, row.widget_key, at);
  const end =
    quietSince(row, widget, at) === null
      ? null
      : await endIn(tx, row, { author: 'system', personId: null }, at);
  const isRunning = end === null && (row.status === 'asked' || row.status === 'joined');
  const isTaken = row.status === 'joined' && row.assigned_to === personId;
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
  return {
    visitorId: row.visitor_id,
    entries: [...(end === null ? [] : [end]), ...before, answer],
    isNew: true,
    hasMoved: end !== null || (isRunning && !isTaken),
  };
}

/** Takes a running conversation up, or over; that somebody is here is said once per person, however often they take turns. */
async function join(tx: Tx, row: ConversationHead, { siteId, personId, at }: Actor): Promise<VisitorEntry[]> {
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
  row: ConversationHead,
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
