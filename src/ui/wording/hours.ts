import { dayOf } from '../../core/hours/days';
import type { HoursGroup } from '../../core/hours/summary';
import type { MonthDay } from '../../core/model/calendar';
import { DAY_MS, type Locale, MINUTE_MS } from '../../core/model/units';

interface HoursWords {
  readonly closed: string;
  readonly allDay: string;
  /** `17:30–01:00` of the next day. */
  readonly nextDay: string;
}

const WORDS: Readonly<Record<string, HoursWords>> = {
  en: { closed: 'closed', allDay: 'all day', nextDay: 'the next day' },
  pt: { closed: 'fechado', allDay: 'todo o dia', nextDay: 'do dia seguinte' },
  de: { closed: 'geschlossen', allDay: 'ganztägig', nextDay: 'am nächsten Tag' },
  ar: { closed: 'مغلق', allDay: 'طوال اليوم', nextDay: 'من اليوم التالي' },
};

/** [H18] One group of days as a sentence: `Mon–Fri: 5:30 PM – 8:00 PM`. Days that follow each other are said as a run. */
export function hoursWords({ days, intervals, when }: HoursGroup, locale: Locale): string {
  const words = WORDS[locale.split('-')[0] ?? ''] ?? WORDS['en'];
  if (words === undefined) throw new Error('Expected words in English.');
  const times =
    intervals.length === 0
      ? words.closed
      : list(
          intervals.map(([from, to]) => spanWords(from, to, locale, words)),
          locale,
        );
  const season = when === null ? '' : ` (${seasonWords(when.from, when.to, locale)})`;
  return `${daysWords(days, locale)}: ${times}${season}`;
}

function spanWords(from: number, to: number, locale: Locale, { allDay, nextDay }: HoursWords): string {
  if (from === 0 && to === 1440) return allDay;
  const clock = new Intl.DateTimeFormat(locale, { timeStyle: 'short', timeZone: 'UTC' });
  const [start, end] = [clock.format(from * MINUTE_MS), clock.format(to * MINUTE_MS)];
  return to > 1440 ? `${start} – ${end} ${nextDay}` : `${start} – ${end}`;
}

/** Three or more days that follow each other are a run; 1 January 2024 was a Monday. */
function daysWords(days: readonly number[], locale: Locale): string {
  const name = new Intl.DateTimeFormat(locale, { weekday: 'short', timeZone: 'UTC' });
  const nameOf = (day: number): string => name.format((dayOf(2024, 1, 1) + day) * DAY_MS);
  const runs: number[][] = [];
  for (const day of days) {
    const last = runs.at(-1);
    if (last !== undefined && last.at(-1) === day - 1) last.push(day);
    else runs.push([day]);
  }
  const said = runs.flatMap((run) => {
    const [first = 0, last = 0] = [run[0], run.at(-1)];
    return run.length > 2 ? [`${nameOf(first)}–${nameOf(last)}`] : run.map(nameOf);
  });
  return list(said, locale);
}

/** A leap year, so that 29 February has its name. */
function seasonWords(from: MonthDay, to: MonthDay, locale: Locale): string {
  const date = new Intl.DateTimeFormat(locale, { day: 'numeric', month: 'short', timeZone: 'UTC' });
  const nameOf = (on: MonthDay): string => date.format(dayOf(2024, Math.floor(on / 100), on % 100) * DAY_MS);
  return `${nameOf(from)} – ${nameOf(to)}`;
}

function list(parts: readonly string[], locale: Locale): string {
  return new Intl.ListFormat(locale, { type: 'unit', style: 'short' }).format(parts);
}
