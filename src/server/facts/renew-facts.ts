import { DAY_MS, HOUR_MS } from '../../core/model/units';
import { listFactsUpTo } from '../designs/publications.repository';
import { inTransaction } from '../db/transaction';
import { runAside } from '../log';
import type { State } from '../state';
import { makeFacts, writeFacts } from './facts';

/**
 * [H16] Facts that are a day old are written anew where the day has changed them: dates that have come near or are over,
 * and offsets at both ends. Whoever wrote them last stands for the change. Gives how many.
 */
export async function renewFacts(state: State): Promise<number> {
  const at = state.clock.now();
  let count = 0;
  for (const { siteId, personId, facts, revision } of await listFactsUpTo(state.db, at - DAY_MS)) {
    const since = JSON.stringify(await makeFacts(state.db, siteId, revision, at));
    if (since === facts) continue;
    await inTransaction(state.db, (tx) => writeFacts(tx, siteId, personId, at, 'The day'));
    count++;
  }
  return count;
}

/** Looks each hour, for as long as the server runs. */
export function watchFacts(state: State): void {
  state.clock.wakeAt(state.clock.now() + HOUR_MS, () => {
    runAside('facts', renewFacts(state)); // the next look tries again
    watchFacts(state);
  });
}
