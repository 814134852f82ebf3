import { completed } from '../../core/model/complete';
import type { Design } from '../../core/model/design';
import type { EpochMs } from '../../core/model/units';
import type { PublicationRow, VersionRow } from '../../core/wire/desk';
import type { Db } from '../db/open';

export interface Version {
  readonly number: number;
  readonly design: Design;
  readonly at: EpochMs;
}

/** A version of a site by its number, or null. */
export async function findVersion(db: Db, siteId: string, number: number): Promise<Version | null> {
  const row = await db
    .selectFrom('version')
    .select(['number', 'design_json', 'at_ms'])
    .where('site_id', '=', siteId)
    .where('number', '=', number)
    .executeTakeFirst();
  return row === undefined
    ? null
    : { number: row.number, design: completed(JSON.parse(row.design_json) as Design), at: row.at_ms };
}

/** The highest number a version of the site has; 0: there is none. */
export async function findNewestNumber(db: Db, siteId: string): Promise<number> {
  const row = await db
    .selectFrom('version')
    .select(({ fn }) => fn.max('number').as('number'))
    .where('site_id', '=', siteId)
    .executeTakeFirst();
  return row?.number ?? 0;
}

/** What was made live for good last, or will be last: with it a draft is compared. Null: nothing was. */
export async function findLastingDesign(db: Db, siteId: string): Promise<Design | null> {
  const row = await db
    .selectFrom('publication')
    .select('version_number')
    .where('site_id', '=', siteId)
    .where('kind', '=', 'base')
    .where('cancelled_ms', 'is', null)
    .orderBy('from_ms', 'desc')
    .orderBy('version_number', 'desc')
    .limit(1)
    .executeTakeFirst();
  return row === undefined ? null : ((await findVersion(db, siteId, row.version_number))?.design ?? null);
}

export async function insertVersion(
  db: Db,
  siteId: string,
  version: Version & { readonly remark: string; readonly broughtBackFrom: number | null },
  personId: string,
): Promise<void> {
  await db
    .insertInto('version')
    .values({
      site_id: siteId,
      number: version.number,
      design_json: JSON.stringify(version.design),
      remark: version.remark,
      person_id: personId,
      at_ms: version.at,
      brought_back_from: version.broughtBackFrom,
    })
    .execute();
}

/** The versions of a site, the newest first, at most so many below a number. */
export async function listVersions(
  db: Db,
  siteId: string,
  below: number | null,
  count: number,
): Promise<VersionRow[]> {
  const rows = await db
    .selectFrom('version')
    .innerJoin('person', 'person.id', 'version.person_id')
    .leftJoin('publication', (join) =>
      join
        .onRef('publication.site_id', '=', 'version.site_id')
        .onRef('publication.version_number', '=', 'version.number')
        .on('publication.cancelled_ms', 'is', null),
    )
    .select(['version.number', 'version.remark', 'version.at_ms', 'version.brought_back_from', 'person.name'])
    .select(['publication.from_ms', 'publication.until_ms'])
    .where('version.site_id', '=', siteId)
    .$if(below !== null, (query) => query.where('version.number', '<', below ?? 0))
    .orderBy('version.number', 'desc')
    .limit(count)
    .execute();
  return rows.map((row) => ({
    number: row.number,
    remark: row.remark,
    at: row.at_ms,
    broughtBackFrom: row.brought_back_from,
    personName: row.name,
    liveFrom: row.from_ms,
    liveUntil: row.until_ms,
  }));
}

/** What is set for later and is not over: periods, and versions that begin in time. */
export async function listPlanned(db: Db, siteId: string, at: EpochMs): Promise<PublicationRow[]> {
  const rows = await db
    .selectFrom('publication')
    .select(['id', 'version_number', 'from_ms', 'until_ms'])
    .where('site_id', '=', siteId)
    .where('cancelled_ms', 'is', null)
    .where(({ eb, or }) => or([eb('from_ms', '>', at), eb('until_ms', '>', at)]))
    .execute(); // sorted here: asked for their order, SQLite would walk over all that ever were
  return rows
    .map((row) => ({
      id: row.id,
      version: row.version_number,
      from: row.from_ms,
      until: row.until_ms,
    }))
    .sort((a, b) => a.from - b.from);
}

export interface NewPublication {
  readonly id: string;
  readonly version: number;
  readonly from: EpochMs;
  readonly until: EpochMs | null;
  /** As it was set by the site's clock; null: at once, or for good. */
  readonly fromWall: string | null;
  readonly untilWall: string | null;
  readonly zone: string | null;
}

export async function insertPublication(db: Db, siteId: string, made: NewPublication): Promise<void> {
  await db
    .insertInto('publication')
    .values({
      site_id: siteId,
      id: made.id,
      version_number: made.version,
      kind: made.until === null ? 'base' : 'period',
      from_ms: made.from,
      until_ms: made.until,
      from_wall: made.fromWall,
      until_wall: made.untilWall,
      zone: made.zone,
      cancelled_ms: null,
    })
    .execute();
}

/** Takes back what is set for later, or ends a period that is running. Gives whether there was one that is not over. */
export async function cancelPublication(db: Db, siteId: string, id: string, at: EpochMs): Promise<boolean> {
  const { numUpdatedRows } = await db
    .updateTable('publication')
    .set({ cancelled_ms: at })
    .where('site_id', '=', siteId)
    .where('id', '=', id)
    .where('cancelled_ms', 'is', null)
    .where(({ eb, or }) => or([eb('from_ms', '>', at), eb('until_ms', '>', at)]))
    .executeTakeFirst();
  return numUpdatedRows > 0n;
}
