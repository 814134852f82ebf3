import { memoByKey, memoByObject } from '../memo';
import type { EpochDay, Override } from '../model/calendar';
import { DAY_MS, type EpochMs, MINUTE_MS } from '../model/units';
import type { WireCalendar, WireException, WireIntervals } from '../wire/facts-file';
import { isInYearly, monthDayOf, weekdayOf } from './days';
import { type Span, type Zone, offsetAt, spanOfWall } from './zone';

/** Which layer gives a date its intervals ([H7]). */
export type Layer = 'week' | 'season' | 'exception' | 'holiday' | 'import';

export interface DayPlan {
  readonly intervals: WireIntervals;
  readonly layer: Layer;
  /** Place in the calendar's list of that layer; -1 for the week and for imports. */
  readonly rule: number;
  readonly endsNightBefore: boolean;
}

/** Hours ready to be asked: a calendar and its zone, with the override that was told. */
export interface Hours {
  readonly calendar: WireCalendar;
  readonly zone: Zone;
  readonly override: Override | null;
}

/** [H13] How far a change is sought, in local dates. */
export const SOUGHT_DAYS = 372;

/** [H7] The one source of a local date: its exception, else a closed day that was imported, else its season, else the week. */
export function planOf(calendar: WireCalendar, day: EpochDay): DayPlan {
  const exception = calendar.exceptions.findIndex((one) => holdsOn(one, day));
  const found = calendar.exceptions[exception];
  if (found !== undefined)
    return {
      intervals: found[3],
      layer: found[0] === 4 ? 'holiday' : 'exception',
      rule: exception,
      endsNightBefore: found[4] === 1,
    };
  if (calendar.closedDays.includes(day))
    return { intervals: [], layer: 'import', rule: -1, endsNightBefore: false };
  const on = monthDayOf(day);
  const season = calendar.seasons.findIndex(([from, to]) => isInYearly(on, from, to));
  const week = calendar.seasons[season]?.[2] ?? calendar.week;
  return {
    intervals: week[weekdayOf(day)] ?? [],
    layer: season < 0 ? 'week' : 'season',
    rule: season,
    endsNightBefore: false,
  };
}

/** Ranks 2 and 3 are yearly and count by month and day, the others by date. */
function holdsOn([rank, from, to]: WireException, day: EpochDay): boolean {
  if (rank === 2 || rank === 3) return isInYearly(monthDayOf(day), from, to);
  return from <= day && day <= to;
}

/** The local date at an instant. */
export function localDayOf(zone: Zone, instant: EpochMs): EpochDay {
  return Math.floor((instant + offsetAt(zone, instant)) / DAY_MS);
}

const KEPT_DAYS_MAX = 400;

type OfDay = (hours: Pick<Hours, 'calendar' | 'zone'>, day: EpochDay) => readonly Span[];

/** Calendars never change, so what was worked out for a day holds as long as the calendar lives; a year of days at most. */
function keeping(workOut: OfDay): OfDay {
  const of = memoByObject((calendar: WireCalendar) =>
    memoByObject((zone: Zone) =>
      memoByKey(KEPT_DAYS_MAX, (day: EpochDay) => workOut({ calendar, zone }, day)),
    ),
  );
  return ({ calendar, zone }, day) => of(calendar)(zone)(day);
}

/** The spans that begin on a local date ([H3]), in order, with the night cut ([H7]) and imported closings out ([H11]). */
export const spansOfDay = /* @__PURE__ */ keeping(({ calendar, zone }, day) => {
  const { intervals, layer } = planOf(calendar, day);
  const next = planOf(calendar, day + 1);
  const nightEnds = next.endsNightBefore
    ? (spanOfWall(zone, (day + 1) * DAY_MS, (day + 2) * DAY_MS)?.from ?? Infinity)
    : Infinity;
  const spans = intervals.flatMap(([from, to]) => {
    const span = spanOfWall(zone, day * DAY_MS + from * MINUTE_MS, day * DAY_MS + to * MINUTE_MS);
    return span === null || span.from >= nightEnds
      ? []
      : [{ from: span.from, until: Math.min(span.until, nightEnds) }];
  });
  return layer === 'week' || layer === 'season' ? withoutClosings(spans, calendar) : spans;
});

function withoutClosings(spans: readonly Span[], { closings }: WireCalendar): Span[] {
  let left = [...spans];
  for (const [fromSeconds, toSeconds] of closings) {
    const [from, until] = [fromSeconds * 1000, toSeconds * 1000];
    left = left.flatMap((span) =>
      span.until <= from || until <= span.from
        ? [span]
        : [
            { from: span.from, until: from },
            { from: until, until: span.until },
          ].filter((piece) => piece.from < piece.until),
    );
  }
  return left;
}

/** A span reaches a day beyond its date at most; a wall clock that jumps a whole day (Apia, 2011) one more. */
export const REACH_DAYS = 2;

/** All spans that can cover an instant of a local date. */
const spansNear = /* @__PURE__ */ keeping((hours, day) =>
  [-2, -1, 0, 1, 2].flatMap((away) => spansOfDay(hours, day + away)),
);

/** [H2] Whether it is open at an instant. */
export function isOpenAt(hours: Hours, instant: EpochMs): boolean {
  const { override } = hours;
  if (override !== null && instant < override.until) return override.isOpen;
  return isOpenByCalendar(hours, instant);
}

function isOpenByCalendar(hours: Hours, instant: EpochMs): boolean {
  return coveringEnd(hours, instant) > instant;
}

/** The latest end of a span that covers an instant; the instant itself where none does. */
function coveringEnd(hours: Hours, instant: EpochMs): EpochMs {
  let end = instant;
  for (const { from, until } of spansNear(hours, localDayOf(hours.zone, instant)))
    if (from <= instant && until > end) end = until;
  return end;
}

/**
 * [H13] The least instant after `instant` at which it is otherwise, exact to the second; null where it stays so for
 * 372 local dates. Spans that overlap or touch are one run: at their seam nothing changes ([H6]).
 */
export function nextChange(hours: Hours, instant: EpochMs): EpochMs | null {
  const { override } = hours;
  if (override === null || instant >= override.until) return nextByCalendar(hours, instant, instant);
  if (isOpenByCalendar(hours, override.until) !== override.isOpen) return override.until;
  return nextByCalendar(hours, override.until, instant);
}

function nextByCalendar(hours: Hours, instant: EpochMs, asked: EpochMs): EpochMs | null {
  const lastDay = localDayOf(hours.zone, asked) + SOUGHT_DAYS;
  const end = coveringEnd(hours, instant);
  return end > instant ? endOfRun(hours, end, lastDay) : firstOpening(hours, instant, lastDay);
}

function endOfRun(hours: Hours, reached: EpochMs, lastDay: EpochDay): EpochMs | null {
  let end = reached;
  while (localDayOf(hours.zone, end) <= lastDay) {
    const further = coveringEnd(hours, end);
    if (further === end) return end;
    end = further;
  }
  return null;
}

function firstOpening(hours: Hours, instant: EpochMs, lastDay: EpochDay): EpochMs | null {
  for (let day = localDayOf(hours.zone, instant) - REACH_DAYS; day <= lastDay; day++) {
    // A later date may begin earlier only across a jump of the wall clock: one more day settles it.
    const near = day < lastDay ? [day, day + 1] : [day];
    const starts = near
      .flatMap((one) => spansOfDay(hours, one).map(({ from }) => from))
      .filter((from) => from > instant);
    if (starts.length > 0) return Math.min(...starts);
  }
  return null;
}

/** [H14] The start of the first run after an instant; null where none is known. */
export function nextOpening(hours: Hours, instant: EpochMs): EpochMs | null {
  const change = nextChange(hours, instant);
  if (change === null || isOpenAt(hours, change)) return change;
  return nextChange(hours, change);
}
