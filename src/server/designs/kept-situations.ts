import { LIMITS } from '../../core/limits';
import type { KeptSituation } from '../../core/rehearse/assumptions';
import { type Result, fail, ok } from '../../core/result';
import { insertKeptSituation, listKeptSituations, removeKeptSituation } from './kept-situations.repository';
import { inTransaction } from '../db/transaction';
import type { KeepSituationInput } from '../input/kept-visit.input';
import type { State } from '../state';

/** Keeps circumstances under a name; sent twice they are kept once. */
export async function keepSituation(
  { db }: Pick<State, 'db'>,
  siteId: string,
  { id, name, assumptions }: KeepSituationInput,
): Promise<Result<KeptSituation[]>> {
  const { page, at, visit, device, locale, who, asks, zone } = assumptions;
  return inTransaction(db, async (tx): Promise<Result<KeptSituation[]>> => {
    const all = await listKeptSituations(tx, siteId);
    if (all.length >= LIMITS.keptSituations)
      return fail({ '': `A site keeps ${LIMITS.keptSituations} situations at most. Remove one first.` });
    await insertKeptSituation(
      tx,
      siteId,
      { id, name, assumptions: { page, at, visit, device, locale, who, asks, zone } },
      all.length,
    );
    return ok(await listKeptSituations(tx, siteId));
  });
}

export async function forgetSituation({ db }: Pick<State, 'db'>, siteId: string, id: string): Promise<void> {
  await inTransaction(db, (tx) => removeKeptSituation(tx, siteId, id));
}
