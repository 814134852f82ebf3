import { civilOf, dayOf } from '../../core/hours/days';
import type {
  Calendar,
  ExceptionDays,
  HoursException,
  Interval,
  MonthDay,
  Season,
  Week,
} from '../../core/model/calendar';
import { type Result, fail, ok } from '../../core/result';
import {
  type CalendarParts,
  EMPTY_WEEK,
  type FormatFault,
  type FormatFaultCode,
  type Said,
  type Unsaid,
  clockText,
  commonUnsaid,
  groupedDays,
} from './shared';

const DAYS = ['Mo', 'Tu', 'We', 'Th', 'Fr', 'Sa', 'Su'];
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
const DAYS_IN = [31, 29, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];
/** Longer values are no opening hours of anybody. */
const UNITS_MAX = 10_000;

/**
 * Writes hours as an OSM `opening_hours` value. Later rules replace earlier ones on their days, so the week comes first,
 * then seasons (with their weekdays), then exceptions (without), the stronger ranks last.
 */
export function writeOsmHours(calendar: Calendar): Said<string> {
  const rules = [
    ...weekRules('', calendar.week),
    ...calendar.seasons.flatMap(({ from, to, week }) =>
      weekRules(`${monthDayText(from)}-${monthDayText(to)} `, week),
    ),
    ...[...calendar.exceptions]
      .sort((a, b) => strength(a) - strength(b))
      .map(({ days, intervals }) => `${daysText(days)} ${timesText(intervals)}`),
  ];
  return {
    value: rules.join('; '),
    unsaid: [{ what: 'zone', about: calendar.zone }, ...commonUnsaid(calendar)],
  };
}

function weekRules(lead: string, week: Week): string[] {
  return groupedDays(week).map(
    ({ days, intervals }) => `${lead}${weekdaysText(days)} ${timesText(intervals)}`,
  );
}

function weekdaysText(days: readonly number[]): string {
  const runs: [number, number][] = [];
  for (const day of days) {
    const last = runs.at(-1);
    if (last !== undefined && last[1] === day - 1) last[1] = day;
    else runs.push([day, day]);
  }
  return runs.map(([from, to]) => (from === to ? DAYS[from] : `${DAYS[from]}-${DAYS[to]}`)).join(',');
}

/** Past midnight as the clock reads then, except where that would read as nothing: a whole day from another hour on. */
function timesText(intervals: readonly Interval[]): string {
  if (intervals.length === 0) return 'off';
  return intervals
    .map(({ from, to }) => {
      const end = to > 1440 && to - 1440 < from ? to - 1440 : to;
      return `${clockText(from)}-${clockText(end)}`;
    })
    .join(',');
}

function strength({ days }: HoursException): number {
  return ['holiday', 'yearly-range', 'yearly-date', 'range', 'date'].indexOf(days.kind);
}

function daysText(days: ExceptionDays): string {
  switch (days.kind) {
    case 'date':
    case 'holiday':
      return dateText(days.day);
    case 'range':
      return `${dateText(days.from)}-${dateText(days.to)}`;
    case 'yearly-date':
      return monthDayText(days.on);
    case 'yearly-range':
      return `${monthDayText(days.from)}-${monthDayText(days.to)}`;
  }
}

function dateText(day: number): string {
  const { year, month, date } = civilOf(day);
  return `${String(year).padStart(4, '0')} ${MONTHS[month - 1]} ${String(date).padStart(2, '0')}`;
}

function monthDayText(on: MonthDay): string {
  return `${MONTHS[Math.floor(on / 100) - 1]} ${String(on % 100).padStart(2, '0')}`;
}

/**
 * Reads the part of OSM `opening_hours` that a calendar can hold: weekdays, times, months and dates, seasons, `off`,
 * `24/7`. What it names beyond that (public holidays, the sun, week numbers, comments) is listed in `unsaid`. Anything
 * that cannot be read is refused with its place.
 */
export function readOsmHours(text: string): Result<Said<CalendarParts>, FormatFault> {
  if (text.length > UNITS_MAX) return fail({ reason: 'too-long', at: UNITS_MAX, about: '' });
  const building: Building = {
    week: EMPTY_WEEK.map(() => []),
    seasons: new Map(),
    exceptions: [],
    unsaid: [],
  };
  let at = 0;
  for (const rule of text.replace(/;\s*$/, '').split(';')) {
    const fault = readRule(rule, building);
    if (fault !== null)
      return fail({ reason: fault, at: at + rule.length - rule.trimStart().length, about: rule.trim() });
    at += rule.length + 1;
  }
  const { week, seasons, exceptions, unsaid } = building;
  return ok({ value: { week, seasons: [...seasons.values()], exceptions }, unsaid });
}

interface Building {
  week: (readonly Interval[])[];
  readonly seasons: Map<string, Season>;
  readonly exceptions: HoursException[];
  readonly unsaid: Unsaid[];
}

const BEYOND: readonly (readonly [RegExp, Unsaid['what']])[] = [
  [/"[^"]*"/, 'comment'],
  [/\bPH\b/, 'public-holidays'],
  [/\bSH\b/, 'school-holidays'],
  [/\b(sunrise|sunset|dawn|dusk)\b/, 'sun'],
  [/\bweek\b/, 'week-number'],
  [/\bunknown\b/, 'unknown-state'],
  [/\+/, 'open-end'],
];

/** Reads one rule into the building; gives why it cannot be, or null. */
function readRule(rule: string, building: Building): FormatFaultCode | null {
  const text = rule.trim().replace(/\s+/g, ' ');
  if (text === '') return 'empty-rule';
  for (const [sign, what] of BEYOND) {
    if (!sign.test(text)) continue;
    building.unsaid.push({ what, about: text });
    return null;
  }
  if (text === '24/7') {
    building.week = EMPTY_WEEK.map(() => [{ from: 0, to: 1440 }]);
    return null;
  }
  const match =
    /^(?<days>(?:\d{4} )?[A-Z][a-z]{2} \d{1,2}(?:-(?:\d{4} )?(?:[A-Z][a-z]{2} )?\d{1,2})?)?:? ?(?<weekdays>(?:Mo|Tu|We|Th|Fr|Sa|Su)(?:[-,](?:Mo|Tu|We|Th|Fr|Sa|Su))*)? ?(?<times>off|closed|\d[\d:,\- ]*)?$/.exec(
      text,
    );
  if (match === null) return 'not-a-rule';
  const { days, weekdays, times } = match.groups ?? {};
  const intervals = readTimes(times);
  if (typeof intervals === 'string') return intervals;
  const own = weekdays === undefined ? ALL_DAYS : readWeekdays(weekdays);
  if (days === undefined) {
    building.week = withDays(building.week, own, intervals);
    return null;
  }
  const read = readDays(days);
  if (typeof read === 'string') return read;
  if (weekdays === undefined) {
    building.exceptions.push({
      id: `exception-${building.exceptions.length}`,
      name: days,
      days: read,
      intervals,
      endsNightBefore: false,
    });
    return null;
  }
  if (read.kind !== 'yearly-range') return 'neither-season-nor-date';
  const known = building.seasons.get(days) ?? {
    id: `season-${building.seasons.size}`,
    name: days,
    from: read.from,
    to: read.to,
    week: EMPTY_WEEK,
  };
  building.seasons.set(days, { ...known, week: withDays(known.week, own, intervals) });
  return null;
}

const ALL_DAYS = [0, 1, 2, 3, 4, 5, 6];

function withDays(
  week: Week,
  days: readonly number[],
  intervals: readonly Interval[],
): (readonly Interval[])[] {
  return week.map((before, day) => (days.includes(day) ? intervals : before));
}

function readWeekdays(text: string): number[] {
  return text.split(',').flatMap((part) => {
    const [from = '', to = from] = part.split('-');
    const [first, last] = [DAYS.indexOf(from), DAYS.indexOf(to)];
    return first <= last
      ? ALL_DAYS.slice(first, last + 1)
      : [...ALL_DAYS.slice(first), ...ALL_DAYS.slice(0, last + 1)];
  });
}

/** Intervals, or why they cannot be read. No times at all: all day. */
function readTimes(text: string | undefined): readonly Interval[] | FormatFaultCode {
  if (text === undefined) return [{ from: 0, to: 1440 }];
  if (text === 'off' || text === 'closed') return [];
  const intervals: Interval[] = [];
  for (const part of text.split(',')) {
    const match = /^ ?(\d{1,2}):(\d{2})-(\d{1,2}):(\d{2})$/.exec(part);
    const [h1 = 0, m1 = 0, h2 = 0, m2 = 0] = match?.slice(1).map(Number) ?? [];
    const [from, end] = [h1 * 60 + m1, h2 * 60 + m2];
    const to = end <= from ? end + 1440 : end;
    if (match === null || m1 > 59 || m2 > 59 || from > 1439 || to > from + 1440) return 'no-time';
    intervals.push({ from, to });
  }
  return intervals;
}

/** Days of an exception or a season, or why they cannot be read. */
function readDays(text: string): ExceptionDays | FormatFaultCode {
  const [first = '', second] = text.split('-');
  const from = readDate(first, null);
  if (typeof from === 'string') return from;
  if (second === undefined)
    return from.year === null ? { kind: 'yearly-date', on: from.on } : { kind: 'date', day: from.day };
  const to = readDate(second, from);
  if (typeof to === 'string') return to;
  if ((from.year === null) !== (to.year === null)) return 'year-at-one-end';
  if (from.year === null) return { kind: 'yearly-range', from: from.on, to: to.on };
  return from.day <= to.day ? { kind: 'range', from: from.day, to: to.day } : 'ends-before-it-begins';
}

interface ReadDate {
  readonly year: number | null;
  readonly on: MonthDay;
  readonly day: number;
}

/** A date with or without a year; at the end of a range, year and month may be those of its beginning. */
function readDate(text: string, begin: ReadDate | null): ReadDate | FormatFaultCode {
  const match = /^(?:(\d{4}) )?(?:([A-Z][a-z]{2}) )?(\d{1,2})$/.exec(text);
  const month = match?.[2] === undefined ? Math.floor((begin?.on ?? 0) / 100) : MONTHS.indexOf(match[2]) + 1;
  const date = Number(match?.[3] ?? 0);
  if (match === null || month < 1 || date < 1 || date > (DAYS_IN[month - 1] ?? 0)) return 'no-date';
  const year = match[1] === undefined ? (begin?.year ?? null) : Number(match[1]);
  return { year, on: month * 100 + date, day: dayOf(year ?? 2000, month, date) };
}
