import { type Kysely, sql } from 'kysely';

// Circumstances an owner keeps, to look at the draft in them again.
const STATEMENTS = [
  `CREATE TABLE kept_situation (
    site_id TEXT NOT NULL REFERENCES site (id) ON DELETE CASCADE, id TEXT NOT NULL, name TEXT NOT NULL,
    supposed_json TEXT NOT NULL CHECK (json_valid(supposed_json)), position INTEGER NOT NULL, PRIMARY KEY (site_id, id)) STRICT`,
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}
