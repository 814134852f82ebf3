import { type Kysely, sql } from 'kysely';

// Changes of the draft that were made in one go, as the letters typed into one text are: together they are one step of undo.
const STATEMENTS = [`ALTER TABLE draft_change ADD COLUMN edit_id TEXT`];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}
