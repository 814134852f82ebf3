import { type Kysely, sql } from 'kysely';

// Statistics of a house's first days stayed for years, and had it walk over all that was said since. Without any, each
// query is answered as its test of plans says.
export async function up(db: Kysely<unknown>): Promise<void> {
  const { rows } = await sql<{ name: string }>`
    SELECT name FROM sqlite_schema WHERE name LIKE 'sqlite_stat%' AND type = 'table'`.execute(db);
  for (const { name } of rows) await sql.raw(`DROP TABLE ${name}`).execute(db);
}
