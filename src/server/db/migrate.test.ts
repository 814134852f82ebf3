import { mkdtempSync, readdirSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { type Migration, sql } from 'kysely';
import { describe, expect, it } from 'vitest';
import { MigrationError, NewerDatabaseError, migrateDatabase } from './migrate';
import { type Db, closeDatabase, connectionOf, openDatabase } from './open';

const step = (...statements: string[]): Migration => ({
  up: async (db) => {
    for (const statement of statements) await sql.raw(statement).execute(db);
  },
});
const FIRST = {
  '202601010000-first': step(
    'CREATE TABLE moon (id TEXT PRIMARY KEY) STRICT',
    `INSERT INTO moon VALUES ('full')`,
  ),
};
const BROKEN = {
  ...FIRST,
  '202601020000-second': step(
    'ALTER TABLE moon ADD COLUMN phase TEXT',
    `UPDATE moon SET phase = 'waxing'`,
    `INSERT INTO moon (id) VALUES ('new')`,
  ),
  '202601030000-third': step('CREATE TABLE star (id TEXT) STRICT', 'CREATE TABLE star (id TEXT) STRICT'),
};

const FAMILY = {
  '202601010000-first': step(
    'CREATE TABLE moon (id TEXT PRIMARY KEY) STRICT',
    'CREATE TABLE crater (id TEXT PRIMARY KEY, moon_id TEXT NOT NULL REFERENCES moon (id) ON DELETE CASCADE) STRICT',
    `INSERT INTO moon VALUES ('full')`,
    `INSERT INTO crater VALUES ('tycho', 'full')`,
  ),
};
const REBUILT = step(
  `CREATE TABLE moon_new (id TEXT PRIMARY KEY CHECK (id <> '')) STRICT`,
  'INSERT INTO moon_new SELECT id FROM moon',
  'DROP TABLE moon',
  'ALTER TABLE moon_new RENAME TO moon',
);

const dumpOf = (db: Db) => {
  const connection = connectionOf(db);
  const schema = connection.prepare('SELECT name, sql FROM sqlite_schema ORDER BY name').all();
  const rows = ['moon', 'kysely_migration'].map((table) =>
    connection.prepare(`SELECT * FROM ${table}`).all(),
  );
  return { schema, rows };
};

describe('migrateDatabase', () => {
  it('a migration that fails half-way leaves schema and rows as they were, also those of the migrations before it', async () => {
    const db = openDatabase(':memory:');
    await migrateDatabase(db, '', FIRST);
    const before = dumpOf(db);
    await expect(migrateDatabase(db, '', BROKEN)).rejects.toThrow(MigrationError);
    expect(dumpOf(db)).toEqual(before);
  });

  it('says which one failed', async () => {
    const db = openDatabase(':memory:');
    await expect(migrateDatabase(db, '', BROKEN)).rejects.toThrow(
      /"202601030000-third" failed and was undone/,
    );
  });

  it('backs the file up first, in the process, and the backup is the database before', async () => {
    const dir = mkdtempSync(join(tmpdir(), 'porch-migrate-'));
    const db = openDatabase(join(dir, 'porch.db'));
    await migrateDatabase(db, join(dir, 'backups'), FIRST);
    await expect(migrateDatabase(db, join(dir, 'backups'), BROKEN)).rejects.toThrow(MigrationError);
    expect(readdirSync(join(dir, 'backups'))).toEqual(['before-202601020000-second.db']);
    const backup = new Database(join(dir, 'backups', 'before-202601020000-second.db'), { readonly: true });
    expect(backup.prepare('SELECT id FROM moon').all()).toEqual([{ id: 'full' }]);
    backup.close();
    await closeDatabase(db);
  });

  it('a table that others refer to can be rebuilt: its children stay, and references hold again afterwards', async () => {
    const db = openDatabase(':memory:');
    await migrateDatabase(db, '', FAMILY);
    await migrateDatabase(db, '', { ...FAMILY, '202601020000-rebuilt': REBUILT });
    const connection = connectionOf(db);
    expect(connection.prepare('SELECT id, moon_id FROM crater').all()).toEqual([
      { id: 'tycho', moon_id: 'full' },
    ]);
    expect(connection.pragma('foreign_keys', { simple: true })).toBe(1);
    expect(() => connection.prepare(`INSERT INTO crater VALUES ('kepler', 'none')`).run()).toThrow(
      /FOREIGN KEY/,
    );
  });

  it('a migration that leaves a row without its parent is undone', async () => {
    const db = openDatabase(':memory:');
    await migrateDatabase(db, '', FAMILY);
    const orphaned = step(`DELETE FROM moon WHERE id = 'full'`);
    await expect(migrateDatabase(db, '', { ...FAMILY, '202601020000-orphaned': orphaned })).rejects.toThrow(
      /"crater" refers to one of "moon" that is not there/,
    );
    expect(connectionOf(db).prepare('SELECT id FROM moon').all()).toEqual([{ id: 'full' }]);
    expect(connectionOf(db).pragma('foreign_keys', { simple: true })).toBe(1);
  });

  it('refuses a file of a newer program, and touches nothing', async () => {
    const db = openDatabase(':memory:');
    await migrateDatabase(db, '', FIRST);
    const before = dumpOf(db);
    await expect(migrateDatabase(db, '', {})).rejects.toThrow(NewerDatabaseError);
    expect(dumpOf(db)).toEqual(before);
  });

  it('is harmless when nothing is pending', async () => {
    const db = openDatabase(':memory:');
    expect(await migrateDatabase(db, '')).toEqual([
      '202611240001-foundations',
      '202611260001-calendars',
      '202611260002-form-replies',
      '202611260003-boards-aside',
      '202611260004-kept-visits',
      '202611260005-kept-situations',
      '202611260006-uploads',
      '202611260007-previews',
      '202611260008-page-bars',
      '202611260009-faces',
      '202611290001-plain-names',
      '202612010001-edit-ids',
      '202612010002-place-names',
      '202612010003-straight-plans',
      '202612010004-own-conversations',
      '202612010005-draft-steps',
      '202612010006-no-statistics',
      '202612020001-fewer-entry-indexes',
      '202612020002-waiting-since',
      '202612020003-colleagues',
      '202612020004-ending-soon',
      '202612020005-alerts',
    ]);
    expect(await migrateDatabase(db, '')).toEqual([]);
  });

  it('all our tables are STRICT', async () => {
    const db = openDatabase(':memory:');
    await migrateDatabase(db, '');
    const loose = connectionOf(db)
      .prepare<[], { name: string }>(
        `SELECT name FROM pragma_table_list WHERE strict = 0 AND schema = 'main' AND name NOT LIKE 'sqlite_%' AND name NOT LIKE 'kysely_%'`,
      )
      .all();
    expect(loose).toEqual([]);
  });
});

describe('openDatabase', () => {
  it('sets every pragma of docs/data-model.md', () => {
    const dir = mkdtempSync(join(tmpdir(), 'porch-open-'));
    const connection = connectionOf(openDatabase(join(dir, 'porch.db')));
    const told = [
      'journal_mode',
      'synchronous',
      'foreign_keys',
      'busy_timeout',
      'trusted_schema',
      'journal_size_limit',
    ].map((name) => connection.pragma(name, { simple: true }));
    expect(told).toEqual(['wal', 2, 1, 250, 0, 67_108_864]);
    connection.close();
  });
});
