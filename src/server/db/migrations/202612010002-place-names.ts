import { type Kysely, sql } from 'kysely';

// What the place of the site's zone is called, by locale: `{"en":"the Azores"}`.
const STATEMENTS = [`ALTER TABLE site ADD COLUMN places_json TEXT NOT NULL DEFAULT '{}'`];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}
