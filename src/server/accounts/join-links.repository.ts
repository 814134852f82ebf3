import type { Role } from '../../core/model/role';
import type { EpochMs } from '../../core/model/units';
import type { JoinLink } from '../../core/wire/desk';
import type { Db } from '../db/open';

export interface NewJoinLink extends JoinLink {
  readonly secretHash: string;
  readonly madeBy: string;
  readonly madeAt: EpochMs;
}

/** A link as it is found by its secret. */
export interface FoundJoinLink extends JoinLink {
  readonly siteId: string;
  /** Name of whoever made it. */
  readonly madeByName: string;
}

export async function insertJoinLink(db: Db, siteId: string, link: NewJoinLink): Promise<void> {
  await db
    .insertInto('join_link')
    .values({
      site_id: siteId,
      id: link.id,
      secret_hash: link.secretHash,
      role: link.role,
      team_ids_json: JSON.stringify(link.teamIds),
      made_by: link.madeBy,
      made_ms: link.madeAt,
      expires_ms: link.expiresAt,
    })
    .execute();
}

/** Links of a site that still hold, oldest first. */
export async function listJoinLinks(db: Db, siteId: string, at: EpochMs): Promise<JoinLink[]> {
  const rows = await db
    .selectFrom('join_link')
    .select(['id', 'role', 'team_ids_json', 'expires_ms'])
    .where('site_id', '=', siteId)
    .where('expires_ms', '>', at)
    .orderBy('id')
    .execute();
  return rows.map(toLink);
}

/** Null: no link that holds has this secret. */
export async function findJoinLink(db: Db, secretHash: string, at: EpochMs): Promise<FoundJoinLink | null> {
  const row = await db
    .selectFrom('join_link')
    .innerJoin('person', 'person.id', 'join_link.made_by')
    .select(['join_link.site_id', 'join_link.id', 'join_link.role', 'join_link.team_ids_json'])
    .select(['join_link.expires_ms', 'person.name'])
    .where('join_link.secret_hash', '=', secretHash)
    .where('join_link.expires_ms', '>', at)
    .executeTakeFirst();
  return row === undefined ? null : { ...toLink(row), siteId: row.site_id, madeByName: row.name };
}

/** Whether it was there. */
export async function deleteJoinLink(db: Db, siteId: string, id: string): Promise<boolean> {
  const { numDeletedRows } = await db
    .deleteFrom('join_link')
    .where('site_id', '=', siteId)
    .where('id', '=', id)
    .executeTakeFirst();
  return numDeletedRows > 0n;
}

/** Those somebody has made, or that have run out. */
export async function deleteJoinLinksOf(
  db: Db,
  siteId: string,
  { madeBy, at }: { readonly madeBy: string | null; readonly at: EpochMs },
): Promise<void> {
  await db
    .deleteFrom('join_link')
    .where('site_id', '=', siteId)
    .where(({ eb, or }) =>
      or([eb('expires_ms', '<=', at), ...(madeBy === null ? [] : [eb('made_by', '=', madeBy)])]),
    )
    .execute();
}

function toLink(row: {
  readonly id: string;
  readonly role: Role;
  readonly team_ids_json: string;
  readonly expires_ms: EpochMs;
}): JoinLink {
  return {
    id: row.id,
    role: row.role,
    teamIds: JSON.parse(row.team_ids_json) as string[],
    expiresAt: row.expires_ms,
  };
}
