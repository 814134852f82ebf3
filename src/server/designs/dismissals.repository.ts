import type { Dismissal } from '../../core/wire/desk';
import type { EpochMs } from '../../core/model/units';
import type { Db } from '../db/open';

/** Findings of a site that were dismissed, newest first. */
export async function listDismissals(db: Db, siteId: string): Promise<Dismissal[]> {
  return db
    .selectFrom('dismissed_finding')
    .innerJoin('person', 'person.id', 'dismissed_finding.person_id')
    .select([
      'dismissed_finding.finding_key as key',
      'dismissed_finding.reason',
      'person.name as personName',
      'dismissed_finding.at_ms as atMs',
    ])
    .where('dismissed_finding.site_id', '=', siteId)
    .orderBy('dismissed_finding.at_ms', 'desc')
    .orderBy('dismissed_finding.finding_key')
    .execute();
}

/** Dismisses a finding; one that is already gets the new reason. */
export async function writeDismissal(
  db: Db,
  siteId: string,
  dismissal: {
    readonly key: string;
    readonly reason: string;
    readonly personId: string;
    readonly at: EpochMs;
  },
): Promise<void> {
  const row = { reason: dismissal.reason, person_id: dismissal.personId, at_ms: dismissal.at };
  await db
    .insertInto('dismissed_finding')
    .values({ site_id: siteId, finding_key: dismissal.key, ...row })
    .onConflict((on) => on.columns(['site_id', 'finding_key']).doUpdateSet(row))
    .execute();
}

export async function removeDismissal(db: Db, siteId: string, key: string): Promise<void> {
  await db
    .deleteFrom('dismissed_finding')
    .where('site_id', '=', siteId)
    .where('finding_key', '=', key)
    .execute();
}
