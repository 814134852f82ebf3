import { type Kysely, sql } from 'kysely';

// Tables, columns and names inside of designs, as code and screens call them. Designs that stand in drafts, versions and
// changes (forwards and back) are written anew under today's names.
const STATEMENTS = [
  `ALTER TABLE board_aside RENAME TO dismissed_finding`,
  `ALTER TABLE dismissed_finding RENAME COLUMN board_key TO finding_key`,
  `ALTER TABLE kept_situation RENAME COLUMN supposed_json TO assumptions_json`,
  `ALTER TABLE presence RENAME COLUMN wish TO choice`,
  `ALTER TABLE conversation RENAME COLUMN standing TO status`,
  `DROP INDEX conversation_standing`,
  `CREATE INDEX conversation_status ON conversation (site_id, status, last_entry_ms DESC)`,
  // An author that is nobody is the system: the check on the column changes, so the table is built again.
  `CREATE TABLE entry_new (
    id INTEGER PRIMARY KEY AUTOINCREMENT, site_id TEXT NOT NULL, conversation_id TEXT NOT NULL, seq INTEGER NOT NULL CHECK (seq > 0),
    kind TEXT NOT NULL CHECK (kind IN ('message', 'joined', 'ended', 'note')), author TEXT NOT NULL CHECK (author IN ('visitor', 'person', 'system')),
    person_id TEXT REFERENCES person (id), client_id TEXT, body TEXT NOT NULL, page TEXT, written_ms INTEGER CHECK (written_ms > 0),
    stored_ms INTEGER NOT NULL CHECK (stored_ms > 0), UNIQUE (conversation_id, seq), UNIQUE (conversation_id, author, client_id),
    FOREIGN KEY (site_id, conversation_id) REFERENCES conversation (site_id, id) ON DELETE CASCADE) STRICT`,
  `INSERT INTO entry_new SELECT id, site_id, conversation_id, seq, kind,
    CASE author WHEN 'house' THEN 'system' ELSE author END, person_id, client_id, body, page, written_ms, stored_ms
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
  for (const [table, column] of DESIGNS) await rewrite(db, table, column, (design) => renamed(design));
  await rewrite(db, 'kept_visit', 'visit_json', (visit) => {
    const { supposed, ...rest } = visit as { readonly supposed: unknown };
    return { assumptions: supposed, ...rest };
  });
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
  const { rows } = await sql<{ id: number }>`SELECT rowid AS id FROM ${sql.table(table)}`.execute(db);
  for (const { id } of rows) {
    const found = await sql<{ json: string }>`
      SELECT ${sql.ref(column)} AS json FROM ${sql.table(table)} WHERE rowid = ${id}`.execute(db);
    const json = found.rows[0]?.json ?? 'null';
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
