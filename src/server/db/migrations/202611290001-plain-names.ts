import { type Kysely, sql } from 'kysely';

// Tables, columns and names inside of designs, as code and screens call them. Designs that stand in drafts, versions and
// changes (forwards and back) are written anew under today's names.
const STATEMENTS = [
  `ALTER TABLE board_aside RENAME TO dismissed_finding`,
  `ALTER TABLE dismissed_finding RENAME COLUMN board_key TO finding_key`,
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
  for (const [table, column] of DESIGNS) await rewrite(db, table, column, (design) => renamed(design));
  for (const column of ['patch_json', 'inverse_json'])
    await rewrite(db, 'draft_change', column, (patches) => (patches as Patch[]).map(renamedPatch));
}

const DESIGNS = [
  ['draft', 'design_json'],
  ['version', 'design_json'],
] as const;
const NAMES: Readonly<Record<string, string>> = { deeds: 'behaviours', manner: 'approach' };

interface Patch {
  readonly path: readonly (string | number)[];
  readonly value?: unknown;
}

/** Row by row: a draft's changes may be many, and each is small. */
async function rewrite(
  db: Kysely<unknown>,
  table: string,
  column: string,
  work: (value: unknown) => unknown,
): Promise<void> {
  const { rows } = await sql<{ id: number; json: string }>`
    SELECT rowid AS id, ${sql.ref(column)} AS json FROM ${sql.table(table)}`.execute(db);
  for (const { id, json } of rows) {
    const after = JSON.stringify(work(JSON.parse(json)));
    if (after !== json)
      await sql`UPDATE ${sql.table(table)} SET ${sql.ref(column)} = ${after} WHERE rowid = ${id}`.execute(db);
  }
}

function renamed(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(renamed);
  if (typeof value !== 'object' || value === null) return value;
  const isIcon = Object.keys(value).length === 1;
  return Object.fromEntries(
    Object.entries(value).map(([name, inner]) => [renamedName(name, isIcon), renamed(inner)]),
  );
}

/** `ours` was the drawing of an icon, where it stood alone, and the text of ours that an invitation says. */
function renamedName(name: string, isIcon: boolean): string {
  if (name === 'ours') return isIcon ? 'drawing' : 'defaultText';
  return NAMES[name] ?? name;
}

function renamedPatch(patch: Patch): Patch {
  const path = patch.path.map((step, index) =>
    typeof step === 'string' ? renamedName(step, /[iI]con$/.test(String(patch.path[index - 1]))) : step,
  );
  return 'value' in patch ? { ...patch, path, value: renamed(patch.value) } : { ...patch, path };
}
