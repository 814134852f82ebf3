import { type Kysely, sql } from 'kysely';

// Visits that are kept as checks: who comes, what they do, and what it must come to.
const STATEMENTS = [
  `CREATE TABLE kept_visit (
    site_id TEXT NOT NULL REFERENCES site (id) ON DELETE CASCADE, id TEXT NOT NULL, name TEXT NOT NULL,
    visit_json TEXT NOT NULL CHECK (json_valid(visit_json)), expects_json TEXT NOT NULL CHECK (json_valid(expects_json)),
    position INTEGER NOT NULL, PRIMARY KEY (site_id, id)) STRICT`,
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}
