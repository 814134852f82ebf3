import { type Kysely, sql } from 'kysely';

// A conversation that somebody of ours ends is over ten seconds later: until then it can be undone.
const STATEMENTS = [
  `ALTER TABLE conversation ADD COLUMN ends_ms INTEGER CHECK (ends_ms > 0)`,
  `ALTER TABLE conversation ADD COLUMN ends_by TEXT REFERENCES person (id)`,
  `CREATE INDEX conversation_ends ON conversation (ends_ms) WHERE ends_ms IS NOT NULL`,
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}
