import { type Kysely, sql } from 'kysely';

// Since when a visitor waits stands with their conversation: it was looked for among all entries at every message.
const STATEMENTS = [
  `ALTER TABLE conversation ADD COLUMN waiting_ms INTEGER CHECK (waiting_ms > 0)`,
  `UPDATE conversation SET waiting_ms = (
    SELECT min(entry.stored_ms) FROM entry
    WHERE entry.site_id = conversation.site_id AND entry.conversation_id = conversation.id
      AND entry.author = 'visitor' AND entry.kind IN ('message', 'note') AND entry.stored_ms >= conversation.asked_ms
      AND entry.seq > (
        SELECT coalesce(max(ours.seq), 0) FROM entry AS ours
        WHERE ours.site_id = conversation.site_id AND ours.conversation_id = conversation.id
          AND ours.author = 'person' AND ours.kind = 'message'))`,
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}
