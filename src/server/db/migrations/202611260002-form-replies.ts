import { type Kysely, sql } from 'kysely';

// What visitors filled in before, as and after a conversation, under the design they were asked by; the pages on their way.
const STATEMENTS = [
  `CREATE TABLE form_reply (
    site_id TEXT NOT NULL, id TEXT NOT NULL, conversation_id TEXT NOT NULL, place TEXT NOT NULL CHECK (place IN ('before', 'note', 'after')),
    client_id TEXT NOT NULL, design_file TEXT NOT NULL, locale TEXT NOT NULL, widget_key TEXT NOT NULL,
    replies_json TEXT NOT NULL CHECK (json_valid(replies_json)), stored_ms INTEGER NOT NULL CHECK (stored_ms > 0),
    PRIMARY KEY (site_id, id), UNIQUE (site_id, conversation_id, place, client_id),
    FOREIGN KEY (site_id, conversation_id) REFERENCES conversation (site_id, id) ON DELETE CASCADE) STRICT`,
  `ALTER TABLE conversation ADD COLUMN trail_json TEXT CHECK (json_valid(trail_json))`,
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}
