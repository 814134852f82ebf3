import { type Kysely, sql } from 'kysely';

// Tables and columns under the names that code and screens use.
const STATEMENTS = [
  `ALTER TABLE board_aside RENAME TO dismissed_finding`,
  `ALTER TABLE dismissed_finding RENAME COLUMN board_key TO finding_key`,
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}
