import { type Kysely, sql } from 'kysely';

// Links under which somebody sees the draft on the site itself; the secret is kept as its hash only.
const STATEMENTS = [
  `CREATE TABLE preview (
    site_id TEXT NOT NULL REFERENCES site (id) ON DELETE CASCADE, id TEXT NOT NULL,
    person_id TEXT NOT NULL REFERENCES person (id) ON DELETE CASCADE, token_hash TEXT NOT NULL UNIQUE,
    expires_ms INTEGER NOT NULL CHECK (expires_ms > 0), revoked_ms INTEGER CHECK (revoked_ms > 0),
    PRIMARY KEY (site_id, id)) STRICT`,
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}
