import type { RightsChangeKind, Role } from '../../core/model/role';
import type { RightsChange } from '../../core/wire/desk';
import type { Actor } from '../actor';
import type { Db } from '../db/open';

/** What somebody may do since, and the public names of their teams; what was not changed is null. */
type Detail = Pick<RightsChange, 'role' | 'teams'>;

/** Keeps that an owner has changed who may do what; nothing of the log is ever changed. `personId`: whom it is about; null: a link. */
export async function logRightsChange(
  db: Db,
  { siteId, personId: changedBy, at }: Actor,
  change: { readonly kind: RightsChangeKind; readonly personId: string | null } & Partial<Detail>,
): Promise<void> {
  const { kind, personId, role = null, teams = null } = change;
  await db
    .insertInto('rights_change')
    .values({
      ...{ site_id: siteId, at_ms: at, changed_by: changedBy, kind, person_id: personId },
      detail_json: JSON.stringify({ role, teams } satisfies Detail),
    })
    .execute();
}

const LISTED_MAX = 100;

/** The newest first. */
export async function listRightsChanges(db: Db, siteId: string): Promise<RightsChange[]> {
  const rows = await db
    .selectFrom('rights_change')
    .innerJoin('person as changer', 'changer.id', 'rights_change.changed_by')
    .leftJoin('person as about', 'about.id', 'rights_change.person_id')
    .select(['rights_change.id', 'rights_change.at_ms', 'rights_change.kind', 'rights_change.detail_json'])
    .select(['changer.name as by', 'about.name as person'])
    .where('rights_change.site_id', '=', siteId)
    .orderBy('rights_change.id', 'desc')
    .limit(LISTED_MAX)
    .execute();
  return rows.map(({ id, at_ms: at, kind, by, person, detail_json: detail }) => {
    const { role, teams } = JSON.parse(detail) as { role: Role | null; teams: string[] | null };
    return { id, at, kind, by, person, role, teams };
  });
}
