import { type Kysely, sql } from 'kysely';

// Loose boards that somebody has put aside, with the reason.
const STATEMENTS = [
  `CREATE TABLE board_aside (
    site_id TEXT NOT NULL REFERENCES site (id) ON DELETE CASCADE, board_key TEXT NOT NULL, reason TEXT NOT NULL,
    person_id TEXT NOT NULL REFERENCES person (id), at_ms INTEGER NOT NULL CHECK (at_ms > 0),
    PRIMARY KEY (site_id, board_key)) STRICT`,
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}
