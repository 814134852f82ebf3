import type { Role } from '../../core/model/role';
import type { EpochMs, Locale } from '../../core/model/units';
import { keptQuery } from '../db/kept-query';
import type { Db } from '../db/open';
import type { Schema } from '../db/schema';

export interface Site {
  readonly id: string;
  /** Public; stands in the tag. */
  readonly key: string;
  readonly name: string;
  readonly address: string | null;
  readonly zone: string;
  readonly defaultLocale: Locale;
  readonly pausedAt: EpochMs | null;
  /** What the place of the zone is called, by locale. */
  readonly places: Readonly<Record<Locale, string>>;
}

export async function insertSite(db: Db, site: Site, zoneConfirmed: boolean, at: EpochMs): Promise<void> {
  await db
    .insertInto('site')
    .values({
      id: site.id,
      key: site.key,
      name: site.name,
      address: site.address,
      zone: site.zone,
      zone_confirmed: zoneConfirmed ? 1 : 0,
      default_locale: site.defaultLocale,
      paused_ms: site.pausedAt,
      places_json: JSON.stringify(site.places),
      retention_days: 365,
      created_ms: at,
    })
    .execute();
}

export async function findSiteByKey(db: Db, key: string): Promise<Site | null> {
  const row = await db.selectFrom('site').selectAll().where('key', '=', key).executeTakeFirst();
  return row === undefined ? null : toSite(row);
}

/** Pauses the whole widget, or lets it go on. */
export async function writePause(db: Db, siteId: string, pausedAt: EpochMs | null): Promise<void> {
  await db.updateTable('site').set({ paused_ms: pausedAt }).where('id', '=', siteId).execute();
}

export async function findSite(db: Db, siteId: string): Promise<Site | null> {
  const row = await db.selectFrom('site').selectAll().where('id', '=', siteId).executeTakeFirst();
  return row === undefined ? null : toSite(row);
}

/** Throws where there is no such site. */
export async function getSite(db: Db, siteId: string): Promise<Site> {
  const site = await findSite(db, siteId);
  if (site === null) throw new Error(`Expected a site ${siteId}: what belongs to it was asked for.`);
  return site;
}

/** The site that was made first; null: there is none. */
export async function findFirstSiteId(db: Db): Promise<string | null> {
  const row = await db
    .selectFrom('site')
    .select('id')
    .orderBy('id') // ids sort by time
    .limit(1)
    .executeTakeFirst();
  return row?.id ?? null;
}

/** For how many days each site keeps its conversations. */
export async function listRetention(db: Db): Promise<{ siteId: string; days: number }[]> {
  const rows = await db.selectFrom('site').select(['id', 'retention_days']).execute();
  return rows.map((row) => ({ siteId: row.id, days: row.retention_days }));
}

/** For how many days a site keeps its conversations. */
export async function getRetention(db: Db, siteId: string): Promise<number> {
  const row = await db
    .selectFrom('site')
    .select('retention_days')
    .where('id', '=', siteId)
    .executeTakeFirstOrThrow();
  return row.retention_days;
}

export async function writeRetention(db: Db, siteId: string, days: number): Promise<void> {
  await db.updateTable('site').set({ retention_days: days }).where('id', '=', siteId).execute();
}

/** Whether somebody has confirmed the zone that was guessed when the site was made. */
export async function isZoneConfirmed(db: Db, siteId: string): Promise<boolean> {
  const { zone_confirmed } = await db
    .selectFrom('site')
    .select('zone_confirmed')
    .where('id', '=', siteId)
    .executeTakeFirstOrThrow();
  return zone_confirmed === 1;
}

export async function listSitesOf(db: Db, personId: string): Promise<(Site & { role: Role })[]> {
  const rows = await db
    .selectFrom('site')
    .innerJoin('site_member', 'site_member.site_id', 'site.id')
    .selectAll('site')
    .select('site_member.role')
    .where('site_member.person_id', '=', personId)
    .where('site_member.removed_ms', 'is', null)
    .orderBy('site.created_ms')
    .execute();
  return rows.map((row) => ({ ...toSite(row), role: row.role }));
}

export async function findRole(db: Db, siteId: string, personId: string): Promise<Role | null> {
  const [row] = await findMembership(db, { siteId, personId });
  return row?.role ?? null;
}

const findMembership = keptQuery((db: Db, { siteId, personId }: { siteId: string; personId: string }) =>
  db
    .selectFrom('site_member')
    .select('role')
    .where('site_id', '=', siteId)
    .where('person_id', '=', personId)
    .where('removed_ms', 'is', null),
);

/** Everybody's role on a site, by person. */
export async function listRoles(db: Db, siteId: string): Promise<ReadonlyMap<string, Role>> {
  const rows = await db
    .selectFrom('site_member')
    .select(['person_id', 'role'])
    .where('site_id', '=', siteId)
    .where('removed_ms', 'is', null)
    .execute();
  return new Map(rows.map(({ person_id, role }) => [person_id, role]));
}

/** Conversations that somebody new answers at once. */
export const CHATS_AT_ONCE = 4;

/** Who was one before, and has gone, is one again, with the face they had. */
export async function insertMember(
  db: Db,
  siteId: string,
  personId: string,
  role: Role,
  chatLimit: number,
): Promise<void> {
  await db
    .insertInto('site_member')
    .values({ site_id: siteId, person_id: personId, role, chat_limit: chatLimit, removed_ms: null })
    .onConflict((on) => on.columns(['site_id', 'person_id']).doUpdateSet({ role, removed_ms: null }))
    .execute();
}

export async function writeSiteName(db: Db, siteId: string, name: string): Promise<void> {
  await db.updateTable('site').set({ name }).where('id', '=', siteId).execute();
}

/** The zone somebody has chosen, which is thereby confirmed. What the place of the one before was called goes with that. */
export async function writeZone(db: Db, siteId: string, zone: string): Promise<void> {
  await db
    .updateTable('site')
    .set({ zone, zone_confirmed: 1, places_json: '{}' })
    .where('id', '=', siteId)
    .execute();
}

export async function writePlaces(db: Db, siteId: string, places: Site['places']): Promise<void> {
  await db
    .updateTable('site')
    .set({ places_json: JSON.stringify(places) })
    .where('id', '=', siteId)
    .execute();
}

export async function deleteDomain(db: Db, siteId: string, origin: string): Promise<void> {
  await db.deleteFrom('site_domain').where('site_id', '=', siteId).where('origin', '=', origin).execute();
}

/** Origins whose pages may carry the widget; `https://*.` stands for all subdomains. */
export async function listDomains(db: Db, siteId: string): Promise<string[]> {
  const rows = await db
    .selectFrom('site_domain')
    .select('origin')
    .where('site_id', '=', siteId)
    .orderBy('origin')
    .execute();
  return rows.map(({ origin }) => origin);
}

export async function insertDomain(db: Db, siteId: string, origin: string, isTest: boolean): Promise<void> {
  await db
    .insertInto('site_domain')
    .values({ site_id: siteId, origin, is_test: isTest ? 1 : 0 })
    .onConflict((on) => on.doNothing())
    .execute();
}

function toSite(row: Schema['site']): Site {
  return {
    id: row.id,
    key: row.key,
    name: row.name,
    address: row.address,
    zone: row.zone,
    defaultLocale: row.default_locale,
    pausedAt: row.paused_ms,
    places: JSON.parse(row.places_json) as Site['places'],
  };
}
