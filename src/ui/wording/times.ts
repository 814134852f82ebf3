import { wallOf } from '../../core/hours/wall';
import type { Zone } from '../../core/hours/zone';
import { DAY_MS, HOUR_MS, MINUTE_MS, SECOND_MS } from '../../core/model/units';

/** A length of time in words: 20 s, 3 min, 2 h 5 min, 30 h, 3 days. */
export function lengthWords(ms: number): string {
  if (ms < MINUTE_MS) return `${Math.max(0, Math.floor(ms / SECOND_MS))} s`;
  if (ms < HOUR_MS) return `${Math.floor(ms / MINUTE_MS)} min`;
  if (ms < 12 * HOUR_MS) return `${Math.floor(ms / HOUR_MS)} h ${Math.floor((ms % HOUR_MS) / MINUTE_MS)} min`;
  if (ms < 48 * HOUR_MS) return `${Math.floor(ms / HOUR_MS)} h`;
  return `${Math.floor(ms / (24 * HOUR_MS))} days`;
}

/** The time of day in a zone, 24 hours. */
export function clockWords(instant: number, zone: string): string {
  return new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', timeZone: zone }).format(
    instant,
  );
}

/** Day and time in a zone. */
export function dayWords(instant: number, zone: string): string {
  return new Intl.DateTimeFormat('en-GB', {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
    timeZone: zone,
  }).format(instant);
}

/** The path of a page's address, which is how people call it; with its host where a site has more than one. */
export function pageWords(address: string, withHost = false): string {
  if (!URL.canParse(address)) return address;
  const { host, pathname } = new URL(address);
  return withHost ? `${host}${pathname}` : pathname;
}

/** A wall clock's reading (`YYYY-MM-DDTHH:MM`) as people say it: `Sat 28 Nov, 22:14`. */
export function wallWords(wall: string): string {
  const day = new Intl.DateTimeFormat('en-GB', {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    timeZone: 'UTC',
  });
  return `${day.format(Date.parse(`${wall.slice(0, 10)}T00:00Z`)).replace(',', '')}, ${wall.slice(11)}`;
}

/** So far ahead a time needs no day: tonight until one is not taken for another night. */
const NIGHT_MS = 12 * HOUR_MS;

/** An instant to come, by a zone's clock, as short as it is clear: `01:00` on the same day or in the night after it, `Wed 17:30` within a week, else with its date. */
export function untilWords(zone: Zone, now: number, instant: number): string {
  const wall = wallOf(zone, instant);
  const isToday = wall.slice(0, 10) === wallOf(zone, now).slice(0, 10);
  if (isToday || instant - now < NIGHT_MS) return wall.slice(11);
  if (instant - now >= 6 * DAY_MS) return wallWords(wall);
  const day = new Intl.DateTimeFormat('en-GB', { weekday: 'short', timeZone: 'UTC' });
  return `${day.format(Date.parse(`${wall.slice(0, 10)}T00:00Z`))} ${wall.slice(11)}`;
}
