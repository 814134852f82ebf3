import { type Kysely, sql } from 'kysely';

// How somebody wants to be told of questions; null: as it comes.
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql.raw(`ALTER TABLE person ADD COLUMN alerts_json TEXT CHECK (json_valid(alerts_json))`).execute(db);
}
