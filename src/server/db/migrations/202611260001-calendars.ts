import { type Kysely, sql } from 'kysely';

// Opening hours, and what overrides them for a while.
const STATEMENTS = [
  `CREATE TABLE calendar (
    site_id TEXT NOT NULL REFERENCES site (id), id TEXT NOT NULL, name TEXT NOT NULL, zone TEXT NOT NULL,
    calendar_json TEXT NOT NULL CHECK (json_valid(calendar_json)), revision INTEGER NOT NULL CHECK (revision > 0),
    changed_ms INTEGER NOT NULL CHECK (changed_ms > 0), changed_by TEXT NOT NULL REFERENCES person (id),
    PRIMARY KEY (site_id, id)) STRICT`,
  `CREATE TABLE calendar_override (
    site_id TEXT NOT NULL, calendar_id TEXT NOT NULL, is_open INTEGER NOT NULL CHECK (is_open IN (0, 1)),
    set_ms INTEGER NOT NULL CHECK (set_ms > 0), until_ms INTEGER NOT NULL CHECK (until_ms > set_ms), reason TEXT NOT NULL,
    set_by TEXT NOT NULL REFERENCES person (id), PRIMARY KEY (site_id, calendar_id),
    FOREIGN KEY (site_id, calendar_id) REFERENCES calendar (site_id, id) ON DELETE CASCADE) STRICT`,
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}
