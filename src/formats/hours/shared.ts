import type { Calendar, Interval, Week } from '../../core/model/calendar';

/** What a format cannot say of a calendar ([H19]): the kind of thing, and whose. */
export interface Unsaid {
  readonly what:
    | 'zone'
    | 'season'
    | 'yearly-exception'
    | 'ends-night-before'
    | 'holiday-as-date'
    | 'closing'
    | 'public-holidays'
    | 'school-holidays'
    | 'sun'
    | 'week-number'
    | 'comment'
    | 'open-end'
    | 'unknown-state';
  readonly about: string;
}

/** A document that was read or written, with what it does not say. */
export interface Said<T> {
  readonly value: T;
  readonly unsaid: readonly Unsaid[];
}

/** Why a document cannot be read, and where: `at` counts UTF-16 code units, or is the place in a list. */
export interface FormatFault {
  readonly reason: FormatFaultCode;
  readonly at: number;
  /** The rule that cannot be read; empty where `at` says it all. */
  readonly about: string;
}

export type FormatFaultCode =
  | 'too-long'
  | 'empty-rule'
  | 'not-a-rule'
  | 'no-time'
  | 'no-date'
  | 'year-at-one-end'
  | 'ends-before-it-begins'
  | 'neither-season-nor-date'
  | 'no-specification'
  | 'no-object'
  | 'no-weekday'
  | 'weekdays-within-dates';

/** What a document of hours says of a calendar; id, name and zone are the reader's. */
export type CalendarParts = Pick<Calendar, 'week' | 'seasons' | 'exceptions'>;

export const EMPTY_WEEK: Week = [[], [], [], [], [], [], []];

/** Minutes as `HH:MM`; past midnight they go on counting. */
export function clockText(minutes: number): string {
  return `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
}

/** Days of a week that have the same intervals, in the order of their first day. */
export function groupedDays(
  week: Week,
): { readonly days: readonly number[]; readonly intervals: readonly Interval[] }[] {
  const groups = new Map<string, { days: number[]; intervals: readonly Interval[] }>();
  week.forEach((intervals, day) => {
    const key = JSON.stringify(intervals);
    const known = groups.get(key);
    if (known === undefined) groups.set(key, { days: [day], intervals });
    else known.days.push(day);
  });
  return [...groups.values()];
}

/** What no format of hours alone can say: what was imported from elsewhere, and the end of the night before. */
export function commonUnsaid({ closings, exceptions }: Calendar): Unsaid[] {
  return [
    ...closings.map(({ name }) => ({ what: 'closing' as const, about: name })),
    ...exceptions
      .filter(({ endsNightBefore }) => endsNightBefore)
      .map(({ id }) => ({ what: 'ends-night-before' as const, about: id })),
    ...exceptions
      .filter(({ days }) => days.kind === 'holiday')
      .map(({ id }) => ({ what: 'holiday-as-date' as const, about: id })),
  ];
}
