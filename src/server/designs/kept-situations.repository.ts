import { type KeptSituation, NOT_ASSUMED } from '../../core/rehearse/assumptions';
import type { Db } from '../db/open';

/** The kept situations of a site, in the order they were kept. */
export async function listKeptSituations(db: Db, siteId: string): Promise<KeptSituation[]> {
  const rows = await db
    .selectFrom('kept_situation')
    .selectAll()
    .where('site_id', '=', siteId)
    .orderBy('position')
    .orderBy('id')
    .execute();
  return rows.map(({ id, name, assumptions_json }) => ({
    id,
    name,
    assumptions: { ...NOT_ASSUMED, ...(JSON.parse(assumptions_json) as KeptSituation['assumptions']) },
  }));
}

/** Kept twice under one id it is kept once. */
export async function insertKeptSituation(
  db: Db,
  siteId: string,
  { id, name, assumptions }: KeptSituation,
  position: number,
): Promise<void> {
  await db
    .insertInto('kept_situation')
    .values({ site_id: siteId, id, name, assumptions_json: JSON.stringify(assumptions), position })
    .onConflict((on) => on.columns(['site_id', 'id']).doNothing())
    .execute();
}

export async function removeKeptSituation(db: Db, siteId: string, id: string): Promise<void> {
  await db.deleteFrom('kept_situation').where('site_id', '=', siteId).where('id', '=', id).execute();
}
