import { sql } from 'kysely';
import { describe, expect, it, vi } from 'vitest';
import { keptQuery } from './kept-query';
import { type Db, openDatabase } from './open';
import { inTransaction } from './transaction';

const findName = keptQuery((db: Db, { siteId, after }: { siteId: string; after: number }) =>
  db
    .selectFrom('visitor')
    .select(['name', 'seen_ms'])
    .where('site_id', '=', siteId)
    .where('seen_ms', '>', after)
    .where('locale', '=', 'pt')
    .orderBy('seen_ms'),
);
const insertOne = keptQuery(
  (db: Db, { siteId, name, at }: { siteId: string; name: string | null; at: number }) =>
    db
      .insertInto('visitor')
      .values({
        ...{ site_id: siteId, id: 'v', name, mail: null, locale: 'pt' },
        ...{ device: null, first_ms: at, seen_ms: at },
      })
      .returning('seen_ms'),
);

async function made(): Promise<Db> {
  const db = openDatabase(':memory:');
  await sql`CREATE TABLE visitor (site_id TEXT, id TEXT, name TEXT, mail TEXT, locale TEXT, device TEXT, first_ms INTEGER, seen_ms INTEGER)`.execute(
    db,
  );
  return db;
}

describe('a kept query', () => {
  it('asks with the values of each time, in the order of its text', async () => {
    const db = await made();
    expect(await insertOne(db, { siteId: 'a', name: 'Ana', at: 3 })).toEqual([{ seen_ms: 3 }]);
    await insertOne(db, { siteId: 'a', name: null, at: 2 });
    await insertOne(db, { siteId: 'b', name: 'Rui', at: 5 });
    expect(await findName(db, { siteId: 'a', after: 0 })).toEqual([
      { name: null, seen_ms: 2 },
      { name: 'Ana', seen_ms: 3 },
    ]);
    expect(await findName(db, { siteId: 'b', after: 0 })).toEqual([{ name: 'Rui', seen_ms: 5 }]);
    expect(await findName(db, { siteId: 'b', after: 5 })).toEqual([]);
  });

  it('goes by the database it is asked of, and takes part in its transactions', async () => {
    const [one, other] = [await made(), await made()];
    await expect(
      one.transaction().execute(async (tx) => {
        await insertOne(tx, { siteId: 'a', name: 'Ana', at: 1 });
        expect(await findName(tx, { siteId: 'a', after: 0 })).toHaveLength(1);
        throw new Error('undone');
      }),
    ).rejects.toThrow('undone');
    await insertOne(other, { siteId: 'a', name: 'Eva', at: 1 });
    expect(await findName(one, { siteId: 'a', after: 0 })).toEqual([]);
    expect(await findName(other, { siteId: 'a', after: 0 })).toEqual([{ name: 'Eva', seen_ms: 1 }]);
  });

  it('is asked within a transaction at once, and sees what was written there', async () => {
    const db = await made();
    const seen = await inTransaction(db, async (tx) => {
      await insertOne(tx, { siteId: 'a', name: 'Ana', at: 3 });
      return findName(tx, { siteId: 'a', after: 0 });
    });
    expect(seen).toEqual([{ name: 'Ana', seen_ms: 3 }]);
    await expect(
      inTransaction(db, async (tx) => {
        await insertOne(tx, { siteId: 'a', name: 'Rui', at: 4 });
        throw new Error('no');
      }),
    ).rejects.toThrow('no');
    expect(await findName(db, { siteId: 'a', after: 0 })).toHaveLength(1);
  });

  it('goes Kysely’s way where another program of the same process has opened the database, as Next’s pages find it', async () => {
    const db = await made();
    vi.resetModules();
    const theirs = { ...(await import('./transaction')), ...(await import('./kept-query')) };
    expect(theirs.inTransaction).not.toBe(inTransaction);
    const find = theirs.keptQuery((one: Db, { siteId }: { siteId: string }) =>
      one.selectFrom('visitor').select('name').where('site_id', '=', siteId),
    );
    const seen = await theirs.inTransaction(db, async (tx) => {
      await insertOne(tx, { siteId: 'a', name: 'Ana', at: 3 });
      return find(tx, { siteId: 'a' });
    });
    expect([seen, await find(db, { siteId: 'a' })]).toEqual([[{ name: 'Ana' }], [{ name: 'Ana' }]]);
  });
});
