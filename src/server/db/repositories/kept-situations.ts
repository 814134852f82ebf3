import type { KeptSituation } from '../../../core/rehearse/suppose';
import type { Db } from '../open';

/** What was kept before a team could be asked for. */
export const NOT_ASKED = { asks: null };

/** The kept situations of a site, in the order they were kept. */
export async function listKeptSituations(db: Db, siteId: string): Promise<KeptSituation[]> {
  const rows = await db
    .selectFrom('kept_situation')
    .selectAll()
    .where('site_id', '=', siteId)
    .orderBy('position')
    .orderBy('id')
    .execute();
  return rows.map(({ id, name, supposed_json }) => ({
    id,
    name,
    supposed: { ...NOT_ASKED, ...(JSON.parse(supposed_json) as KeptSituation['supposed']) },
  }));
}

/** Kept twice under one id it is kept once. */
export async function insertKeptSituation(
  db: Db,
  siteId: string,
  { id, name, supposed }: KeptSituation,
  position: number,
): Promise<void> {
  await db
    .insertInto('kept_situation')
    .values({ site_id: siteId, id, name, supposed_json: JSON.stringify(supposed), position })
    .onConflict((on) => on.columns(['site_id', 'id']).doNothing())
    .execute();
}

export async function removeKeptSituation(db: Db, siteId: string, id: string): Promise<void> {
  await db.deleteFrom('kept_situation').where('site_id', '=', siteId).where('id', '=', id).execute();
}
