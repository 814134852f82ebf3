import { DAY_MS, type EpochMs, HOUR_MS } from '../../core/model/units';
import { listRetention } from '../accounts/sites.repository';
import type { Tx } from '../db/open';
import { inTransaction } from '../db/transaction';
import { deskChannel } from '../facts/presence';
import { runAside } from '../log';
import type { State } from '../state';
import { deleteConversations, deleteExpired, deleteSilentVisitors, listOlderThan } from './sweep.repository';

/** So many of a site at a time, so that nobody waits long for the database. */
const AT_ONCE = 200;

/** Deletes conversations that are older than their site keeps them, and what has run out. Gives how many conversations. */
export async function sweep(state: State): Promise<number> {
  const { db, clock } = state;
  const at = clock.now();
  await inTransaction(db, (tx) => deleteExpired(tx, at));
  let count = 0;
  for (const { siteId, days } of await listRetention(db))
    for (;;) {
      const ids = await inTransaction(db, (tx) => deleteOld(tx, siteId, at - days * DAY_MS));
      if (ids.length === 0) break;
      state.hub.send(deskChannel(siteId), { name: 'gone', data: { ids, why: 'old' } });
      count += ids.length;
    }
  return count;
}

/** Some of a site's old conversations; looked for and deleted in one go, so that a word which comes meanwhile keeps its own. */
async function deleteOld(tx: Tx, siteId: string, before: EpochMs): Promise<string[]> {
  const old = await listOlderThan(tx, siteId, before, AT_ONCE);
  const ids = old.map(({ id }) => id);
  if (ids.length === 0) return ids;
  await deleteConversations(tx, siteId, ids);
  await deleteSilentVisitors(tx, siteId, [...new Set(old.map(({ visitor_id: id }) => id))]);
  return ids;
}

/** Sweeps each hour, for as long as the server runs. */
export function watchSweep(state: State): void {
  state.clock.wakeAt(state.clock.now() + HOUR_MS, () => {
    runAside('sweep', sweep(state)); // the next one tries again
    watchSweep(state);
  });
}
