import type { Calendar, ExceptionDays, HoursException, Interval, Season, Week } from '../model/calendar';
import { type Result, fail, ok } from '../result';
import type { WireCalendar, WireException, WireIntervals, WireWeek } from '../wire/facts-file';
import { isInYearly } from './days';

/** What cannot stand in a calendar; `ids` names both where two do not go together. */
export interface CalendarFault {
  readonly code:
    | 'interval-out-of-day'
    | 'intervals-overlap'
    | 'range-backwards'
    | 'exceptions-collide'
    | 'seasons-overlap'
    | 'closing-backwards';
  readonly ids: readonly string[];
}

type Rank = WireException[0];
/** [H8] Own single date, own range, own yearly date, own yearly range, holiday. */
const RANKS: Readonly<Record<ExceptionDays['kind'], Rank>> = {
  date: 0,
  range: 1,
  'yearly-date': 2,
  'yearly-range': 3,
  holiday: 4,
};

/** Turns hours as an owner keeps them into what is published, the best exceptions first. Every fault is told. */
export function toWireCalendar(calendar: Calendar): Result<WireCalendar, readonly CalendarFault[]> {
  const faults = faultsOf(calendar);
  if (faults.length > 0) return fail(faults);
  const timed = calendar.closings.filter((one) => one.kind === 'timed');
  return ok({
    zone: calendar.zone,
    week: toWireWeek(calendar.week),
    seasons: calendar.seasons.map(({ from, to, week }) => [from, to, toWireWeek(week)] as const),
    exceptions: calendar.exceptions.map(toWireException).sort((a, b) => a[0] - b[0]),
    closings: timed
      .map(({ from, to }) => [Math.floor(from / 1000), Math.ceil(to / 1000)] as const)
      .sort((a, b) => a[0] - b[0]),
    closedDays: calendar.closings
      .flatMap((one) => (one.kind === 'all-day' ? [one.day] : []))
      .sort((a, b) => a - b),
  });
}

function toWireWeek(week: Week): WireWeek {
  return Array.from({ length: 7 }, (_, weekday) => toWireIntervals(week[weekday] ?? []));
}

function toWireIntervals(intervals: readonly Interval[]): WireIntervals {
  return [...intervals].sort((a, b) => a.from - b.from).map(({ from, to }) => [from, to] as const);
}

function toWireException({ name, days, intervals, endsNightBefore }: HoursException): WireException {
  const [from, to] = endsOf(days);
  const wire = [RANKS[days.kind], from, to, toWireIntervals(intervals), endsNightBefore ? 1 : 0] as const;
  return days.kind === 'holiday' ? [...wire, name] : wire;
}

function endsOf(days: ExceptionDays): readonly [from: number, to: number] {
  switch (days.kind) {
    case 'date':
    case 'holiday':
      return [days.day, days.day];
    case 'yearly-date':
      return [days.on, days.on];
    case 'range':
    case 'yearly-range':
      return [days.from, days.to];
  }
}

/** [H9] What is as an owner may not expect it, told where it is entered: `leap-day` holds in leap years only. */
export interface CalendarHint {
  readonly code: 'leap-day';
  readonly id: string;
}

export function hintsOf({ exceptions }: Calendar): CalendarHint[] {
  const isLeapDay = (days: ExceptionDays): boolean =>
    days.kind === 'yearly-date'
      ? days.on === 229
      : days.kind === 'yearly-range' && days.from === 229 && days.to === 229;
  return exceptions.filter(({ days }) => isLeapDay(days)).map(({ id }) => ({ code: 'leap-day', id }));
}

/** Everything that is wrong with a calendar; empty where nothing is. */
export function faultsOf({ week, seasons, exceptions, closings }: Calendar): CalendarFault[] {
  return [
    ...week.flatMap((day, weekday) => intervalFaults(day, `week.${weekday}`)),
    ...seasons.flatMap((season) => season.week.flatMap((day) => intervalFaults(day, season.id))),
    ...exceptions.flatMap((one) => intervalFaults(one.intervals, one.id)),
    ...exceptions.flatMap(({ id, days }) =>
      days.kind === 'range' && days.from > days.to ? [{ code: 'range-backwards' as const, ids: [id] }] : [],
    ),
    ...pairsOf(exceptions, collide).map(([a, b]) => ({
      code: 'exceptions-collide' as const,
      ids: [a.id, b.id],
    })),
    ...pairsOf(seasons, seasonsMeet).map(([a, b]) => ({
      code: 'seasons-overlap' as const,
      ids: [a.id, b.id],
    })),
    ...closings.flatMap((one) =>
      one.kind === 'timed' && one.from >= one.to
        ? [{ code: 'closing-backwards' as const, ids: [one.name] }]
        : [],
    ),
  ];
}

/** [H1] `from` lies in the day, `to` after it and at most a day later; intervals of one day may touch, not overlap. */
function intervalFaults(intervals: readonly Interval[], id: string): CalendarFault[] {
  const isOut = ({ from, to }: Interval): boolean =>
    !Number.isInteger(from) ||
    !Number.isInteger(to) ||
    from < 0 ||
    from > 1439 ||
    to <= from ||
    to > from + 1440;
  if (intervals.some(isOut)) return [{ code: 'interval-out-of-day', ids: [id] }];
  const sorted = [...intervals].sort((a, b) => a.from - b.from);
  return sorted.some(({ from }, index) => index > 0 && from < (sorted[index - 1]?.to ?? 0))
    ? [{ code: 'intervals-overlap', ids: [id] }]
    : [];
}

/** [H8] Two exceptions of one rank that hold on one date; holidays come as they are, the first one counts. */
function collide(a: HoursException, b: HoursException): boolean {
  if (RANKS[a.days.kind] !== RANKS[b.days.kind] || a.days.kind === 'holiday') return false;
  const [[fromA, toA], [fromB, toB]] = [endsOf(a.days), endsOf(b.days)];
  return a.days.kind === 'yearly-range' ? yearlyMeet(fromA, toA, fromB, toB) : fromA <= toB && fromB <= toA;
}

/** [H10] */
function seasonsMeet(a: Season, b: Season): boolean {
  return yearlyMeet(a.from, a.to, b.from, b.to);
}

/** Two yearly ranges meet where one of them begins inside of the other. */
function yearlyMeet(fromA: number, toA: number, fromB: number, toB: number): boolean {
  return isInYearly(fromA, fromB, toB) || isInYearly(fromB, fromA, toA);
}

function pairsOf<T>(list: readonly T[], isPair: (a: T, b: T) => boolean): [T, T][] {
  return list.flatMap((a, index) =>
    list.slice(index + 1).flatMap((b): [T, T][] => (isPair(a, b) ? [[a, b]] : [])),
  );
}
