import { type Kysely, sql } from 'kysely';

// Each query finds its rows by an index that holds all it asks for, and in the order it asks for.
const STATEMENTS = [
  `CREATE INDEX conversation_asked ON conversation (site_id, status, asked_ms)`,
  `CREATE INDEX conversation_quiet ON conversation (status, last_entry_ms)`,
  `DROP INDEX publication_from`,
  `CREATE INDEX publication_from ON publication (site_id, kind, from_ms, version_number)`,
  `CREATE INDEX publication_version ON publication (site_id, version_number)`,
  `CREATE INDEX publication_begins ON publication (site_id, from_ms)`,
  `CREATE INDEX publication_ends ON publication (site_id, until_ms)`,
  `CREATE INDEX published_file_version ON published_file (site_id, wire, version_number)`,
  `CREATE INDEX entry_conversation ON entry (site_id, conversation_id, seq)`,
  `DROP INDEX conversation_visitor`,
  `CREATE INDEX conversation_visitor ON conversation (site_id, visitor_id, id)`,
  `CREATE INDEX visitor_token_expires ON visitor_token (expires_ms)`,
  `CREATE INDEX preview_expires ON preview (expires_ms)`,
  `CREATE INDEX note_conversation ON note (site_id, conversation_id)`,
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}
