import type { Role } from '../../core/model/role';
import type { EpochMs } from '../../core/model/units';
import type { Face } from '../../core/wire/talk';
import type { Db } from '../db/open';

/** Somebody who works on a site. */
export interface MemberRow {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  readonly teamIds: readonly string[];
  readonly choice: 'in' | 'out';
  readonly face: Face | null;
}

/** Everybody of a site who can sign in, by name. */
export async function listMembers(db: Db, siteId: string): Promise<MemberRow[]> {
  const [rows, teams] = await Promise.all([
    db
      .selectFrom('site_member')
      .innerJoin('person', 'person.id', 'site_member.person_id')
      .leftJoin('presence', (on) =>
        on
          .onRef('presence.site_id', '=', 'site_member.site_id')
          .onRef('presence.person_id', '=', 'site_member.person_id'),
      )
      .select(['person.id', 'person.name', 'site_member.role', 'site_member.face_json', 'presence.choice'])
      .where('site_member.site_id', '=', siteId)
      .where('site_member.removed_ms', 'is', null)
      .where('person.disabled_ms', 'is', null)
      .orderBy('person.name')
      .orderBy('person.id')
      .execute(),
    db.selectFrom('team_member').select(['team_id', 'person_id']).where('site_id', '=', siteId).execute(),
  ]);
  return rows.map(({ id, name, role, face_json, choice }) => ({
    id,
    name,
    role,
    teamIds: teams.filter(({ person_id }) => person_id === id).map(({ team_id }) => team_id),
    choice: choice ?? 'out',
    face: faceOf(face_json),
  }));
}

/** The face somebody shows on a site; null: none. */
export async function findFace(db: Db, siteId: string, personId: string): Promise<Face | null> {
  const row = await db
    .selectFrom('site_member')
    .select('face_json')
    .where('site_id', '=', siteId)
    .where('person_id', '=', personId)
    .executeTakeFirst();
  return faceOf(row?.face_json ?? null);
}

/** Whether there is such a person on the site. */
export async function writeFace(
  db: Db,
  siteId: string,
  personId: string,
  face: Face | null,
): Promise<boolean> {
  const { numUpdatedRows } = await db
    .updateTable('site_member')
    .set({ face_json: face === null ? null : JSON.stringify(face) })
    .where('site_id', '=', siteId)
    .where('person_id', '=', personId)
    .executeTakeFirst();
  return numUpdatedRows > 0n;
}

/** A face as it is kept; null: none. */
export function faceOf(json: string | null): Face | null {
  return json === null ? null : (JSON.parse(json) as Face);
}

export async function writeRole(db: Db, siteId: string, personId: string, role: Role): Promise<void> {
  await db
    .updateTable('site_member')
    .set({ role })
    .where('site_id', '=', siteId)
    .where('person_id', '=', personId)
    .execute();
}

/** Their row stays, as what they have written names them; their teams and whether they are in go. */
export async function markRemoved(db: Db, siteId: string, personId: string, at: EpochMs): Promise<void> {
  await db
    .updateTable('site_member')
    .set({ removed_ms: at, role: 'responder' })
    .where('site_id', '=', siteId)
    .where('person_id', '=', personId)
    .execute();
  await db.deleteFrom('presence').where('site_id', '=', siteId).where('person_id', '=', personId).execute();
}

/** The owners of a site, by id. */
export async function listOwnerIds(db: Db, siteId: string): Promise<string[]> {
  const rows = await db
    .selectFrom('site_member')
    .select('person_id')
    .where('site_id', '=', siteId)
    .where('role', '=', 'owner')
    .where('removed_ms', 'is', null)
    .execute();
  return rows.map(({ person_id: id }) => id);
}
