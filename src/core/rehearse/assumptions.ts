import { hoursOf } from '../hours/hours-now';
import { isOpenAt, localDayOf, nextChange, nextOpening } from '../hours/hours';
import type { Hours } from '../hours/hours';
import { spanOfWall } from '../hours/zone';
import type { Circumstances, Visitor } from '../model/circumstances';
import type { TeamState } from '../model/moment';
import { DAY_MS, type EpochMs, HOUR_MS, type Locale, MINUTE_MS } from '../model/units';
import type { PublishedSite } from '../wire/published-site';
import { arrivingAt } from './arriving';

/** What the stage assumes of a visitor and of the server; everything else is as it is. */
export interface Assumptions {
  /** A path of the site, or a whole address. */
  readonly page: string;
  /** Null: now. */
  readonly at: EpochMs | null;
  readonly visit: 'first' | 'returning';
  readonly device: Visitor['device'];
  readonly locale: Locale;
  /** How every team stands; null: as it does now. */
  readonly who: TeamState | null;
  /** The team they ask for; null: none in particular. */
  readonly asks: string | null;
  /** IANA name of the zone whose clock they live by; null: the site's own. */
  readonly zone: string | null;
}

/** What was kept before a part of it could be assumed. */
export const NOT_ASSUMED: Pick<Assumptions, 'asks' | 'zone'> = { asks: null, zone: null };

export function isSameAssumptions(a: Assumptions, b: Assumptions): boolean {
  const names: readonly (keyof Assumptions)[] = [
    'page',
    'at',
    'visit',
    'device',
    'locale',
    'who',
    'asks',
    'zone',
  ];
  return names.every((name) => a[name] === b[name]);
}

/** A visitor who has just come to a page as it is assumed, with a closed window and nothing said. */
export function assumedVisitor(
  { page, at, visit, device, locale, asks }: Assumptions,
  now: EpochMs,
): Circumstances {
  const arrived = arrivingAt(addressOf(page), at ?? now, visit);
  return { ...arrived, asksFor: asks, visitor: { ...arrived.visitor, device, languages: [locale] } };
}

/** The site as it is assumed: teams by hand; hours and overrides by the time that is assumed. */
export function assumedSite(site: PublishedSite, { who }: Pick<Assumptions, 'who'>): PublishedSite {
  if (who === null) return site;
  return {
    ...site,
    pointer: {
      ...site.pointer,
      teams: Object.fromEntries(Object.keys(site.facts.teams).map((id) => [id, who])),
    },
  };
}

/** A path stands for a page of a site whose name does not matter here; a whole address is taken as it is. */
export function addressOf(page: string): string {
  return /^https?:\/\//i.test(page)
    ? page
    : `https://your-site.example${page.startsWith('/') ? '' : '/'}${page}`;
}

export const SITUATIONS = [
  'now',
  'before-closing',
  'next-closed',
  'all-busy',
  'nobody-in',
  'returning',
  'phone',
  'next-holiday',
] as const;
export interface Situation {
  readonly code: (typeof SITUATIONS)[number];
  readonly assumptions: Assumptions;
}

/** Circumstances an owner keeps under a name of their own. */
export interface KeptSituation {
  readonly id: string;
  readonly name: string;
  readonly assumptions: Assumptions;
}

/**
 * The situations that are worth looking at on this site: worked out, never typed. Those that there are
 * not, such as a closed hour where there are no hours, are left out. The page stays.
 */
export function situationsOf(
  site: PublishedSite,
  calendarId: string | null,
  {
    page,
    locale,
    locales,
  }: { readonly page: string; readonly locale: Locale; readonly locales: readonly Locale[] },
  now: EpochMs,
): Situation[] {
  const plain: Assumptions = {
    page,
    at: null,
    visit: 'first',
    device: 'desktop',
    locale,
    who: null,
    ...NOT_ASSUMED,
  };
  const hours = hoursOf(site, calendarId);
  const times = hours === null ? NEVER : timesOf(hours, now);
  const second = locales.find((one) => one !== locales[0]);
  const found: Partial<Record<Situation['code'], Partial<Assumptions>>> = {
    now: {},
    ...(times.beforeClosing === null ? {} : { 'before-closing': { at: times.beforeClosing, who: 'in' } }),
    ...(times.closed === null ? {} : { 'next-closed': { at: times.closed } }),
    'all-busy': { at: times.open, who: 'busy' },
    'nobody-in': { at: times.open, who: 'nobody' },
    returning: { visit: 'returning' },
    phone: { device: 'phone', locale: second ?? locale },
    ...(times.holiday === null ? {} : { 'next-holiday': { at: times.holiday } }),
  };
  return SITUATIONS.flatMap((code) => {
    const change = found[code];
    return change === undefined ? [] : [{ code, assumptions: { ...plain, ...change } }];
  });
}

interface Times {
  readonly beforeClosing: EpochMs | null;
  readonly closed: EpochMs | null;
  /** An open instant; null: now is one, or there is none. */
  readonly open: EpochMs | null;
  readonly holiday: EpochMs | null;
}
const NEVER: Times = { beforeClosing: null, closed: null, open: null, holiday: null };
const BEFORE_CLOSING_MS = 10 * MINUTE_MS;

function timesOf(hours: Hours, now: EpochMs): Times {
  const isOpen = isOpenAt(hours, now);
  const opens = isOpen ? now : nextOpening(hours, now);
  const closes = opens === null ? null : nextChange(hours, opens);
  // Where it closes within ten minutes, the next evening shows it better than a moment ago.
  const isNear = closes !== null && closes - BEFORE_CLOSING_MS < now;
  const later = isNear ? nextOpening(hours, closes) : null;
  const afterThat = later === null ? null : nextChange(hours, later);
  const closing = isNear ? afterThat : closes;
  return {
    beforeClosing: closing === null ? null : closing - BEFORE_CLOSING_MS,
    closed: closes,
    open: isOpen ? null : opens,
    holiday: nextHoliday(hours, now),
  };
}

/** Noon of the next holiday in the calendar's zone; nearly every visitor asks by day. */
function nextHoliday({ calendar, zone }: Hours, now: EpochMs): EpochMs | null {
  const today = localDayOf(zone, now);
  const days = calendar.exceptions.flatMap(([rank, day]) => (rank === 4 && day >= today ? [day] : []));
  if (days.length === 0) return null;
  const noon = Math.min(...days) * DAY_MS + 12 * HOUR_MS;
  const at = spanOfWall(zone, noon, noon + HOUR_MS)?.from ?? null;
  return at === null || at < now ? null : at;
}
