import { LIMITS } from '../../core/limits';
import type { EpochMs } from '../../core/model/units';
import type { FindingFacts } from '../../core/wire/desk';
import { listDismissals, removeDismissal, writeDismissal } from './dismissals.repository';
import { type Site, isZoneConfirmed, listDomains } from '../accounts/sites.repository';
import { countPeople } from '../facts/teams.repository';
import { addressFor } from '../http/origin-gate';
import { inTransaction } from '../db/transaction';
import type { State } from '../state';

/** What the findings of a site are computed from, besides its draft. `host`: by which the owner reached us. */
export async function findingFacts(
  { db, env, proxySeen }: Pick<State, 'db' | 'env' | 'proxySeen'>,
  site: Site,
  host: string | null,
): Promise<FindingFacts> {
  const [peopleOf, confirmed, dismissals, domains] = await Promise.all([
    countPeople(db, site.id),
    isZoneConfirmed(db, site.id),
    listDismissals(db, site.id),
    listDomains(db, site.id),
  ]);
  return {
    peopleOf,
    ownAddress: addressFor(env, host),
    proxySeen,
    domains,
    isZoneConfirmed: confirmed,
    dismissals,
  };
}

/** Dismisses a finding with a reason; false: so many are that the first should be looked at again. */
export async function dismiss(
  { db }: Pick<State, 'db'>,
  { siteId, personId, at }: { readonly siteId: string; readonly personId: string; readonly at: EpochMs },
  { key, reason }: { readonly key: string; readonly reason: string },
): Promise<boolean> {
  return inTransaction(db, async (tx) => {
    const all = await listDismissals(tx, siteId);
    if (all.length >= LIMITS.dismissals && !all.some((one) => one.key === key)) return false;
    await writeDismissal(tx, siteId, { key, reason, personId, at });
    return true;
  });
}

/** Brings a finding back; one that was not dismissed stays as it is. */
export async function restoreFinding({ db }: Pick<State, 'db'>, siteId: string, key: string): Promise<void> {
  await inTransaction(db, (tx) => removeDismissal(tx, siteId, key));
}
