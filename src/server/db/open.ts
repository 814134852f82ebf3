import { existsSync, mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import Database from 'better-sqlite3';
import {
  type CompiledQuery,
  Kysely,
  type LimitNode,
  SqliteAdapter,
  SqliteIntrospector,
  SqliteQueryCompiler,
  type Transaction,
  ValueNode,
  sql,
} from 'kysely';
import { TwoConnections } from './driver';
import type { Schema } from './schema';

/** The database, or a transaction on it: repositories take either. */
export type Db = Kysely<Schema>;
export type Tx = Transaction<Schema>;

const PRAGMAS = [
  'journal_mode = WAL',
  'synchronous = FULL',
  'foreign_keys = ON',
  'busy_timeout = 250',
  'trusted_schema = OFF',
  'journal_size_limit = 67108864',
  'wal_autocheckpoint = 4000', // in pages: what many messages change again and again is copied once
  'cache_size = -65536', // in KiB: what is talked about now stays in memory; it takes no more than is read
];

/** SQLite can undo changes of schema; Kysely's adapter says it cannot, and would leave half-done migrations. */
class WholeAdapter extends SqliteAdapter {
  override get supportsTransactionalDdl(): boolean {
    return true;
  }
}

/** Limits are written out: SQLite plans a statement anew whenever a limit is bound to it, which takes longer than most of ours. */
class LiteralLimits extends SqliteQueryCompiler {
  protected override visitLimit(node: LimitNode): void {
    const limit = ValueNode.is(node.limit) ? node.limit.value : null;
    if (Number.isSafeInteger(limit)) this.append(`limit ${String(limit)}`);
    else super.visitLimit(node);
  }
}

/** Opens the file for the one process, by one connection that writes and one that reads. `:memory:` for tests. */
export function openDatabase(file: string): Db {
  if (file === MEMORY) return dbOver(opened(file, {}));
  mkdirSync(dirname(file), { recursive: true });
  const writer = opened(file, {});
  return dbOver(writer, opened(file, { readonly: true }));
}

const MEMORY = ':memory:';

function opened(file: string, options: Database.Options): Database.Database {
  const database = new Database(file, options);
  for (const pragma of PRAGMAS) database.pragma(pragma);
  return database;
}

/** Kysely over open connections. */
export function dbOver(writer: Database.Database, reader: Database.Database | null = null): Db {
  const driver = new TwoConnections(writer, reader);
  const db = new Kysely<Schema>({
    dialect: {
      createAdapter: () => new WholeAdapter(),
      createDriver: () => driver,
      createIntrospector: (whole) => new SqliteIntrospector(whole),
      createQueryCompiler: () => new LiteralLimits(),
    },
  });
  RAW.set(db, { writer, driver });
  return db;
}

/**
 * Holds a small file of its own for as long as this process lives, and for this process alone; the system lets go of it
 * when the process ends, however it ends. Gives the way to let go; null: another process holds it.
 */
export function holdAlone(file: string): (() => void) | null {
  const held = new Database(file, { timeout: 0 });
  try {
    held.pragma('locking_mode = EXCLUSIVE');
    held.exec('BEGIN EXCLUSIVE');
    held.pragma('user_version = 1'); // an open write: the lock is not let go of before it ends
    return () => held.close();
  } catch (error) {
    held.close();
    if (error instanceof Database.SqliteError && error.code.startsWith('SQLITE_BUSY')) return null;
    throw error;
  }
}

const RAW = new WeakMap<Db, { readonly writer: Database.Database; readonly driver: TwoConnections }>();

/** The connection that writes under a database, for what Kysely has no word for: pragmas and backup. */
export function connectionOf(db: Db): Database.Database {
  return rawOf(db).writer;
}

/** Transactions that are open, with what runs their queries. */
const OPEN = new WeakMap<Db, TwoConnections>();

/**
 * Lets queries of a transaction run at once for as long as some work lasts. Next's pages are a program of their own in the
 * same process: what the server has opened is unknown to their copy of this file, and their queries go Kysely's way.
 */
export async function whileOpen<T>(db: Db, tx: Tx, work: () => Promise<T>): Promise<T> {
  const raw = RAW.get(db);
  if (raw === undefined) return work();
  OPEN.set(tx, raw.driver);
  try {
    return await work();
  } finally {
    OPEN.delete(tx);
  }
}

/**
 * Runs a compiled query past Kysely's own way, which takes as long as SQLite itself, where it need not wait for anything;
 * null: it has to go that way.
 */
export function runAtOnce<Row>(db: Db, query: CompiledQuery<Row>): Row[] | null {
  const open = OPEN.get(db);
  if (open !== undefined) return open.runHeld<Row>(query);
  return RAW.get(db)?.driver.runFree<Row>(query) ?? null;
}

/** Counts what was committed of all that owners set; a larger number: something of it may be another one now. */
export function settingsRevision(db: Db): number {
  return rawOf(db).driver.settingsRevision;
}

function rawOf(db: Db) {
  const found = RAW.get(db);
  if (found === undefined)
    throw new Error('Expected a database from openDatabase, got a transaction or another one.');
  return found;
}

/** Names of the migrations that were applied to a file, in no order; none where the file is new. */
export function appliedMigrations(db: Db): string[] {
  const connection = connectionOf(db);
  const table = connection.prepare(`SELECT 1 FROM sqlite_schema WHERE name = 'kysely_migration'`).get();
  if (table === undefined) return [];
  return connection
    .prepare<[], { name: string }>('SELECT name FROM kysely_migration')
    .all()
    .map(({ name }) => name);
}

/** Does some work with foreign keys off. Switched before a transaction begins: inside of one the pragma is ignored. */
export async function withoutForeignKeys<T>(db: Db, work: () => Promise<T>): Promise<T> {
  const connection = connectionOf(db);
  connection.pragma('foreign_keys = OFF');
  try {
    return await work();
  } finally {
    connection.pragma('foreign_keys = ON');
  }
}

/** Rows that refer to one that is not there, by their table and the one they refer to. */
export async function brokenReferences<Any>(db: Kysely<Any>): Promise<readonly BrokenReference[]> {
  return (await sql<BrokenReference>`PRAGMA foreign_key_check`.execute(db)).rows;
}

export interface BrokenReference {
  readonly table: string;
  readonly parent: string;
}

/** Whether the database answers at all. */
export async function isAnswering(db: Db): Promise<boolean> {
  return (await sql`SELECT 1`.execute(db)).rows.length === 1;
}

/** Copies the whole database into a file, while it is in use; nothing where it is in memory or the file exists. */
export async function backUpTo(db: Db, file: string): Promise<void> {
  const connection = connectionOf(db);
  if (connection.memory || existsSync(file)) return;
  mkdirSync(dirname(file), { recursive: true });
  await connection.backup(file);
}

/** Closes in order: first everything out of the write-ahead log. It leaves no statistics, which would be of a day long past. */
export async function closeDatabase(db: Db): Promise<void> {
  const connection = connectionOf(db);
  connection.pragma('wal_checkpoint(TRUNCATE)');
  await db.destroy();
}
