import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import Database from 'better-sqlite3';
import { describe, expect, it } from 'vitest';
import { type LoggedChange, stepsOf } from '../../src/core/draft/history';
import type { Design } from '../../src/core/model/design';
import { migrateDatabase } from '../../src/server/db/migrate';
import { type Db, closeDatabase, connectionOf, openDatabase } from '../../src/server/db/open';
import { listKeptSituations } from '../../src/server/designs/kept-situations.repository';
import { listKeptVisits } from '../../src/server/designs/kept-visits.repository';
import { makeClock } from '../../src/server/live/clock';
import { makeHub } from '../../src/server/live/hub';
import { judgeDesignFile } from '../../src/server/designs/design-file';
import { getDraft, stepDraft } from '../../src/server/designs/draft';
import { bringBack } from '../../src/server/designs/publish';

/**
 * A database that the first program wrote (commit 86ffb1b) after a played day: conversations, notes, four versions and a
 * period, changes taken back and brought again, kept visits and situations, dismissed findings. It is never written
 * anew: whatever is renamed later, this file must open, with every row in it.
 */
const SAMPLE = gunzipSync(readFileSync('tests/db/played-day.db.gz'));
/** The design that the same program exported before that day. */
const EXPORTED = readFileSync('tests/db/design-exported.json', 'utf8');

type Row = Record<string, unknown>;

function written(): string {
  const file = join(mkdtempSync(join(tmpdir(), 'porch-sample-')), 'played-day.db');
  writeFileSync(file, SAMPLE);
  return file;
}

async function opened(): Promise<{ readonly before: Database.Database; readonly db: Db }> {
  const db = openDatabase(written());
  await migrateDatabase(db, join(tmpdir(), `porch-sample-backups-${process.pid}`));
  return { before: new Database(written(), { readonly: true }), db };
}

function tablesOf(connection: Database.Database): string[] {
  return connection
    .prepare<[], { name: string }>(
      `SELECT name FROM sqlite_schema WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND name NOT LIKE 'kysely_%' ORDER BY name`,
    )
    .all()
    .map(({ name }) => name);
}

/** How what the first program wrote is called today; whatever is not named here is called the same. */
const TABLES: Readonly<Record<string, string>> = { board_aside: 'dismissed_finding' };
const COLUMNS: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  board_aside: { board_key: 'finding_key' },
  kept_situation: { supposed_json: 'assumptions_json' },
  presence: { wish: 'choice' },
  conversation: { standing: 'status' },
};
/** Values that are written otherwise today. */
const VALUES: Readonly<Record<string, (value: unknown) => unknown>> = {
  'entry.author': (author) => (author === 'house' ? 'system' : author),
  'kept_visit.visit_json': (json) => String(json).replace('{"supposed":', '{"assumptions":'),
  'draft.design_json': underTodaysNames,
  'version.design_json': underTodaysNames,
  'draft_change.patch_json': underTodaysNames,
  'draft_change.inverse_json': underTodaysNames,
};

/** As a reader with an editor would do it: each name by itself, wherever it stands as one. */
function underTodaysNames(json: unknown): string {
  return String(json)
    .replaceAll('"deeds"', '"behaviours"')
    .replaceAll('"manner":', '"approach":')
    .replaceAll('"manner"]', '"approach"]')
    .replaceAll('{"ours":', '{"drawing":')
    .replaceAll('"ours":', '"defaultText":');
}

/** Columns that later programs have added, and what they hold of the first one's rows. */
const ADDED: Readonly<Record<string, Row>> = {
  draft_change: { edit_id: null },
  person: { alerts_json: null },
  site: { places_json: '{}' },
  site_member: { removed_ms: null },
  conversation: { left_ms: null, missed_ms: null, ends_ms: null, ends_by: null },
};

/** Changes of that day that can be taken back now, and that can be brought again. */
function stepOf({ revision }: Row, all: readonly Row[]): string | null {
  const log = [...all].sort((a, b) => Number(a['revision']) - Number(b['revision']));
  const { done, undone } = stepsOf(log as unknown as readonly LoggedChange[]);
  return done.includes(Number(revision)) ? 'done' : undone.includes(Number(revision)) ? 'undone' : null;
}

/** When the first message was stored that nobody has answered, of those since the question was asked. */
function waitingOf({ id, asked_ms: askedAt }: Row, said: readonly Row[]): unknown {
  const own = said.filter((entry) => entry['conversation_id'] === id);
  const answered = own.findLastIndex(({ author, kind }) => author === 'person' && kind === 'message');
  const isOpen = ({ author, kind, stored_ms: at }: Row): boolean =>
    author === 'visitor' && kind !== 'ended' && Number(at) >= Number(askedAt);
  return own.slice(answered + 1).find(isOpen)?.['stored_ms'] ?? null;
}

function asToday(table: string, row: Row, all: readonly Row[], said: readonly Row[]): Row {
  const renamed = Object.fromEntries(
    Object.entries(row).map(([column, value]) => [
      COLUMNS[table]?.[column] ?? column,
      VALUES[`${table}.${column}`]?.(value) ?? value,
    ]),
  );
  const isDone = table === 'conversation' ? { is_done: row['standing'] === 'ended' ? 1 : 0 } : {};
  const waits = table === 'conversation' ? { waiting_ms: waitingOf(row, said) } : {};
  const step = table === 'draft_change' ? { step: stepOf(row, all) } : {};
  return { ...renamed, ...ADDED[table], ...isDone, ...step, ...waits };
}

/** Rows in an order of their own, whatever they are called. */
function inOrder(rows: readonly Row[]): string[] {
  return rows
    .map((row) =>
      JSON.stringify(
        Object.entries(row).sort(([a], [b]) => (a < b ? -1 : 1)),
        (_, value: unknown) => (Buffer.isBuffer(value) ? value.toString('base64') : value),
      ),
    )
    .sort();
}

describe('a database of the first program, opened by this one', () => {
  it('has every table, with as many rows and the same contents', async () => {
    const { before, db } = await opened();
    const tables = tablesOf(before);
    expect(tablesOf(connectionOf(db))).toEqual(
      expect.arrayContaining(tables.map((name) => TABLES[name] ?? name)),
    );
    const said = before.prepare<[], Row>(`SELECT * FROM entry ORDER BY seq`).all();
    for (const table of tables) {
      const was = before.prepare<[], Row>(`SELECT * FROM "${table}"`).all();
      expect(was.length, `rows of ${table} in the sample`).toBeGreaterThan(0);
      const is = connectionOf(db)
        .prepare<[], Row>(`SELECT * FROM "${TABLES[table] ?? table}"`)
        .all();
      expect(inOrder(is), table).toEqual(inOrder(was.map((row) => asToday(table, row, was, said))));
    }
  });

  it('is left without statistics, which would be of its first day for years', async () => {
    const file = written();
    const count = (): unknown => {
      const connection = new Database(file);
      const found = connection.prepare(`SELECT name FROM sqlite_schema WHERE name = 'sqlite_stat1'`).all();
      connection.close();
      return found.length;
    };
    new Database(file).exec('ANALYZE').close();
    expect(count()).toBe(1);
    const db = openDatabase(file);
    await migrateDatabase(db, join(tmpdir(), `porch-sample-backups-${process.pid}`));
    await closeDatabase(db);
    expect(count()).toBe(0);
  });

  it('gives no id of an entry again, not even one of an entry that was deleted', async () => {
    const file = written();
    const before = new Database(file);
    before.prepare(`UPDATE sqlite_sequence SET seq = 90000 WHERE name = 'entry'`).run();
    before.close();
    const db = openDatabase(file);
    await migrateDatabase(db, join(tmpdir(), `porch-sample-backups-${process.pid}`));
    const kept = connectionOf(db).prepare(`SELECT name, seq FROM sqlite_sequence WHERE name LIKE 'entry%'`);
    expect(kept.all()).toEqual([{ name: 'entry', seq: 90000 }]);
    await closeDatabase(db);
  });

  it('refers to nothing that is not there', async () => {
    const { db } = await opened();
    expect(connectionOf(db).pragma('foreign_key_check')).toEqual([]);
    expect(connectionOf(db).pragma('integrity_check', { simple: true })).toBe('ok');
  });

  it('takes back every change of that day, and brings them again', async () => {
    const { db } = await opened();
    const actor = actorIn(db);
    const last = (await getDraft(db, actor.siteId)).design;
    let undone = 0;
    while ((await getDraft(db, actor.siteId)).canUndo) {
      await stepped(db, 'undo', ++undone);
    }
    expect(undone).toBeGreaterThan(6);
    const first = (await getDraft(db, actor.siteId)).design;
    expect(first.widgets).toHaveLength(1);
    for (let step = undone; step > 0; step--) await stepped(db, 'redo', 100 + step);
    expect((await getDraft(db, actor.siteId)).design).toEqual(last);
  });

  it('brings an old version back', async () => {
    const { db } = await opened();
    const actor = actorIn(db);
    const state = { db, hub: makeHub(makeClock()) };
    const outcome = await bringBack(state, actor, 2, { remark: 'as it was' });
    expect(outcome).toEqual({ ok: true, value: 5 });
    const { design } = await getDraft(db, actor.siteId);
    expect(design.locales).toEqual(['en', 'pt', 'de', 'ar']);
  });

  it('keeps its visits and situations', async () => {
    const { db } = await opened();
    const { siteId } = actorIn(db);
    const [teacher] = await listKeptVisits(db, siteId);
    expect(teacher).toMatchObject({ name: 'A teacher, at night', steps: 'w40~s60' });
    const situations = await listKeptSituations(db, siteId);
    expect(situations.map(({ name }) => name)).toEqual(['A school at noon', 'All busy on a phone']);
  });

  it('a design that the first program exported can be imported', () => {
    const judged = judgeDesignFile(EXPORTED);
    expect(judged.ok).toBe(true);
    const design = (judged as { readonly value: Design }).value;
    expect(design.widgets.map(({ key }) => key)).toEqual(['everywhere', 'schools', 'telescopes']);
  });
});

function actorIn(db: Db) {
  const row = connectionOf(db)
    .prepare<[], { siteId: string; personId: string; at: number }>(
      `SELECT site_id AS siteId, changed_by AS personId, changed_ms AS at FROM draft`,
    )
    .get();
  if (row === undefined) throw new Error('Expected the sample to hold a draft.');
  return { ...row, at: row.at + 1 };
}

async function stepped(db: Db, kind: 'undo' | 'redo', step: number): Promise<void> {
  const outcome = await stepDraft({ db }, actorIn(db), { kind, clientId: `step-${kind}-${step}-0000000000` });
  expect(outcome.kind, `${kind} ${step}`).toBe('saved');
}
