import { type Kysely, sql } from 'kysely';

// Colleagues come by a link, and go: who has gone keeps their row, as conversations name them. What was changed of
// anybody's rights is kept.
const STATEMENTS = [
  `ALTER TABLE site_member ADD COLUMN removed_ms INTEGER CHECK (removed_ms > 0)`,
  `CREATE TABLE join_link (
    site_id TEXT NOT NULL REFERENCES site (id), id TEXT NOT NULL, secret_hash TEXT NOT NULL UNIQUE,
    role TEXT NOT NULL CHECK (role IN ('owner', 'designer', 'responder')), team_ids_json TEXT NOT NULL CHECK (json_valid(team_ids_json)),
    made_by TEXT NOT NULL REFERENCES person (id), made_ms INTEGER NOT NULL CHECK (made_ms > 0),
    expires_ms INTEGER NOT NULL CHECK (expires_ms > made_ms), PRIMARY KEY (site_id, id)) STRICT`,
  `CREATE TABLE rights_change (
    id INTEGER PRIMARY KEY AUTOINCREMENT, site_id TEXT NOT NULL REFERENCES site (id), at_ms INTEGER NOT NULL CHECK (at_ms > 0),
    changed_by TEXT NOT NULL REFERENCES person (id),
    kind TEXT NOT NULL CHECK (kind IN ('link-made', 'link-withdrawn', 'joined', 'role-set', 'teams-set', 'removed')),
    person_id TEXT REFERENCES person (id), detail_json TEXT NOT NULL CHECK (json_valid(detail_json))) STRICT`,
  `CREATE INDEX rights_change_site ON rights_change (site_id, id)`,
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}
