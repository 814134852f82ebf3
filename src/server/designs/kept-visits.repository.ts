import { NOT_ASSUMED } from '../../core/rehearse/assumptions';
import type { KeptVisit } from '../../core/rehearse/kept-visit';
import type { Db } from '../db/open';

/** The kept visits of a site, in the order they were kept. */
export async function listKeptVisits(db: Db, siteId: string): Promise<KeptVisit[]> {
  const rows = await db
    .selectFrom('kept_visit')
    .selectAll()
    .where('site_id', '=', siteId)
    .orderBy('position')
    .orderBy('id')
    .execute();
  return rows.map(({ id, name, visit_json, expects_json }) => {
    const { assumptions, ...visit } = JSON.parse(visit_json) as Pick<
      KeptVisit,
      'assumptions' | 'held' | 'steps'
    >;
    return {
      id,
      name,
      ...visit,
      assumptions: { ...NOT_ASSUMED, ...assumptions },
      expects: JSON.parse(expects_json) as KeptVisit['expects'],
    };
  });
}

/** Kept twice under one id it is kept once. */
export async function insertKeptVisit(
  db: Db,
  siteId: string,
  { id, name, assumptions, held, steps, expects }: KeptVisit,
  position: number,
): Promise<void> {
  await db
    .insertInto('kept_visit')
    .values({
      site_id: siteId,
      id,
      name,
      visit_json: JSON.stringify({ assumptions, held, steps }),
      expects_json: JSON.stringify(expects),
      position,
    })
    .onConflict((on) => on.columns(['site_id', 'id']).doNothing())
    .execute();
}

export async function removeKeptVisit(db: Db, siteId: string, id: string): Promise<void> {
  await db.deleteFrom('kept_visit').where('site_id', '=', siteId).where('id', '=', id).execute();
}
