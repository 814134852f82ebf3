import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'kysely';
import { describe, expect, it } from 'vitest';
import { type Db, closeDatabase, connectionOf, openDatabase } from './open';

async function made(file: string): Promise<Db> {
  const db = openDatabase(file);
  await sql`CREATE TABLE site_domain (site_id TEXT, origin TEXT, is_test INTEGER)`.execute(db);
  return db;
}

const add = (db: Db, origin: string) =>
  db.insertInto('site_domain').values({ site_id: 'a', origin, is_test: 0 }).execute();
const list = async (db: Db): Promise<string[]> =>
  (await db.selectFrom('site_domain').select('origin').execute()).map(({ origin }) => origin);

/** A transaction that has written one row and waits to be let go on. */
async function begun(db: Db) {
  let goOn = (): void => undefined;
  let hasWritten = (): void => undefined;
  const written = new Promise<void>((resolve) => {
    hasWritten = resolve;
  });
  const gate = new Promise<void>((resolve) => {
    goOn = resolve;
  });
  const done = db.transaction().execute(async (tx) => {
    await add(tx, 'first');
    hasWritten();
    await gate;
    expect(await list(tx)).toEqual(['first']);
  });
  await written;
  return { goOn: () => goOn(), done };
}

describe('a file with a connection that writes and one that reads', () => {
  const file = () => join(mkdtempSync(join(tmpdir(), 'porch-driver-')), 'one.db');

  it('reads past an open transaction, and sees nothing of it before it is committed', async () => {
    const db = await made(file());
    const { goOn, done } = await begun(db);
    expect(await list(db)).toEqual([]);
    goOn();
    await done;
    expect(await list(db)).toEqual(['first']);
    await closeDatabase(db);
  });

  it('lets what writes wait its turn, first come first served', async () => {
    const db = await made(file());
    const { goOn, done } = await begun(db);
    const order: string[] = [];
    const later = [
      db
        .transaction()
        .execute((tx) => add(tx, 'second'))
        .then(() => order.push('second')),
      add(db, 'third').then(() => order.push('third')),
    ];
    expect(await list(db)).toEqual([]);
    goOn();
    await Promise.all([done, ...later]);
    expect(order).toEqual(['second', 'third']);
    expect(await list(db)).toEqual(['first', 'second', 'third']);
    await closeDatabase(db);
  });

  it('gives its turn on after a transaction that failed, also where it could not begin', async () => {
    const db = await made(file());
    await expect(db.transaction().execute(() => Promise.reject(new Error('no')))).rejects.toThrow('no');
    connectionOf(db).exec('BEGIN');
    await expect(db.transaction().execute((tx) => add(tx, 'none'))).rejects.toThrow('within a transaction');
    connectionOf(db).exec('ROLLBACK');
    const { goOn, done } = await begun(db);
    goOn();
    await done;
    expect(await list(db)).toEqual(['first']);
    await closeDatabase(db);
  });
});

describe('a database in memory', () => {
  it('lets reading wait for an open transaction, as it would see what is not committed', async () => {
    const db = await made(':memory:');
    const { goOn, done } = await begun(db);
    let seen: string[] | null = null;
    const reading = list(db).then((found) => {
      seen = found;
    });
    await Promise.resolve();
    expect(seen).toBeNull();
    goOn();
    await Promise.all([done, reading]);
    expect(seen).toEqual(['first']);
  });
});
