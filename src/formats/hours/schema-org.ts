import { dayText, parseDay } from '../../core/hours/days';
import type { Calendar, ExceptionDays, HoursException, Interval } from '../../core/model/calendar';
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

const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];

/** One `OpeningHoursSpecification` of schema.org, as JSON-LD. Closed is written as opening and closing at 00:00. */
export interface OpeningHoursSpecification {
  readonly '@type': 'OpeningHoursSpecification';
  readonly dayOfWeek?: readonly string[];
  readonly opens: string;
  readonly closes: string;
  readonly validFrom?: string;
  readonly validThrough?: string;
}

/** Writes hours as schema.org tells them: days of the week, and dates with a year. */
export function writeSchemaHours(calendar: Calendar): Said<readonly OpeningHoursSpecification[]> {
  const week = groupedDays(calendar.week).flatMap(({ days, intervals }) =>
    intervals.map((interval) =>
      specification(interval, { dayOfWeek: days.map((day) => `https://schema.org/${DAYS[day]}`) }),
    ),
  );
  const unsaid: Unsaid[] = [
    { what: 'zone', about: calendar.zone },
    ...commonUnsaid(calendar),
    ...calendar.seasons.map(({ id }) => ({ what: 'season' as const, about: id })),
  ];
  const dated = calendar.exceptions.flatMap((exception) => {
    const range = datesOf(exception.days);
    if (range === null) {
      unsaid.push({ what: 'yearly-exception', about: exception.id });
      return [];
    }
    const valid = { validFrom: dayText(range[0]), validThrough: dayText(range[1]) };
    return exception.intervals.length === 0
      ? [specification(null, valid)]
      : exception.intervals.map((one) => specification(one, valid));
  });
  return { value: [...week, ...dated], unsaid };
}

function datesOf(days: ExceptionDays): readonly [from: number, to: number] | null {
  if (days.kind === 'date' || days.kind === 'holiday') return [days.day, days.day];
  return days.kind === 'range' ? [days.from, days.to] : null;
}

function specification(
  interval: Interval | null,
  more: Pick<OpeningHoursSpecification, 'dayOfWeek' | 'validFrom' | 'validThrough'>,
): OpeningHoursSpecification {
  const { from, to } = interval ?? { from: 0, to: 0 };
  return {
    '@type': 'OpeningHoursSpecification',
    ...more,
    opens: clockText(from),
    closes: clockText(to > 1440 ? to - 1440 : to),
  };
}

/** A list longer than this is no week of anybody. */
const ITEMS_MAX = 2000;

/** Reads a list of `OpeningHoursSpecification`, or a thing that has one. What cannot be read is refused with its place in the list. */
export function readSchemaHours(document: unknown): Result<Said<CalendarParts>, FormatFault> {
  const list = listIn(document);
  if (list === null) return fail({ reason: 'no-specification', at: 0, about: '' });
  if (list.length > ITEMS_MAX) return fail({ reason: 'too-long', at: ITEMS_MAX, about: '' });
  const week: Interval[][] = EMPTY_WEEK.map(() => []);
  const exceptions = new Map<string, HoursException>();
  for (const [at, item] of list.entries()) {
    const read = readItem(item);
    if (typeof read === 'string') return fail({ reason: read, at, about: '' });
    const { days, interval, dates } = read;
    if (dates === null) {
      if (interval !== null) for (const day of days) week[day]?.push(interval);
      continue;
    }
    const key = dates.join('/');
    const known = exceptions.get(key) ?? {
      id: `exception-${exceptions.size}`,
      name: key,
      days: toDays(dates),
      intervals: [],
      endsNightBefore: false,
    };
    exceptions.set(key, interval === null ? known : { ...known, intervals: [...known.intervals, interval] });
  }
  return ok({ value: { week, seasons: [], exceptions: [...exceptions.values()] }, unsaid: [] });
}

function toDays([from, to]: readonly [number, number]): ExceptionDays {
  return from === to ? { kind: 'date', day: from } : { kind: 'range', from, to };
}

function listIn(document: unknown): readonly unknown[] | null {
  if (Array.isArray(document)) return document as readonly unknown[];
  if (typeof document !== 'object' || document === null) return null;
  const { openingHoursSpecification: own, '@type': type } = document as Record<string, unknown>;
  if (type === 'OpeningHoursSpecification') return [document];
  if (own === undefined) return null;
  return Array.isArray(own) ? (own as readonly unknown[]) : [own];
}

interface ReadItem {
  readonly days: readonly number[];
  /** Null: closed. */
  readonly interval: Interval | null;
  /** Null: every week. */
  readonly dates: readonly [from: number, to: number] | null;
}

function readItem(item: unknown): ReadItem | FormatFaultCode {
  if (typeof item !== 'object' || item === null) return 'no-object';
  const { dayOfWeek, opens, closes, validFrom, validThrough } = item as Record<string, unknown>;
  const [from, to] = [minutesOf(opens), minutesOf(closes)];
  if (from === null || to === null || from > 1439) return 'no-time';
  const interval = from === 0 && to === 0 ? null : { from, to: to <= from ? to + 1440 : to };
  const days =
    dayOfWeek === undefined
      ? [0, 1, 2, 3, 4, 5, 6]
      : (Array.isArray(dayOfWeek) ? dayOfWeek : [dayOfWeek]).map(weekdayNamed);
  if (days.includes(-1)) return 'no-weekday';
  if (validFrom === undefined && validThrough === undefined) return { days, interval, dates: null };
  const [begin, end] = [validFrom ?? validThrough, validThrough ?? validFrom].map((one) =>
    typeof one === 'string' ? parseDay(one.slice(0, 10)) : null,
  );
  if (begin === null || begin === undefined || end === null || end === undefined || end < begin)
    return 'no-date';
  if (dayOfWeek !== undefined) return 'weekdays-within-dates';
  return { days, interval, dates: [begin, end] };
}

function minutesOf(time: unknown): number | null {
  const match = typeof time === 'string' ? /^(\d{2}):(\d{2})(?::00)?$/.exec(time) : null;
  const minutes = match === null ? null : Number(match[1]) * 60 + Number(match[2]);
  return minutes === null || minutes > 1440 || Number(match?.[2]) > 59 ? null : minutes;
}

function weekdayNamed(name: unknown): number {
  return typeof name === 'string' ? DAYS.indexOf(name.replace(/^https?:\/\/schema\.org\//, '')) : -1;
}
