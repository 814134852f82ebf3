import { type Kysely, sql } from 'kysely';

// The number of an entry is unique within its conversation by the index that its entries are read by: there were two, and
// each message wrote both.
const STATEMENTS = [
  `CREATE TABLE entry_new (
    id INTEGER PRIMARY KEY AUTOINCREMENT, site_id TEXT NOT NULL, conversation_id TEXT NOT NULL, seq INTEGER NOT NULL CHECK (seq > 0),
    kind TEXT NOT NULL CHECK (kind IN ('message', 'joined', 'ended', 'note')), author TEXT NOT NULL CHECK (author IN ('visitor', 'person', 'system')),
    person_id TEXT REFERENCES person (id), client_id TEXT, body TEXT NOT NULL, page TEXT, written_ms INTEGER CHECK (written_ms > 0),
    stored_ms INTEGER NOT NULL CHECK (stored_ms > 0), UNIQUE (site_id, conversation_id, seq), UNIQUE (conversation_id, author, client_id),
    FOREIGN KEY (site_id, conversation_id) REFERENCES conversation (site_id, id) ON DELETE CASCADE) STRICT`,
  `INSERT INTO entry_new SELECT id, site_id, conversation_id, seq, kind, author, person_id, client_id, body, page, written_ms, stored_ms
    FROM entry ORDER BY id`,
  // Ids resume streams: those of entries that were deleted are never given again.
  `DELETE FROM sqlite_sequence WHERE name = 'entry_new'`,
  `INSERT INTO sqlite_sequence (name, seq) SELECT 'entry_new', seq FROM sqlite_sequence WHERE name = 'entry'`,
  `DROP TABLE entry`,
  `ALTER TABLE entry_new RENAME TO entry`,
  `CREATE INDEX entry_site ON entry (site_id, id)`,
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}
