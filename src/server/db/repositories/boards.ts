import type { BoardAside } from '../../../core/wire/desk';
import type { EpochMs } from '../../../core/model/units';
import type { Db } from '../open';

/** Boards of a site that were put aside, newest first. */
export async function listAsides(db: Db, siteId: string): Promise<BoardAside[]> {
  return db
    .selectFrom('board_aside')
    .innerJoin('person', 'person.id', 'board_aside.person_id')
    .select([
      'board_aside.board_key as key',
      'board_aside.reason',
      'person.name as personName',
      'board_aside.at_ms as atMs',
    ])
    .where('board_aside.site_id', '=', siteId)
    .orderBy('board_aside.at_ms', 'desc')
    .orderBy('board_aside.board_key')
    .execute();
}

/** Puts a board aside; one that is already gets the new reason. */
export async function writeAside(
  db: Db,
  siteId: string,
  aside: { readonly key: string; readonly reason: string; readonly personId: string; readonly at: EpochMs },
): Promise<void> {
  const row = { reason: aside.reason, person_id: aside.personId, at_ms: aside.at };
  await db
    .insertInto('board_aside')
    .values({ site_id: siteId, board_key: aside.key, ...row })
    .onConflict((on) => on.columns(['site_id', 'board_key']).doUpdateSet(row))
    .execute();
}

export async function removeAside(db: Db, siteId: string, key: string): Promise<void> {
  await db.deleteFrom('board_aside').where('site_id', '=', siteId).where('board_key', '=', key).execute();
}
