import { log } from '../log';
import type { Db, Tx } from './open';
import { inTransaction, isUnavailable } from './transaction';

/** Something to be stored, and what is told once it is. */
export interface GroupWork<Written, Told> {
  /** Writes by the group's transaction. Throws RefusedError only before anything was written. */
  write(tx: Tx, group: CommitGroup): Promise<Written>;
  /** Called after COMMIT, in the order in which the group was stored; gives what the work comes to. */
  tell(written: Written, news: News): Promise<Told>;
}

/** What the works of one transaction share. */
export interface CommitGroup {
  /** Finds something out once for all of them. */
  once<T>(name: string, find: () => Promise<T>): Promise<T>;
}

/** What is told once for a whole group, after all its works have told their own. */
export interface News {
  add(name: string, tell: () => Promise<void>): void;
}

/** Work that may not be done, found out before anything was written: it alone is refused. */
export class RefusedError extends Error {}

/**
 * Stores what waits at the same time in one transaction: a commit waits for the disk, and a hundred works wait for it
 * once. It never waits for more to come; where nothing else waits, a work is a group by itself.
 */
export interface GroupCommit {
  /** Resolves when the work is in the file and told. Throws what it threw, or UnwritableError. */
  store<Written, Told>(work: GroupWork<Written, Told>): Promise<Told>;
}

const GROUP_MAX = 100;

export function makeGroupCommit(db: Db): GroupCommit {
  const waiting: Waiting[] = [];
  let isAwake = false;
  const wake = (): void => {
    isAwake = true;
    // After whatever has arrived by now was read.
    setImmediate(() => void goOn());
  };
  const goOn = async (): Promise<void> => {
    try {
      await runGroup(db, waiting.splice(0, GROUP_MAX));
    } finally {
      isAwake = false; // whatever happened to one group, the next one is stored
      if (waiting.length > 0) wake();
    }
  };
  return {
    store: <Written, Told>(work: GroupWork<Written, Told>) =>
      new Promise<Told>((resolve, reject) => {
        waiting.push({ work, resolve, reject });
        if (!isAwake) wake();
      }),
  };
}

type AnyWork = GroupWork<unknown, unknown>;

interface Waiting {
  readonly work: AnyWork;
  resolve(told: unknown): void;
  reject(error: unknown): void;
}

type Outcome = { readonly written: unknown } | { readonly error: unknown };

async function runGroup(db: Db, group: readonly Waiting[]): Promise<void> {
  const outcomes = await storeAll(
    db,
    group.map(({ work }) => work),
  );
  const news = new Map<string, () => Promise<void>>();
  for (const [place, outcome] of outcomes.entries()) {
    const one = group[place];
    if ('error' in outcome) one?.reject(outcome.error);
    else if (one !== undefined) await tellOne(one, outcome.written, news);
  }
  for (const tell of news.values())
    await tell().catch((error: unknown) => log.error({ error }, 'News could not be told.')); // the next change tells anew
}

async function tellOne(
  { work, resolve, reject }: Waiting,
  written: unknown,
  news: Map<string, () => Promise<void>>,
): Promise<void> {
  try {
    resolve(await work.tell(written, { add: (name, tell) => news.set(name, tell) }));
  } catch (error) {
    reject(error); // stored all the same: sent again, it is recognised
  }
}

/** All of a group, or, where one of it fails, each by itself: nobody's message is lost by another one's. */
async function storeAll(db: Db, works: readonly AnyWork[]): Promise<readonly Outcome[]> {
  try {
    return await storeTogether(db, works);
  } catch (error) {
    // A file that cannot be written now cannot be for any of them.
    if (works.length === 1 || isUnavailable(error)) return works.map(() => ({ error }));
    const outcomes: Outcome[] = [];
    for (const work of works) outcomes.push(...(await storeAll(db, [work])));
    return outcomes;
  }
}

function storeTogether(db: Db, works: readonly AnyWork[]): Promise<readonly Outcome[]> {
  return inTransaction(db, async (tx) => {
    const group = makeGroup();
    const outcomes: Outcome[] = [];
    for (const work of works) outcomes.push(await attempt(work, tx, group));
    return outcomes;
  });
}

async function attempt(work: AnyWork, tx: Tx, group: CommitGroup): Promise<Outcome> {
  try {
    return { written: await work.write(tx, group) };
  } catch (error) {
    if (error instanceof RefusedError) return { error };
    throw error;
  }
}

function makeGroup(): CommitGroup {
  const found = new Map<string, Promise<unknown>>();
  return {
    once: <T>(name: string, find: () => Promise<T>) => {
      const known = found.get(name) as Promise<T> | undefined;
      if (known !== undefined) return known;
      const made = find();
      found.set(name, made);
      return made;
    },
  };
}
