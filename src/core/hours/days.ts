import type { EpochDay, MonthDay } from '../model/calendar';
import { DAY_MS } from '../model/units';

/** Day of the week, Monday 0. */
export function weekdayOf(day: EpochDay): number {
  return (((day + 3) % 7) + 7) % 7;
}

/** Month × 100 + day of a day, in the proleptic Gregorian calendar. */
export function monthDayOf(day: EpochDay): MonthDay {
  const midnight = new Date(day * DAY_MS);
  return (midnight.getUTCMonth() + 1) * 100 + midnight.getUTCDate();
}

export interface Civil {
  readonly year: number;
  readonly month: number;
  readonly date: number;
}

/** Year, month and date of a day, by the fields that ECMAScript gives a time value in UTC: no zone of the machine has a say. */
export function civilOf(day: EpochDay): Civil {
  const midnight = new Date(day * DAY_MS);
  return { year: midnight.getUTCFullYear(), month: midnight.getUTCMonth() + 1, date: midnight.getUTCDate() };
}

/** The day of a civil date; months and dates beyond theirs are not checked. */
export function dayOf(year: number, month: number, date: number): EpochDay {
  return Math.round(Date.UTC(year, month - 1, date) / DAY_MS);
}

/** `YYYY-MM-DD` as a day; null where it is none, such as the 30th of February. */
export function parseDay(text: string): EpochDay | null {
  const match = /^(\d{4})-(\d{2})-(\d{2})$/.exec(text);
  if (match === null) return null;
  const [year, month, date] = [Number(match[1]), Number(match[2]), Number(match[3])];
  const day = dayOf(year, month, date);
  const civil = civilOf(day);
  return civil.year === year && civil.month === month && civil.date === date ? day : null;
}

/** A day as `YYYY-MM-DD`. */
export function dayText(day: EpochDay): string {
  const { year, month, date } = civilOf(day);
  return `${String(year).padStart(4, '0')}-${String(month).padStart(2, '0')}-${String(date).padStart(2, '0')}`;
}

/** Whether a day of the year lies in a yearly range, whose ends belong to it; it may pass the year's end ([H9], [H10]). */
export function isInYearly(on: MonthDay, from: MonthDay, to: MonthDay): boolean {
  return from <= to ? from <= on && on <= to : on >= from || on <= to;
}
