import { sql } from 'kysely';
import { beforeEach, describe, expect, it } from 'vitest';
import { type GroupCommit, RefusedError, makeGroupCommit } from './group-commit';
import { type Db, dbOver } from './open';
import Database from 'better-sqlite3';

let db: Db;
let commits: GroupCommit;
let statements: string[];
/** What was done after the writes, in order. */
let done: string[];

beforeEach(async () => {
  statements = [];
  done = [];
  db = dbOver(new Database(':memory:', { verbose: (text) => statements.push(String(text)) }));
  await sql`CREATE TABLE visitor (site_id TEXT, id TEXT PRIMARY KEY, name TEXT, mail TEXT, locale TEXT, device TEXT, first_ms INTEGER, seen_ms INTEGER)`.execute(
    db,
  );
  commits = makeGroupCommit(db);
  statements.length = 0;
});

const transactions = (): number => statements.filter((text) => text === 'begin immediate').length;
const stored = async (): Promise<string[]> =>
  (
    await db
      .selectFrom('visitor')
      .select('id')
      .orderBy('rowid' as 'id')
      .execute()
  ).map(({ id }) => id);

interface More {
  readonly before?: () => void;
  readonly after?: () => void;
}

/** Stores a visitor under an id; what it tells is written down. */
function store(id: string, { before, after }: More = {}): Promise<string> {
  return commits.store({
    write: async (tx, group) => {
      before?.();
      const state = await group.once('state', () => {
        done.push('looked');
        return Promise.resolve('in');
      });
      await tx
        .insertInto('visitor')
        .values({
          site_id: 'a',
          id,
          name: state,
          mail: null,
          locale: 'en',
          device: null,
          first_ms: 0,
          seen_ms: 0,
        })
        .execute();
      after?.();
      return id;
    },
    tell: (written, news) => {
      done.push(`told ${written}`);
      news.add('teams', () => Promise.resolve(void done.push('teams')));
      return Promise.resolve(`${written} is stored`);
    },
  });
}

const names = (count: number): string[] => Array.from({ length: count }, (_, place) => `v${place}`);

describe('a group commit', () => {
  it('stores in one transaction what waits at the same time, and tells it after COMMIT, in order, its news once', async () => {
    const answers = await Promise.all(names(3).map((id) => store(id)));
    expect(transactions()).toBe(1);
    expect(answers).toEqual(['v0 is stored', 'v1 is stored', 'v2 is stored']);
    expect(done).toEqual(['looked', 'told v0', 'told v1', 'told v2', 'teams']);
    expect(await stored()).toEqual(names(3));
  });

  it('has told nothing while nothing is committed', async () => {
    await Promise.all(
      names(3).map((id) =>
        store(id, {
          after: () => {
            expect(done).toEqual(['looked']);
            expect(statements).not.toContain('commit');
          },
        }),
      ),
    );
    expect(statements).toContain('commit');
  });

  it('takes a hundred at most, and waits for none', async () => {
    await Promise.all(names(250).map((id) => store(id)));
    expect(transactions()).toBe(3);
    await store('alone');
    expect(transactions()).toBe(4);
    expect(await stored()).toEqual([...names(250), 'alone']);
  });

  it('undoes a group of which one fails, and tries each alone: only that one is lost', async () => {
    const works = [store('v0'), store('v1'), store('v1'), store('v2')];
    const outcomes = await Promise.allSettled(works);
    expect(outcomes.map(({ status }) => status)).toEqual(['fulfilled', 'fulfilled', 'rejected', 'fulfilled']);
    expect(await stored()).toEqual(names(3));
    expect(transactions()).toBe(5);
    expect(done.filter((one) => one.startsWith('told'))).toEqual(['told v0', 'told v1', 'told v2']);
  });

  it('refuses by itself what is refused before it has written, and the group goes on', async () => {
    const refuse = (): never => {
      throw new RefusedError('not known here');
    };
    const outcomes = await Promise.allSettled([store('v0'), store('no', { before: refuse }), store('v1')]);
    expect(outcomes.map(({ status }) => status)).toEqual(['fulfilled', 'rejected', 'fulfilled']);
    expect(await stored()).toEqual(names(2));
    expect(transactions()).toBe(1);
  });

  it('tries nobody alone where the file cannot be written', async () => {
    const full = (): never => {
      throw Object.assign(new Error('disk is full'), { code: 'SQLITE_FULL' });
    };
    const outcomes = await Promise.allSettled([store('v0'), store('v1', { before: full }), store('v2')]);
    expect(outcomes.map(({ status }) => status)).toEqual(['rejected', 'rejected', 'rejected']);
    expect(transactions()).toBe(1);
    expect(await stored()).toEqual([]);
  });

  it('goes on after one that was stored and could not be told', async () => {
    const mute = commits.store({
      write: () => Promise.resolve('v0'),
      tell: () => {
        throw new Error('no line');
      },
    });
    const outcomes = await Promise.allSettled([mute, store('v1')]);
    expect(outcomes.map(({ status }) => status)).toEqual(['rejected', 'fulfilled']);
    expect(await store('v2')).toBe('v2 is stored');
  });

  it('answers who comes while a group is stored in the next one', async () => {
    const late: Promise<string>[] = [];
    await store('v0', { after: () => void late.push(store('late')) });
    expect(await Promise.all(late)).toEqual(['late is stored']);
    expect(transactions()).toBe(2);
  });
});
