import { LIMITS } from '../../core/limits';
import type { EpochMs } from '../../core/model/units';
import type { BoardFacts } from '../../core/wire/desk';
import { listAsides, removeAside, writeAside } from '../db/repositories/boards';
import { type Site, isZoneConfirmed } from '../db/repositories/sites';
import { countPeople } from '../db/repositories/teams';
import { inTransaction } from '../db/transaction';
import type { State } from '../state';

/** What the loose boards of a site are computed from, besides its draft. */
export async function boardFacts({ db, env }: Pick<State, 'db' | 'env'>, site: Site): Promise<BoardFacts> {
  const [peopleOf, confirmed, asides] = await Promise.all([
    countPeople(db, site.id),
    isZoneConfirmed(db, site.id),
    listAsides(db, site.id),
  ]);
  return {
    peopleOf,
    publicUrl: env.publicUrl,
    siteAddress: site.address,
    isZoneConfirmed: confirmed,
    asides,
  };
}

/** Puts a board aside with a reason; false: so many are that the first should be looked at again. */
export async function putAside(
  { db }: Pick<State, 'db'>,
  { siteId, personId, at }: { readonly siteId: string; readonly personId: string; readonly at: EpochMs },
  { key, reason }: { readonly key: string; readonly reason: string },
): Promise<boolean> {
  return inTransaction(db, async (tx) => {
    const all = await listAsides(tx, siteId);
    if (all.length >= LIMITS.asides && !all.some((one) => one.key === key)) return false;
    await writeAside(tx, siteId, { key, reason, personId, at });
    return true;
  });
}

/** Brings a board back; one that was not put aside stays as it is. */
export async function takeBack({ db }: Pick<State, 'db'>, siteId: string, key: string): Promise<void> {
  await inTransaction(db, (tx) => removeAside(tx, siteId, key));
}
