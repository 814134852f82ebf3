import { hasGoneQuiet } from '../../core/decide/moment';
import { MINUTE_MS, type EpochMs } from '../../core/model/units';
import type { VisitorTalk } from '../../core/wire/talk';
import { findConversation, listRunning, updateConversation } from './conversations.repository';
import { appendEntry } from './entries.repository';
import { findVersionInForce } from '../designs/versions.repository';
import { markNotesAnswered } from './visitors.repository';
import { inTransaction } from '../db/transaction';
import { runAside } from '../log';
import type { State } from '../state';
import { tellTeams } from '../facts/presence';
import { type Writer, getTalk } from './talk';
import { tellEntry } from './tell-entry';
import { tellPlaces } from './tell-places';

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

/** A responder ends a conversation; false where it is not on this site. */
export async function endByPerson(
  state: State,
  actor: { siteId: string; personId: string; at: EpochMs },
  id: string,
): Promise<boolean> {
  const row = await findConversation(state.db, actor.siteId, id);
  if (row === null) return false;
  if (row.status !== 'ended')
    await end(
      state,
      actor.siteId,
      id,
      row.visitor_id,
      { author: 'person', personId: actor.personId },
      actor.at,
    );
  return true;
}

async function end(
  state: State,
  siteId: string,
  id: string,
  visitorId: string,
  by: { author: 'visitor' | 'person' | 'system'; personId: string | null },
  at: EpochMs,
): Promise<void> {
  const entry = await inTransaction(state.db, async (tx) => {
    const row = await findConversation(tx, siteId, id);
    if (row === null || row.status === 'ended') return null;
    await updateConversation(tx, siteId, id, {
      status: 'ended',
      ended_ms: at,
      ended_by: by.author === 'system' ? 'silence' : by.author,
    });
    await markNotesAnswered(tx, siteId, id, at);
    return appendEntry(
      tx,
      row,
      {
        kind: 'ended',
        author: by.author,
        person_id: by.personId,
        client_id: null,
        body: '',
        page: null,
        written_ms: null,
      },
      at,
    );
  });
  if (entry === null) return;
  await tellEntry(state, siteId, visitorId, id, entry);
  await tellTeams(state, siteId);
  await tellPlaces(state, siteId);
}

/** [M4] What has been quiet for as long as its widget allows is ended by the system. Gives how many. */
export async function endQuiet(state: State): Promise<number> {
  const at = state.clock.now();
  let count = 0;
  for (const row of await listRunning(state.db, at - QUIET_LEAST_MS)) {
    const version = await findVersionInForce(state.db, row.site_id, at);
    const widget =
      version?.design.widgets.find(({ key }) => key === row.widget_key) ?? version?.design.widgets[0];
    if (
      widget === undefined ||
      !hasGoneQuiet({ standing: row.status, lastMs: row.last_entry_ms }, widget.timings, at)
    )
      continue;
    await end(state, row.site_id, row.id, row.visitor_id, { author: 'system', personId: null }, at);
    count++;
  }
  return count;
}

/** Nothing goes quiet sooner (the least that `endsAfterQuiet` may be). */
const QUIET_LEAST_MS = 10 * MINUTE_MS;
const LOOK_EVERY_MS = 10 * MINUTE_MS;

/** Looks for quiet conversations now and then, for as long as the server runs. */
export function watchQuiet(state: State): void {
  state.clock.wakeAt(state.clock.now() + LOOK_EVERY_MS, () => {
    runAside('quiet conversations', endQuiet(state)); // the next look tries again
    watchQuiet(state);
  });
}
