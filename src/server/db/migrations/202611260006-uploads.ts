import { type Kysely, sql } from 'kysely';

// Pictures that were uploaded, by the hash of what is kept; and those of the owner's page that stand behind the stage.
const STATEMENTS = [
  `CREATE TABLE upload (
    site_id TEXT NOT NULL REFERENCES site (id) ON DELETE CASCADE, hash TEXT NOT NULL, kind TEXT NOT NULL, mime TEXT NOT NULL,
    width INTEGER NOT NULL, height INTEGER NOT NULL, bytes INTEGER NOT NULL, person_id TEXT NOT NULL, at_ms INTEGER NOT NULL,
    PRIMARY KEY (site_id, hash)) STRICT`,
  `CREATE TABLE page_picture (
    site_id TEXT NOT NULL, device TEXT NOT NULL CHECK (device IN ('desktop', 'phone')), hash TEXT NOT NULL,
    PRIMARY KEY (site_id, device), FOREIGN KEY (site_id, hash) REFERENCES upload (site_id, hash) ON DELETE CASCADE) STRICT`,
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}
