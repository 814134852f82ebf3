import type { MonthDay } from '../model/calendar';
import type { WireCalendar, WireIntervals, WireWeek } from '../wire/facts-file';

/** [H18] Days of the week (Monday 0) that go alike, as data; words are made where they are said. */
export interface HoursGroup {
  readonly days: readonly number[];
  /** Empty: closed. */
  readonly intervals: WireIntervals;
  /** The season it belongs to; null for the rest of the year. */
  readonly when: { readonly from: MonthDay; readonly to: MonthDay } | null;
}

/** A calendar's week, then those of its seasons, each grouped. Exceptions are told on their own. */
export function summaryOf({ week, seasons }: WireCalendar): HoursGroup[] {
  return [...groupsOf(week, null), ...seasons.flatMap(([from, to, own]) => groupsOf(own, { from, to }))];
}

function groupsOf(week: WireWeek, when: HoursGroup['when']): HoursGroup[] {
  const groups = new Map<string, HoursGroup>();
  week.forEach((intervals, day) => {
    const key = JSON.stringify(intervals);
    const known = groups.get(key);
    groups.set(key, { days: [...(known?.days ?? []), day], intervals, when });
  });
  return [...groups.values()];
}
