import { SECOND_MS } from '../../core/model/units';
import type { Actor } from '../actor';
import { inTransaction } from '../db/transaction';
import { runAside } from '../log';
import type { State } from '../state';
import { deskChannel } from '../facts/presence';
import { findConversation, listEnding, updateConversation } from './conversations.repository';
import { findDeskConversation } from './desk-conversations.repository';
import { endAsSaid, endByPerson } from './end-talk';

/** So long an end can be undone; the visitor is told nothing before. */
const UNDO_MS = 10 * SECOND_MS;

/** Ends a conversation ten seconds from now, unless that is undone or something is said; what is over is done with at once. False where it is not on this site. */
export async function endSoon(state: State, actor: Actor, id: string): Promise<boolean> {
  const { siteId, personId, at } = actor;
  const endsMs = at + UNDO_MS;
  const status = await inTransaction(state.db, async (tx) => {
    const row = await findConversation(tx, siteId, id);
    if (row !== null && row.status !== 'ended')
      await updateConversation(tx, siteId, id, { ends_ms: endsMs, ends_by: personId });
    return row?.status ?? null;
  });
  if (status === null) return false;
  if (status === 'ended') return endByPerson(state, actor, id);
  await tellDesks(state, siteId, id);
  wake(state, { siteId, id, endsMs });
  return true;
}

/** It goes on. False where it is not on this site; harmless where it has ended. */
export async function undoEnd(state: State, siteId: string, id: string): Promise<boolean> {
  if ((await findConversation(state.db, siteId, id)) === null) return false;
  await updateConversation(state.db, siteId, id, { ends_ms: null, ends_by: null });
  await tellDesks(state, siteId, id);
  return true;
}

/** What was to end while the server was away ends now. */
export function watchEnding(state: State): void {
  runAside(
    'ends',
    listEnding(state.db).then((all) => all.forEach((one) => wake(state, one))),
  );
}

type Ending = Parameters<typeof endAsSaid>[1];

function wake(state: State, ending: Ending): void {
  state.clock.wakeAt(ending.endsMs, () => runAside('ends', endAsSaid(state, ending)));
}

/** Visitors' windows are not told. */
async function tellDesks({ hub, db }: State, siteId: string, id: string): Promise<void> {
  const conversation = await findDeskConversation(db, siteId, id);
  hub.send(deskChannel(siteId), { name: 'conversation', data: { conversation } });
}
