import type { EpochMs } from '../../core/model/units';
import type { Db } from '../db/open';

export interface Preview {
  readonly id: string;
  readonly personId: string;
  readonly tokenHash: string;
  readonly expires: EpochMs;
}

export async function insertPreview(
  db: Db,
  siteId: string,
  { id, personId, tokenHash, expires }: Preview,
): Promise<void> {
  await db
    .insertInto('preview')
    .values({
      site_id: siteId,
      id,
      person_id: personId,
      token_hash: tokenHash,
      expires_ms: expires,
      revoked_ms: null,
    })
    .execute();
}

/** Until when a link shows the draft of a site; null: it does not, or does not any more. */
export async function findPreviewEnd(
  db: Db,
  siteId: string,
  tokenHash: string,
  at: EpochMs,
): Promise<EpochMs | null> {
  const row = await db
    .selectFrom('preview')
    .select('expires_ms')
    .where('site_id', '=', siteId)
    .where('token_hash', '=', tokenHash)
    .where('revoked_ms', 'is', null)
    .where('expires_ms', '>', at)
    .executeTakeFirst();
  return row?.expires_ms ?? null;
}

/** Gives whether there was one. */
export async function revokePreview(db: Db, siteId: string, id: string, at: EpochMs): Promise<boolean> {
  const { numUpdatedRows } = await db
    .updateTable('preview')
    .set({ revoked_ms: at })
    .where('site_id', '=', siteId)
    .where('id', '=', id)
    .executeTakeFirst();
  return numUpdatedRows > 0n;
}

export async function deleteOverPreviews(db: Db, siteId: string, at: EpochMs): Promise<void> {
  await db.deleteFrom('preview').where('site_id', '=', siteId).where('expires_ms', '<=', at).execute();
}
