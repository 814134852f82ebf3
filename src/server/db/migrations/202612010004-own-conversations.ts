import { type Kysely, sql } from 'kysely';

// Somebody who left, a question that was missed, and what is done with: a conversation can have ended and still want an answer.
const STATEMENTS = [
  `ALTER TABLE conversation ADD COLUMN left_ms INTEGER CHECK (left_ms > 0)`,
  `ALTER TABLE conversation ADD COLUMN missed_ms INTEGER CHECK (missed_ms > 0)`,
  `ALTER TABLE conversation ADD COLUMN is_done INTEGER NOT NULL DEFAULT 0 CHECK (is_done IN (0, 1))`,
  `UPDATE conversation SET is_done = 1 WHERE status = 'ended'`,
  `DROP INDEX conversation_status`,
  `CREATE INDEX conversation_done ON conversation (site_id, is_done, last_entry_ms)`,
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}
