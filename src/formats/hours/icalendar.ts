import ICAL from 'ical.js';
import { dayText } from '../../core/hours/days';
import { type Zone, offsetAt, spanOfWall, toZone } from '../../core/hours/zone';
import type { Calendar, Closing } from '../../core/model/calendar';
import { DAY_MS, type EpochMs, MINUTE_MS, SECOND_MS } from '../../core/model/units';
import { type Result, fail, ok } from '../../core/result';
import type { ZoneTable } from '../zone-data';
import type { Said, Unsaid } from './shared';

/** Why a file cannot be read, and at which line of it (0: as a whole). */
export interface ICalendarFault {
  readonly reason: 'not-icalendar' | 'too-large' | 'too-many' | 'unknown-zone' | 'unreadable-event';
  readonly line: number;
  /** The zone or the event that is meant. */
  readonly about: string;
}

export const ICALENDAR_UNITS_MAX = 4 * 1024 * 1024;
/** Occurrences that are looked at in all: a rule that repeats each second ends here, not in the memory. */
export const OCCURRENCES_MAX = 50_000;

export interface ICalendarReading {
  /** IANA name of the calendar: floating times are in it. */
  readonly zone: string;
  readonly zones: ZoneTable;
  /** Only what touches this stretch is given ([H11]: 400 days from today). */
  readonly from: EpochMs;
  readonly until: EpochMs;
}

/**
 * [H11] Reads closings out of an iCalendar file (RFC 5545): recurrences expanded, cancelled and transparent events left
 * out, floating times in the calendar's zone. A TZID that nobody knows goes by the file's own VTIMEZONE, or is refused by
 * name.
 */
export function readICalendar(
  text: string,
  reading: ICalendarReading,
): Result<Said<readonly Closing[]>, ICalendarFault> {
  if (text.length > ICALENDAR_UNITS_MAX) return fail({ reason: 'too-large', line: 0, about: '' });
  let root: ICAL.Component;
  try {
    root = new ICAL.Component(ICAL.parse(text) as never);
  } catch (error) {
    return fail({ reason: 'not-icalendar', line: lineOf(error, text), about: '' });
  }
  const calendars = root.name === 'vcalendar' ? [root] : root.getAllSubcomponents('vcalendar');
  if (calendars.length === 0) return fail({ reason: 'not-icalendar', line: 1, about: '' });
  try {
    const expansion = { ...reading, left: OCCURRENCES_MAX };
    const value = calendars.flatMap((calendar) => closingsIn(calendar, expansion));
    return ok({ value: value.sort(inOrder), unsaid: unsaidIn(calendars) });
  } catch (error) {
    if (error instanceof CalendarFileError) return fail(error.fault);
    throw error;
  }
}

class CalendarFileError extends Error {
  constructor(readonly fault: ICalendarFault) {
    super(`An iCalendar file was refused: ${fault.reason} (${fault.about}).`);
  }
}

interface Expansion extends ICalendarReading {
  left: number;
}

function closingsIn(calendar: ICAL.Component, expansion: Expansion): Closing[] {
  const events = calendar.getAllSubcomponents('vevent');
  const changed = events.filter((event) => event.hasProperty('recurrence-id'));
  return events
    .filter((event) => !event.hasProperty('recurrence-id'))
    .flatMap((component) => {
      const event = new ICAL.Event(component, { strictExceptions: true });
      for (const other of changed)
        if (textOf(other, 'uid') === textOf(component, 'uid')) event.relateException(new ICAL.Event(other));
      return closingsOf(event, calendar, expansion);
    });
}

function closingsOf(event: ICAL.Event, calendar: ICAL.Component, expansion: Expansion): Closing[] {
  const name = event.summary ?? '';
  if (!isReadable(event)) throw new CalendarFileError({ reason: 'unreadable-event', line: 0, about: name });
  if (!event.isRecurring())
    return counts(event.component)
      ? closingOf(event, event.startDate, event.endDate, calendar, expansion)
      : [];
  const found: Closing[] = [];
  const iterator = event.iterator();
  for (
    let next = iterator.next() as ICAL.Time | undefined;
    next !== undefined;
    next = iterator.next() as ICAL.Time | undefined
  ) {
    if (expansion.left-- <= 0) throw new CalendarFileError({ reason: 'too-many', line: 0, about: name });
    // A day before the stretch begins is near enough to reach into it from any zone.
    if (wallMs(next) > expansion.until + DAY_MS) break;
    const { item, startDate, endDate } = event.getOccurrenceDetails(next);
    if (counts(item.component)) found.push(...closingOf(item, startDate, endDate, calendar, expansion));
  }
  return found;
}

function isReadable(event: ICAL.Event): boolean {
  const { startDate } = event as { startDate: ICAL.Time | null };
  return startDate !== null && Number.isFinite(wallMs(startDate));
}

/** [H11] Cancelled and transparent events do not count. */
function counts(component: ICAL.Component): boolean {
  return (
    textOf(component, 'status').toUpperCase() !== 'CANCELLED' &&
    textOf(component, 'transp').toUpperCase() !== 'TRANSPARENT'
  );
}

function closingOf(
  event: ICAL.Event,
  start: ICAL.Time,
  end: ICAL.Time,
  calendar: ICAL.Component,
  expansion: Expansion,
): Closing[] {
  const name = event.summary ?? '';
  if (start.isDate) return wholeDays(start, end, name, expansion);
  const tzid = zoneNameOf(start);
  const from = instantOf(start, tzid, { calendar, expansion, end: 'from' });
  const to = instantOf(end, zoneNameOf(end) ?? tzid, { calendar, expansion, end: 'until' });
  return from < to && to > expansion.from && from < expansion.until
    ? [{ kind: 'timed', from, to, name }]
    : [];
}

/** Each day of an all-day event; its end does not belong to it. */
function wholeDays(start: ICAL.Time, end: ICAL.Time, name: string, { from, until }: Expansion): Closing[] {
  const [first, last] = [wallMs(start) / DAY_MS, Math.max(wallMs(end) / DAY_MS - 1, wallMs(start) / DAY_MS)];
  const [near, far] = [Math.floor(from / DAY_MS) - 1, Math.ceil(until / DAY_MS) + 1];
  const days: Closing[] = [];
  for (let day = Math.max(first, near); day <= Math.min(last, far); day++)
    days.push({ kind: 'all-day', day, name });
  return days;
}

/** The zone a time names; null where it names none. An end that was worked out from a duration has its start's. */
function zoneNameOf(time: ICAL.Time): string | null {
  if (time.zone === ICAL.Timezone.utcTimezone) return 'UTC';
  const { timezone } = time as { timezone?: string | null };
  const own: string | undefined = time.zone?.tzid; // a zone that the file brings along
  return timezone ?? (own === undefined || own === 'floating' ? null : own);
}

interface Place {
  readonly calendar: ICAL.Component;
  readonly expansion: Expansion;
  readonly end: 'from' | 'until';
}

/** A wall-clock time as an instant: UTC, in the zone its TZID names, or floating, which is the calendar's own zone. */
function instantOf(time: ICAL.Time, tzid: string | null, { calendar, expansion, end }: Place): EpochMs {
  const wall = wallMs(time);
  if (tzid === 'UTC' || tzid === 'Z') return wall;
  const zone = zoneNamed(tzid ?? expansion.zone, expansion);
  if (zone === null) return wall - ownOffsetMs(tzid ?? '', time, calendar);
  // A time that the clock skips, or reads twice, is where the smallest run around it says ([H4]).
  const span = spanOfWall(zone, wall, wall + MINUTE_MS) ?? spanOfWall(zone, wall, wall + 3 * 60 * MINUTE_MS);
  if (span === null) return wall - offsetAt(zone, wall);
  return end === 'from' ? span.from : Math.max(span.from, span.until - MINUTE_MS);
}

function zoneNamed(name: string, { zones, from, until }: Expansion): Zone | null {
  const offsets = zones.offsetsOf(name, from - 400 * DAY_MS, until + 400 * DAY_MS);
  return offsets === null ? null : toZone(offsets);
}

/** Offset of a zone that only the file itself knows, in ms east of UTC. */
function ownOffsetMs(tzid: string, time: ICAL.Time, calendar: ICAL.Component): number {
  const own = calendar.getAllSubcomponents('vtimezone').find((one) => textOf(one, 'tzid') === tzid);
  if (own === undefined) throw new CalendarFileError({ reason: 'unknown-zone', line: 0, about: tzid });
  return new ICAL.Timezone({ component: own, tzid }).utcOffset(time) * SECOND_MS;
}

/** The wall clock's reading as if it were UTC. */
function wallMs({ year, month, day, hour, minute, second, isDate }: ICAL.Time): number {
  return Date.UTC(year, month - 1, day, isDate ? 0 : hour, isDate ? 0 : minute, isDate ? 0 : second);
}

function textOf(component: ICAL.Component, name: string): string {
  const value: unknown = component.getFirstPropertyValue(name);
  return typeof value === 'string' ? value : '';
}

function inOrder(a: Closing, b: Closing): number {
  return startOf(a) - startOf(b);
}

function startOf(closing: Closing): number {
  return closing.kind === 'timed' ? closing.from : closing.day * DAY_MS;
}

/** Tasks and notes of a diary close nothing. */
function unsaidIn(calendars: readonly ICAL.Component[]): Unsaid[] {
  const others = calendars.flatMap((calendar) => [
    ...calendar.getAllSubcomponents('vtodo'),
    ...calendar.getAllSubcomponents('vjournal'),
  ]);
  return others.map((one) => ({ what: 'comment', about: textOf(one, 'summary') }));
}

function lineOf(error: unknown, text: string): number {
  const said = /line[^0-9]*(\d+)/i.exec(String(error))?.[1];
  return said === undefined ? Math.max(1, text.split('\n').length) : Number(said);
}

/**
 * Writes a calendar's closings, and the days it is closed by an exception or a holiday, as events that anybody's calendar
 * can show. Hours themselves are no events: what is left out is told. `stamp` is the instant it is written at.
 */
export function writeICalendar(calendar: Calendar, stamp: EpochMs): Said<string> {
  const unsaid: Unsaid[] = [
    ...(calendar.week.some((day) => day.length > 0)
      ? [{ what: 'open-end' as const, about: calendar.name }]
      : []),
    ...calendar.seasons.map(({ name }) => ({ what: 'season' as const, about: name })),
    ...calendar.exceptions
      .filter(({ days }) => days.kind !== 'holiday')
      .map(({ id }) => ({ what: 'yearly-exception' as const, about: id })),
    ...calendar.exceptions
      .filter(({ days }) => days.kind === 'holiday')
      .map(({ id }) => ({ what: 'holiday-as-date' as const, about: id })),
  ];
  const root = new ICAL.Component('vcalendar');
  root.addPropertyWithValue('version', '2.0');
  root.addPropertyWithValue('prodid', '-//Sunny Porch//Closings//EN');
  calendar.closings.forEach((closing, place) => {
    const event = new ICAL.Component('vevent');
    event.addPropertyWithValue('uid', `${calendar.id}-${place}@sunny-porch`);
    event.addPropertyWithValue('dtstamp', ICAL.Time.fromJSDate(new Date(stamp), true));
    event.addPropertyWithValue('summary', closing.name);
    const [from, to] =
      closing.kind === 'timed'
        ? [
            ICAL.Time.fromJSDate(new Date(closing.from), true),
            ICAL.Time.fromJSDate(new Date(closing.to), true),
          ]
        : [
            ICAL.Time.fromDateString(dayText(closing.day)),
            ICAL.Time.fromDateString(dayText(closing.day + 1)),
          ];
    event.addPropertyWithValue('dtstart', from);
    event.addPropertyWithValue('dtend', to);
    root.addSubcomponent(event);
  });
  return { value: `${root.toString()}\r\n`, unsaid };
}
