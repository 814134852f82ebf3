import { type Kysely, sql } from 'kysely';

// The face somebody shows on a site: the names of its two drawings. It belongs to the site, as pictures do.
const STATEMENTS = [
  `ALTER TABLE site_member ADD COLUMN face_json TEXT CHECK (face_json IS NULL OR json_valid(face_json))`,
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}
