import { type Kysely, sql } from 'kysely';

// Whether a change can be taken back or brought again stands with it: no step walks the whole log any more.
const STATEMENTS = [
  `ALTER TABLE draft_change ADD COLUMN step TEXT CHECK (step IN ('done', 'undone'))`,
  `CREATE INDEX draft_change_step ON draft_change (site_id, step, revision)`,
];

interface Row {
  readonly site_id: string;
  readonly revision: number;
  readonly kind: 'change' | 'undo' | 'redo';
}

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
  const { rows } = await sql<Row>`
    SELECT site_id, revision, kind FROM draft_change ORDER BY site_id, revision`.execute(db);
  const set = async ({ site_id, revision }: Row, step: 'done' | 'undone' | null): Promise<void> => {
    await sql`UPDATE draft_change SET step = ${step} WHERE site_id = ${site_id} AND revision = ${revision}`.execute(
      db,
    );
  };
  let done: Row[] = [];
  let undone: Row[] = [];
  for (const [place, row] of rows.entries()) {
    if (row.site_id !== rows[place - 1]?.site_id) [done, undone] = [[], []];
    const [from, to] = row.kind === 'undo' ? [done, undone] : [undone, done];
    const moved = row.kind === 'change' ? row : from.pop();
    if (moved === undefined) continue;
    to.push(moved);
    await set(moved, to === done ? 'done' : 'undone');
    // What is done anew forgets what could have been brought again.
    if (row.kind === 'change') for (const one of undone.splice(0)) await set(one, null);
  }
}
