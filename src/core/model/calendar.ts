import type { EpochMs } from './units';

/** Minutes of a wall clock since the midnight a date begins with. */
export type WallMinutes = number;
/** A day of the calendar as its number since 1970-01-01; without a zone. */
export type EpochDay = number;
/** A day of any year: month × 100 + day; 229 is the 29th of February. */
export type MonthDay = number;

/** [H1] `from` 0…1439, `to` in (from, from + 1440]: half-open ([H2]). All day is 0–1440, 17:30–01:00 is 1050–1500. */
export interface Interval {
  readonly from: WallMinutes;
  readonly to: WallMinutes;
}

/** Seven days, Monday first. */
export type Week = readonly (readonly Interval[])[];

/** A yearly range of days with a week of its own; both ends belong to it, and it may pass the year's end ([H10]). */
export interface Season {
  readonly id: string;
  readonly name: string;
  readonly from: MonthDay;
  readonly to: MonthDay;
  readonly week: Week;
}

/** When an exception holds. Both ends of a range belong to it. */
export type ExceptionDays =
  | { readonly kind: 'date'; readonly day: EpochDay }
  | { readonly kind: 'range'; readonly from: EpochDay; readonly to: EpochDay }
  | { readonly kind: 'yearly-date'; readonly on: MonthDay }
  | { readonly kind: 'yearly-range'; readonly from: MonthDay; readonly to: MonthDay }
  | { readonly kind: 'holiday'; readonly day: EpochDay };

/** [H8] A date that goes another way than its week. Without intervals it is a closed day. */
export interface HoursException {
  readonly id: string;
  readonly name: string;
  readonly days: ExceptionDays;
  readonly intervals: readonly Interval[];
  /** What began the day before ends with the first instant of the date ([H7]). */
  readonly endsNightBefore: boolean;
}

/** [H11] A closing that was imported: instants, or whole days. */
export type Closing =
  | { readonly kind: 'timed'; readonly from: EpochMs; readonly to: EpochMs; readonly name: string }
  | { readonly kind: 'all-day'; readonly day: EpochDay; readonly name: string };

/** [H1] Opening hours as an owner keeps them. */
export interface Calendar {
  readonly id: string;
  readonly name: string;
  /** IANA name. */
  readonly zone: string;
  readonly week: Week;
  readonly seasons: readonly Season[];
  readonly exceptions: readonly HoursException[];
  readonly closings: readonly Closing[];
}

/** [H12] Open or closed by hand until an instant, whatever the calendar says. */
export interface Override {
  readonly isOpen: boolean;
  readonly until: EpochMs;
  readonly reason: string;
}
