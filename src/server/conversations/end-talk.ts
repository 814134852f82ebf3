import { MINUTE_MS, type EpochMs } from '../../core/model/units';
import type { VisitorEntry, VisitorTalk } from '../../core/wire/talk';
import {
  type ConversationHead,
  findConversation,
  listEnding,
  listRunning,
  listSitesAsked,
  updateConversation,
} from './conversations.repository';
import { appendEntry } from './entries.repository';
import { markNotesAnswered } from './visitors.repository';
import type { Tx } from '../db/open';
import { inTransaction } from '../db/transaction';
import { runAside } from '../log';
import type { State } from '../state';
import { deskChannel, tellTeams } from '../facts/presence';
import { findDeskConversation } from './desk-conversations.repository';
import { getTalk } from './talk';
import { type Hearers, tellEntries } from './tell-entry';
import { tellPlaces } from './tell-places';
import { miss, missUnanswerable } from './missed';
import { quietSince, widgetOf } from './widget-asked';
import type { Writer } from './writer';

/** The visitor ends their conversation; harmless where it has ended. Throws TokenError. */
export async function endByVisitor(state: State, writer: Writer): Promise<VisitorTalk | null> {
  const { visitorId, talk } = await getTalk(state, writer);
  if (talk !== null && talk.conversation.standing !== 'ended')
    await end(
      state,
      writer.siteId,
      talk.conversation.id,
      visitorId,
      { author: 'visitor', personId: null },
      writer.at,
    );
  return (await getTalk(state, writer)).talk;
}

/** A responder ends a conversation, or is done with one that was missed; false where it is not on this site. */
export async function endByPerson(
  state: State,
  actor: { siteId: string; personId: string; at: EpochMs },
  id: string,
): Promise<boolean> {
  const row = await findConversation(state.db, actor.siteId, id);
  if (row === null) return false;
  const { siteId, personId, at } = actor;
  if (row.status !== 'ended')
    await end(state, siteId, id, row.visitor_id, { author: 'person', personId }, at);
  else await settle(state, siteId, id, at);
  return true;
}

/** Who ends a conversation: the system where nobody has written for as long as is set. */
interface Ender {
  readonly author: 'visitor' | 'person' | 'system';
  readonly personId: string | null;
}

/** Ends a conversation inside of a transaction; what nobody of ours has answered is missed, unless it was one of ours who ended it. Null where it has ended. */
export async function endIn(
  tx: Tx,
  row: ConversationHead,
  { author, personId }: Ender,
  at: EpochMs,
): Promise<VisitorEntry | null> {
  const { site_id: siteId, id } = row;
  if (row.status === 'ended') return null;
  const isMissed = author !== 'person' && (await miss(tx, row, at));
  await updateConversation(tx, siteId, id, {
    status: 'ended',
    ended_ms: at,
    ended_by: author === 'system' ? 'silence' : author,
    ends_ms: null,
    ends_by: null,
    ...(isMissed ? {} : { missed_ms: null, is_done: 1 }),
  });
  if (!isMissed) await markNotesAnswered(tx, siteId, id, at);
  return appendEntry(
    tx,
    row,
    {
      kind: 'ended',
      author,
      person_id: personId,
      client_id: null,
      body: '',
      page: null,
      written_ms: null,
    },
    at,
  );
}

async function end(
  state: State,
  siteId: string,
  id: string,
  visitorId: string,
  by: Ender,
  at: EpochMs,
): Promise<void> {
  const entry = await inTransaction(state.db, async (tx) => {
    const row = await findConversation(tx, siteId, id);
    return row === null ? null : endIn(tx, row, by, at);
  });
  if (entry !== null) await tellEnd(state, { siteId, visitorId }, entry);
}

async function tellEnd(state: State, hearers: Hearers, entry: VisitorEntry): Promise<void> {
  await tellEntries(state, hearers, [entry]);
  await tellTeams(state, hearers.siteId);
  await tellPlaces(state, hearers.siteId);
}

/** Ends what somebody of ours has ended before, if that still holds: `endsMs` is when it was to end. */
export async function endAsSaid(
  state: State,
  { siteId, id, endsMs }: { siteId: string; id: string; endsMs: EpochMs },
): Promise<void> {
  const at = state.clock.now();
  const ended = await inTransaction(state.db, async (tx) => {
    const row = await findConversation(tx, siteId, id);
    if (row === null || row.ends_ms !== endsMs) return null;
    const entry = await endIn(tx, row, { author: 'person', personId: row.ends_by }, at);
    return entry === null ? null : { entry, visitorId: row.visitor_id };
  });
  if (ended !== null) await tellEnd(state, { siteId, visitorId: ended.visitorId }, ended.entry);
}

/** What was missed is done with, though nobody has answered. */
async function settle(state: State, siteId: string, id: string, at: EpochMs): Promise<void> {
  await inTransaction(state.db, async (tx) => {
    await updateConversation(tx, siteId, id, { missed_ms: null, is_done: 1 });
    await markNotesAnswered(tx, siteId, id, at);
  });
  state.hub.send(deskChannel(siteId), {
    name: 'conversation',
    data: { conversation: await findDeskConversation(state.db, siteId, id) },
  });
}

/** [M4] What has been quiet for as long as its widget allows is ended by the system. Gives how many. */
export async function endQuiet(state: State): Promise<number> {
  const at = state.clock.now();
  let count = 0;
  for (const row of await listRunning(state.db, at - QUIET_LEAST_MS)) {
    const widget = widgetOf(await state.sites.get(row.site_id), row.widget_key, at);
    if (quietSince(row, widget, at) === null) continue;
    await end(state, row.site_id, row.id, row.visitor_id, { author: 'system', personId: null }, at);
    count++;
  }
  return count;
}

/** Nothing goes quiet sooner (the least that `endsAfterQuiet` may be). */
const QUIET_LEAST_MS = 10 * MINUTE_MS;
const LOOK_EVERY_MS = 10 * MINUTE_MS;

/** What time alone does to conversations. */
export async function lookAfter(state: State): Promise<void> {
  await endQuiet(state);
  const due = (await listEnding(state.db)).filter(({ endsMs }) => endsMs <= state.clock.now());
  for (const one of due) await endAsSaid(state, one); // where that did not go through in time
  for (const siteId of await listSitesAsked(state.db)) await missUnanswerable(state, siteId);
}

/** Looks for quiet conversations, and for questions that nobody can answer any more, now and then, for as long as the server runs. */
export function watchQuiet(state: State): void {
  state.clock.wakeAt(state.clock.now() + LOOK_EVERY_MS, () => {
    runAside('quiet conversations', lookAfter(state)); // the next look tries again
    watchQuiet(state);
  });
}
