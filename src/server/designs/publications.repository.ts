import type { Publication } from '../../core/publish/in-force';
import type { EpochMs } from '../../core/model/units';
import type { Db } from '../db/open';

/** What matters from an instant on: what was made live last before it, periods that are not over, and what is planned ([L5]). */
export async function listPublications(db: Db, siteId: string, at: EpochMs): Promise<Publication[]> {
  const columns = ['id', 'version_number', 'from_ms', 'until_ms'] as const;
  const all = db
    .selectFrom('publication')
    .select(columns)
    .where('site_id', '=', siteId)
    .where('cancelled_ms', 'is', null);
  const [last, ahead] = await Promise.all([
    all
      .where('kind', '=', 'base')
      .where('from_ms', '<=', at)
      .orderBy('from_ms', 'desc')
      .orderBy('version_number', 'desc')
      .limit(1)
      .execute(),
    all.where(({ eb, or }) => or([eb('from_ms', '>', at), eb('until_ms', '>', at)])).execute(),
  ]);
  return [...last, ...ahead].map((row) => ({
    id: row.id,
    version: row.version_number,
    from: row.from_ms,
    until: row.until_ms,
  }));
}

/** The version of the wire that this program writes and serves; files of another one stay in the table, for programs that read it. */
const WIRE = 1;

export interface PublishedFile {
  readonly name: string;
  readonly kind: 'design' | 'facts';
  readonly versionNumber: number | null;
  readonly factsRevision: number | null;
  /** gzip of the JSON. */
  readonly body: Buffer;
}

export async function insertFile(db: Db, siteId: string, file: PublishedFile, at: EpochMs): Promise<void> {
  await db
    .insertInto('published_file')
    .values({
      site_id: siteId,
      name: file.name,
      kind: file.kind,
      version_number: file.versionNumber,
      facts_revision: file.factsRevision,
      wire: WIRE,
      made_by_json: JSON.stringify({ words: 1 }),
      body: file.body,
      made_ms: at,
      last_named_ms: at,
    })
    .onConflict((on) => on.doNothing())
    .execute();
}

export async function findFileBody(db: Db, siteId: string, name: string): Promise<Buffer | null> {
  const row = await db
    .selectFrom('published_file')
    .select('body')
    .where('site_id', '=', siteId)
    .where('wire', '=', WIRE)
    .where('name', '=', name)
    .executeTakeFirst();
  return row?.body ?? null;
}

/** Names of a version's design files. */
export async function listDesignFiles(db: Db, siteId: string, versionNumber: number): Promise<string[]> {
  const rows = await db
    .selectFrom('published_file')
    .select('name')
    .where('site_id', '=', siteId)
    .where('wire', '=', WIRE)
    .where('version_number', '=', versionNumber)
    .execute();
  return rows.map(({ name }) => name);
}

export async function findNewestFacts(
  db: Db,
  siteId: string,
): Promise<{ revision: number; name: string } | null> {
  const row = await db
    .selectFrom('published_file')
    .select(['facts_revision', 'name'])
    .where('site_id', '=', siteId)
    .where('wire', '=', WIRE)
    .where('kind', '=', 'facts')
    .orderBy('facts_revision', 'desc')
    .limit(1)
    .executeTakeFirst();
  return row === undefined ? null : { revision: row.facts_revision ?? 0, name: row.name };
}

/** The newest facts of every site that were written up to an instant, and by whom. */
export async function listFactsUpTo(
  db: Db,
  at: EpochMs,
): Promise<{ siteId: string; personId: string; facts: string; revision: number }[]> {
  const rows = await db
    .selectFrom('facts')
    .select(['site_id', 'person_id', 'facts_json', 'revision', 'at_ms'])
    .where(({ eb, selectFrom }) =>
      eb(
        'revision',
        '=',
        selectFrom('facts as newest')
          .select(({ fn }) => fn.max('newest.revision').as('revision'))
          .whereRef('newest.site_id', '=', 'facts.site_id'),
      ),
    )
    .where('at_ms', '<=', at)
    .execute();
  return rows.map((row) => ({
    siteId: row.site_id,
    personId: row.person_id,
    facts: row.facts_json,
    revision: row.revision,
  }));
}

export async function insertFacts(
  db: Db,
  siteId: string,
  revision: number,
  factsJson: string,
  personId: string,
  at: EpochMs,
  what: string,
): Promise<void> {
  await db
    .insertInto('facts')
    .values({
      site_id: siteId,
      revision,
      facts_json: factsJson,
      undo_json: null,
      person_id: personId,
      at_ms: at,
      what,
    })
    .execute();
}
