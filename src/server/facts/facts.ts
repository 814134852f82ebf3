import { createHash } from 'node:crypto';
import { gunzipSync, gzipSync } from 'node:zlib';
import { toWireCalendar } from '../../core/hours/compile';
import type { Calendar } from '../../core/model/calendar';
import { DAY_MS, type EpochMs } from '../../core/model/units';
import type { FactsFileV1, WireCalendar } from '../../core/wire/facts-file';
import { listCalendars } from './calendars.repository';
import { findFileBody, findNewestFacts, insertFacts, insertFile } from '../designs/publications.repository';
import { getSite } from '../accounts/sites.repository';
import { listTeams } from './teams.repository';
import type { Db, Tx } from '../db/open';
import { SENDS_LETTERS } from './letters';
import type { FactsCache } from './facts-cache';
import { ZONE_TABLE } from './zones';

/** Writes the facts as they are now as the next revision ([L1], [L3]), in the transaction of their cause. */
export async function writeFacts(
  tx: Tx,
  siteId: string,
  personId: string,
  at: EpochMs,
  what: string,
): Promise<void> {
  const revision = ((await findNewestFacts(tx, siteId))?.revision ?? 0) + 1;
  const facts = await makeFacts(tx, siteId, revision, at);
  const json = JSON.stringify(facts);
  await insertFacts(tx, siteId, revision, json, personId, at, what);
  const name = `f${revision}-${createHash('sha256').update(json).digest('hex').slice(0, 16)}.json`;
  await insertFile(
    tx,
    siteId,
    { name, kind: 'facts', versionNumber: null, factsRevision: revision, body: gzipSync(json, { level: 9 }) },
    at,
  );
}

/** The facts as they were written last; null: none were. Each file is read and unpacked once. */
export async function readFacts(db: Db | Tx, cache: FactsCache, siteId: string): Promise<FactsFileV1 | null> {
  const newest = await findNewestFacts(db, siteId);
  if (newest === null) return null;
  const known = cache.get(siteId, newest.name);
  if (known !== null) return known;
  const body = await findFileBody(db, siteId, newest.name);
  if (body === null) return null;
  const facts = JSON.parse(gunzipSync(body).toString()) as FactsFileV1;
  cache.put(siteId, newest.name, facts);
  return facts;
}

/** [H16] Offsets are sent for whole years, the last one and eleven to come: they change at the turn of a year only. */
function zoneWindow(at: EpochMs): readonly [from: EpochMs, until: EpochMs] {
  const year = new Date(at).getUTCFullYear();
  return [Date.UTC(year - 1, 0, 1), Date.UTC(year + 12, 0, 1)];
}

/** What has a date is sent for so long. */
const DATED_AHEAD_DAYS = 400;

/** The facts of a site as they are now: symbolic hours, offsets of their zones, public names of teams. */
export async function makeFacts(
  db: Db | Tx,
  siteId: string,
  revision: number,
  at: EpochMs,
): Promise<FactsFileV1> {
  const [site, teams, calendars] = await Promise.all([
    getSite(db, siteId),
    listTeams(db, siteId),
    listCalendars(db, siteId),
  ]);
  const zones = [...new Set([site.zone, ...calendars.map(({ zone }) => zone)])];
  return {
    v: 1,
    revision,
    zone: site.zone,
    places: site.places,
    zones: Object.fromEntries(
      zones.map((zone) => [zone, ZONE_TABLE.offsetsOf(zone, ...zoneWindow(at)) ?? []]),
    ),
    calendars: Object.fromEntries(calendars.map((calendar) => [calendar.id, toPublished(calendar, at)])),
    teams: Object.fromEntries(teams.map(({ id, key, name }) => [id, { key, name, calendar: null }])),
    sendsLetters: SENDS_LETTERS,
  };
}

/** Dated exceptions and closings that are over, or further off than is sent, stay at home. */
function toPublished(calendar: Calendar, at: EpochMs): WireCalendar {
  const [from, until] = [Math.floor(at / DAY_MS) - 2, Math.floor(at / DAY_MS) + DATED_AHEAD_DAYS];
  const isNear = (first: number, last: number): boolean => last >= from && first <= until;
  const made = toWireCalendar({
    ...calendar,
    exceptions: calendar.exceptions.filter(({ days }) => {
      if (days.kind === 'range') return isNear(days.from, days.to);
      return days.kind === 'date' || days.kind === 'holiday' ? isNear(days.day, days.day) : true;
    }),
    closings: calendar.closings.filter((one) =>
      one.kind === 'all-day'
        ? isNear(one.day, one.day)
        : isNear(Math.floor(one.from / DAY_MS), Math.floor(one.to / DAY_MS)),
    ),
  });
  if (!made.ok)
    throw new Error(
      `Expected stored hours to be sound, got ${JSON.stringify(made.errors)}. Save "${calendar.name}" again.`,
    );
  return made.value;
}
