import { type Kysely, sql } from 'kysely';

// Bars that stay in place on the owner's page, by device, as they were marked: how high at the upper and the lower edge.
const STATEMENTS = [
  `CREATE TABLE page_bars (
    site_id TEXT NOT NULL REFERENCES site (id) ON DELETE CASCADE, device TEXT NOT NULL CHECK (device IN ('desktop', 'phone')),
    upper_px INTEGER NOT NULL CHECK (upper_px BETWEEN 0 AND 400), lower_px INTEGER NOT NULL CHECK (lower_px BETWEEN 0 AND 400),
    PRIMARY KEY (site_id, device)) STRICT`,
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}
