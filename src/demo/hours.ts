import { civilOf, dayOf } from '../core/hours/days';
import type { Calendar, EpochDay, Interval, Week } from '../core/model/calendar';

/** `17:30-01:00`, several by a space; past midnight counts on. */
function times(text: string): Interval[] {
  const minutes = (clock: string): number => Number(clock.slice(0, 2)) * 60 + Number(clock.slice(3));
  return text.split(' ').map((one) => {
    const [from = '', to = ''] = one.split('-');
    return { from: minutes(from), to: minutes(to) > minutes(from) ? minutes(to) : minutes(to) + 1440 };
  });
}

const week = (...days: string[]): Week => days.map((text) => (text === '' ? [] : times(text)));
const NIGHTS = '17:30-20:00 20:20-01:00';
const SUMMER_NIGHTS = '20:00-02:00';
const DESK_DAY = '10:00-12:30 13:30-16:00';

/** Hours of the night desk and of the school office, made up: a season each, Christmas, a holiday, the eclipse. */
export function demoCalendars(
  ids: () => string,
  zone: string,
  today: EpochDay,
): { readonly night: Calendar; readonly office: Calendar } {
  const day = (year: number, month: number, date: number) => dayOf(year, month, date);
  const { year } = civilOf(today);
  const holiday = [year, year + 1].map((one) => day(one, 12, 1)).find((one) => one > today) ?? today; // the next one, always ahead
  return {
    night: {
      id: ids(),
      name: 'Night desk',
      zone,
      week: week('', '', NIGHTS, NIGHTS, NIGHTS, NIGHTS, NIGHTS),
      seasons: [
        {
          id: ids(),
          name: 'Short nights',
          from: 515,
          to: 810,
          week: week('', '', SUMMER_NIGHTS, SUMMER_NIGHTS, SUMMER_NIGHTS, SUMMER_NIGHTS, SUMMER_NIGHTS),
        },
      ],
      exceptions: [
        {
          id: ids(),
          name: 'Christmas',
          days: { kind: 'yearly-range', from: 1224, to: 1226 },
          intervals: [],
          endsNightBefore: true,
        },
        {
          id: ids(),
          name: 'Restoration of Independence',
          days: { kind: 'holiday', day: holiday },
          intervals: [],
          endsNightBefore: false,
        },
        {
          id: ids(),
          name: 'The eclipse',
          days: { kind: 'date', day: day(2027, 8, 2) },
          intervals: times('07:00-22:00'),
          endsNightBefore: false,
        },
      ],
      closings: [],
    },
    office: {
      id: ids(),
      name: 'School office',
      zone,
      week: week(DESK_DAY, DESK_DAY, DESK_DAY, DESK_DAY, DESK_DAY, '', ''),
      seasons: [
        {
          id: ids(),
          name: 'School holidays',
          from: 701,
          to: 905,
          week: week('', '10:00-12:30', '', '10:00-12:30', '', '', ''),
        },
      ],
      exceptions: [],
      closings: [],
    },
  };
}
