import type { EpochMs } from '../../core/model/units';
import type { Db } from '../db/open';

const STATUSES = ['asked', 'joined', 'ended', 'note'] as const;

/** Conversations of a site in which nothing was said since an instant, with their visitors; of each status at most so many. */
export async function listOlderThan(
  db: Db,
  siteId: string,
  before: EpochMs,
  limit: number,
): Promise<{ id: string; visitor_id: string }[]> {
  const found = await Promise.all(
    STATUSES.map((status) =>
      db
        .selectFrom('conversation')
        .select(['id', 'visitor_id'])
        .where('site_id', '=', siteId)
        .where('status', '=', status)
        .where('last_entry_ms', '<', before)
        .orderBy('last_entry_ms')
        .limit(limit)
        .execute(),
    ),
  );
  return found.flat();
}

/** How many conversations of a site had nothing said in them since an instant. */
export async function countOlderThan(db: Db, siteId: string, before: EpochMs): Promise<number> {
  const { count } = await db
    .selectFrom('conversation')
    .select(({ fn }) => fn.countAll<number>().as('count'))
    .where('site_id', '=', siteId)
    .where('status', 'in', STATUSES)
    .where('last_entry_ms', '<', before)
    .executeTakeFirstOrThrow();
  return count;
}

/** With their entries, forms and notes. */
export async function deleteConversations(db: Db, siteId: string, ids: readonly string[]): Promise<void> {
  await db.deleteFrom('conversation').where('site_id', '=', siteId).where('id', 'in', ids).execute();
}

/** Those of these visitors who have no conversation any more, with their tokens. */
export async function deleteSilentVisitors(db: Db, siteId: string, ids: readonly string[]): Promise<void> {
  await db
    .deleteFrom('visitor')
    .where('site_id', '=', siteId)
    .where('id', 'in', ids)
    .where(({ not, exists, selectFrom }) =>
      not(
        exists(
          selectFrom('conversation')
            .select('conversation.id')
            .whereRef('conversation.site_id', '=', 'visitor.site_id')
            .whereRef('conversation.visitor_id', '=', 'visitor.id'),
        ),
      ),
    )
    .execute();
}

/** Sessions, tokens and private links that have run out open nothing, and are kept no longer. */
export async function deleteExpired(db: Db, at: EpochMs): Promise<void> {
  await db.deleteFrom('session').where('expires_ms', '<=', at).execute();
  await db.deleteFrom('visitor_token').where('expires_ms', '<=', at).execute();
  await db.deleteFrom('preview').where('expires_ms', '<=', at).execute();
}
