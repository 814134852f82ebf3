import { describe, expect, it } from 'vitest';
import { AZORES, at, calendar, day, everyDay, hours, times, utc } from '../../../tests/made/hours';
import type { Calendar, HoursException } from '../model/calendar';
import { faultsOf, hintsOf, toWireCalendar } from './compile';
import { dayText, monthDayOf, parseDay, weekdayOf } from './days';
import { isOpenAt, nextChange, nextOpening, spansOfDay } from './hours';
import { whyAt } from './why';
import { isRosteredAt, nextRosterChange } from './roster';
import { summaryOf } from './summary';

const spansOn = (date: string, interval: string, zone = AZORES) =>
  spansOfDay(hours({ zone, week: everyDay(interval) }), day(date)).map(({ from, until }) => [
    utc(from),
    utc(until),
  ]);
const exception = (days: HoursException['days'], change: Partial<HoursException> = {}): HoursException => ({
  id: days.kind,
  name: days.kind,
  days,
  intervals: [],
  endsNightBefore: false,
  ...change,
});

describe('hours', () => {
  it('[H1] an interval begins in its day and ends at most a day later; half-open days are told', () => {
    const fault = (from: number, to: number) =>
      faultsOf(calendar({ week: [[{ from, to }]] })).map(({ code }) => code);
    expect([fault(0, 1440), fault(1439, 2879), fault(1050, 1500)]).toEqual([[], [], []]);
    expect([fault(1440, 1500), fault(600, 600), fault(600, 500), fault(0, 1441), fault(0.5, 60)]).toEqual(
      Array(5).fill(['interval-out-of-day']),
    );
    expect(faultsOf(calendar({ week: [times('09:00-12:00 11:00-13:00')] })).map(({ code }) => code)).toEqual([
      'intervals-overlap',
    ]);
  });

  it('[H2] is open from the opening minute on and closed from the closing minute on', () => {
    const desk = hours({ week: everyDay('17:30-20:00') });
    expect(isOpenAt(desk, at('2026-11-25T18:30:00'))).toBe(true);
    expect(isOpenAt(desk, at('2026-11-25T18:29:59'))).toBe(false);
    expect(isOpenAt(desk, at('2026-11-25T20:59:59'))).toBe(true);
    expect(isOpenAt(desk, at('2026-11-25T21:00:00'))).toBe(false);
  });

  it('[H3] a night belongs to the date it begins on: Friday’s hours are open on Saturday at 00:30', () => {
    const desk = hours({ week: [[], [], [], [], times('20:20-01:00'), [], []] });
    expect(isOpenAt(desk, at('2026-11-28T01:30:00'))).toBe(true);
    expect(isOpenAt(desk, at('2026-11-27T01:30:00'))).toBe(false);
  });

  it('[H4] where the clock skips the whole interval there is no span, where it repeats one it lasts through both', () => {
    expect(spansOn('2026-03-29', '00:10-00:50')).toEqual([]);
    expect(spansOn('2026-10-25', '00:10-00:50')).toEqual([['2026-10-25T00:10Z', '2026-10-25T01:50Z']]);
  });

  it('[H5] in the Azores, where the clock changes at midnight', () => {
    expect(spansOn('2026-03-29', '00:30-01:15')).toEqual([['2026-03-29T01:00Z', '2026-03-29T01:15Z']]);
    expect(spansOn('2026-03-28', '17:30-01:00')).toEqual([['2026-03-28T18:30Z', '2026-03-29T01:00Z']]);
    expect(spansOn('2026-10-24', '17:30-00:00')).toEqual([['2026-10-24T17:30Z', '2026-10-25T00:00Z']]);
    expect(spansOn('2026-10-24', '17:30-00:30')).toEqual([['2026-10-24T17:30Z', '2026-10-25T01:30Z']]);
    expect(spansOn('2026-10-24', '17:30-01:00')).toEqual([['2026-10-24T17:30Z', '2026-10-25T02:00Z']]);
  });

  it('[H5] all day lasts 23 or 25 hours; Lord Howe moves 30 minutes; Apia has no 30 December 2011', () => {
    const length = (date: string, zone: string) =>
      spansOfDay(hours({ zone, week: everyDay('00:00-00:00') }), day(date)).map(
        ({ from, until }) => (until - from) / 3_600_000,
      );
    expect([length('2026-03-29', AZORES), length('2026-10-25', AZORES)]).toEqual([[23], [25]]);
    expect([
      length('2026-10-04', 'Australia/Lord_Howe'),
      length('2026-04-05', 'Australia/Lord_Howe'),
    ]).toEqual([[23.5], [24.5]]);
    expect(['2011-12-29', '2011-12-30', '2011-12-31'].map((date) => length(date, 'Pacific/Apia'))).toEqual([
      [24],
      [],
      [24],
    ]);
  });

  it('[H6] spans that touch or overlap are one run: nothing changes at the seam, not even at midnight', () => {
    const always = hours({ week: everyDay('00:00-00:00') });
    expect(nextChange(always, at('2026-11-25T12:00'))).toBeNull();
    const touching = hours({ week: everyDay('09:00-12:00 12:00-17:00') });
    expect(utc(nextChange(touching, at('2026-11-25T11:00')))).toBe('2026-11-25T18:00Z');
    const overlapping = hours({ week: [[], [], [], [], times('22:00-03:00'), times('02:00-05:00'), []] });
    expect(utc(nextChange(overlapping, at('2026-11-27T23:30')))).toBe('2026-11-28T06:00Z');
  });

  it('[H7] one source a date: an exception replaces its hours, and the night before goes on', () => {
    const desk = hours({
      week: everyDay('20:20-01:00'),
      exceptions: [exception({ kind: 'date', day: day('2026-12-24') })],
    });
    expect(isOpenAt(desk, at('2026-12-24T01:30'))).toBe(true);
    expect(isOpenAt(desk, at('2026-12-24T22:00'))).toBe(false);
    expect(utc(nextOpening(desk, at('2026-12-24T12:00')))).toBe('2026-12-25T21:20Z');
  });

  it('[H7] an exception that also ends the night before does so with the first instant of its date', () => {
    const desk = hours({
      week: everyDay('20:20-01:00'),
      exceptions: [exception({ kind: 'date', day: day('2026-12-24') }, { endsNightBefore: true })],
    });
    expect(utc(nextChange(desk, at('2026-12-23T23:00')))).toBe('2026-12-24T01:00Z');
    const spring = hours({
      week: everyDay('20:20-01:30'),
      exceptions: [exception({ kind: 'date', day: day('2026-03-29') }, { endsNightBefore: true })],
    });
    expect(utc(nextChange(spring, at('2026-03-28T23:00')))).toBe('2026-03-29T01:00Z');
  });

  it('[H8] the own single date goes before the range, before the yearly date, before the yearly range, before the holiday', () => {
    const date = day('2026-12-24');
    const ways: HoursException['days'][] = [
      { kind: 'holiday', day: date },
      { kind: 'yearly-range', from: 1220, to: 1231 },
      { kind: 'yearly-date', on: 1224 },
      { kind: 'range', from: day('2026-12-20'), to: day('2026-12-26') },
      { kind: 'date', day: date },
    ];
    for (let count = 1; count <= ways.length; count++) {
      const exceptions = ways
        .slice(0, count)
        .map((days, index) => exception(days, { intervals: times(`0${index}:00-0${index}:30`) }));
      const spans = spansOfDay(hours({ week: everyDay('12:00-13:00'), exceptions }), date);
      expect(utc(spans[0]?.from ?? null), ways[count - 1]?.kind).toBe(`2026-12-24T0${count}:00Z`);
    }
  });

  it('[H8] two of one rank on one date are refused, both named; of different ranks, or on other dates, not', () => {
    const collide = (...days: HoursException['days'][]) =>
      faultsOf(calendar({ exceptions: days.map((one, index) => exception(one, { id: `e${index}` })) }));
    expect(collide({ kind: 'date', day: 5 }, { kind: 'date', day: 5 })).toEqual([
      { code: 'exceptions-collide', ids: ['e0', 'e1'] },
    ]);
    expect(collide({ kind: 'range', from: 1, to: 5 }, { kind: 'range', from: 5, to: 9 })).toHaveLength(1);
    expect(
      collide({ kind: 'yearly-range', from: 1220, to: 106 }, { kind: 'yearly-range', from: 101, to: 110 }),
    ).toHaveLength(1);
    expect(
      collide({ kind: 'yearly-range', from: 1220, to: 106 }, { kind: 'yearly-range', from: 107, to: 1219 }),
    ).toEqual([]);
    expect(
      collide({ kind: 'date', day: 5 }, { kind: 'range', from: 1, to: 9 }, { kind: 'date', day: 6 }),
    ).toEqual([]);
  });

  it('[H9] a yearly range passes the year’s end; 29 February holds in leap years only', () => {
    const closed = (days: HoursException['days'], date: string) =>
      spansOfDay(hours({ week: everyDay('09:00-10:00'), exceptions: [exception(days)] }), day(date))
        .length === 0;
    const turn = { kind: 'yearly-range', from: 1228, to: 103 } as const;
    expect(
      ['2026-12-27', '2026-12-28', '2027-01-03', '2027-01-04'].map((date) => closed(turn, date)),
    ).toEqual([false, true, true, false]);
    const leap = { kind: 'yearly-date', on: 229 } as const;
    expect(['2028-02-29', '2027-02-28', '2027-03-01'].map((date) => closed(leap, date))).toEqual([
      true,
      false,
      false,
    ]);
    const hints = (days: HoursException['days']) =>
      hintsOf(calendar({ exceptions: [exception(days)] })).map(({ code }) => code);
    expect([
      hints(leap),
      hints({ kind: 'yearly-date', on: 228 }),
      hints({ kind: 'yearly-range', from: 229, to: 301 }),
    ]).toEqual([['leap-day'], [], []]);
  });

  it('[H10] a season has a week of its own and may pass the year’s end; two that meet are refused', () => {
    const winter = { id: 'winter', name: 'Winter', from: 1101, to: 228, week: everyDay('15:00-16:00') };
    const desk = hours({ week: everyDay('09:00-10:00'), seasons: [winter] });
    const opens = (date: string) => utc(spansOfDay(desk, day(date))[0]?.from ?? null)?.slice(11, 16);
    expect(['2026-10-31', '2026-11-01', '2027-02-28', '2027-03-01'].map(opens)).toEqual([
      '10:00',
      '16:00',
      '16:00',
      '10:00',
    ]);
    const spring = { ...winter, id: 'spring', from: 228, to: 401 };
    expect(faultsOf(calendar({ seasons: [winter, spring] }))).toEqual([
      { code: 'seasons-overlap', ids: ['winter', 'spring'] },
    ]);
  });

  it('[H11] a timed closing cuts its instants out of the week’s spans, and never out of an exception’s', () => {
    const closings: Calendar['closings'] = [
      { kind: 'timed', from: at('2026-11-25T19:00'), to: at('2026-11-25T20:00'), name: 'Boat drill' },
    ];
    const cut = (exceptions: HoursException[]) =>
      spansOfDay(hours({ week: everyDay('17:30-20:30'), closings, exceptions }), day('2026-11-25')).map(
        ({ from, until }) => [utc(from), utc(until)],
      );
    expect(cut([])).toEqual([
      ['2026-11-25T18:30Z', '2026-11-25T19:00Z'],
      ['2026-11-25T20:00Z', '2026-11-25T21:30Z'],
    ]);
    expect(
      cut([exception({ kind: 'date', day: day('2026-11-25') }, { intervals: times('17:30-20:30') })]),
    ).toEqual([['2026-11-25T18:30Z', '2026-11-25T21:30Z']]);
  });

  it('[H11] an all-day closing is a closed day of the lowest rank: even a holiday’s hours go before it', () => {
    const closings: Calendar['closings'] = [{ kind: 'all-day', day: day('2026-12-25'), name: 'Storm' }];
    const desk = hours({ week: everyDay('09:00-10:00'), closings });
    expect(whyAt(desk, at('2026-12-25T10:30'))).toMatchObject({
      isOpen: false,
      layer: 'import',
      closedBy: 'import',
    });
    const open = hours({
      week: everyDay('09:00-10:00'),
      closings,
      exceptions: [
        exception({ kind: 'holiday', day: day('2026-12-25') }, { intervals: times('11:00-12:00') }),
      ],
    });
    expect(isOpenAt(open, at('2026-12-25T12:30'))).toBe(true);
  });

  it('[H12] an override wins before its end, and ends that very second', () => {
    const until = at('2026-11-25T19:00:00');
    const closed = hours({ week: everyDay('17:30-20:00') }, { isOpen: false, until, reason: 'Clouds' });
    expect([isOpenAt(closed, until - 1), isOpenAt(closed, until)]).toEqual([false, true]);
    expect(whyAt(closed, until - 1)).toMatchObject({ layer: 'override', closedBy: 'override' });
    const open = hours(
      { week: everyDay('17:30-20:00') },
      { isOpen: true, until: at('2026-11-25T23:00'), reason: 'Comet' },
    );
    expect(isOpenAt(open, at('2026-11-25T22:30'))).toBe(true);
  });

  it('[H13] with an override the next change is its end if the state differs then, else the change after', () => {
    const desk = (isOpen: boolean, until: string) =>
      hours({ week: everyDay('17:30-20:00') }, { isOpen, until: at(until), reason: '' });
    const from = at('2026-11-25T18:45');
    expect(utc(nextChange(desk(false, '2026-11-25T19:00'), from))).toBe('2026-11-25T19:00Z');
    expect(utc(nextChange(desk(false, '2026-11-25T22:00'), from))).toBe('2026-11-26T18:30Z');
    expect(utc(nextChange(desk(true, '2026-11-25T19:00'), from))).toBe('2026-11-25T21:00Z');
    expect(utc(nextChange(desk(true, '2026-11-25T23:00'), from))).toBe('2026-11-25T23:00Z');
  });

  it('[H13] a change is sought for 372 local dates: one on the last is found, one a day later is not', () => {
    const now = at('2026-11-25T12:00');
    const once = (days: number) =>
      hours({
        exceptions: [
          exception({ kind: 'date', day: day('2026-11-25') + days }, { intervals: times('10:00-11:00') }),
        ],
      });
    expect([nextChange(once(372), now) !== null, nextChange(once(373), now)]).toEqual([true, null]);
    expect(nextChange(hours({}), now)).toBeNull();
  });

  it('[H14] the next opening is the start of the first run after, also from the middle of one', () => {
    const desk = hours({ week: everyDay('17:30-20:00 20:20-01:00') });
    expect(utc(nextOpening(desk, at('2026-11-25T19:00')))).toBe('2026-11-25T21:20Z');
    expect(utc(nextOpening(desk, at('2026-11-25T21:10')))).toBe('2026-11-25T21:20Z');
    expect(nextOpening(hours({ week: everyDay('00:00-00:00') }), at('2026-11-25T19:00'))).toBeNull();
  });

  it('[H15] says the layer and the rule, and why it is closed', () => {
    const desk = hours({
      week: everyDay('17:30-20:00 20:20-01:00'),
      seasons: [{ id: 's', name: 'Winter', from: 1201, to: 131, week: everyDay('16:00-19:00') }],
      exceptions: [
        exception({ kind: 'date', day: day('2026-12-24') }, { intervals: times('10:00-12:00') }),
        exception({ kind: 'holiday', day: day('2026-12-25') }),
      ],
    });
    const why = (text: string) => {
      const { layer, rule, closedBy } = whyAt(desk, at(text));
      return [layer, rule, closedBy];
    };
    expect(why('2026-11-25T19:00')).toEqual(['week', -1, null]);
    expect(why('2026-11-25T21:10')).toEqual(['week', -1, 'break']);
    expect(why('2026-11-26T01:30')).toEqual(['week', -1, null]);
    expect(why('2026-11-26T02:30')).toEqual(['week', -1, 'outside']);
    expect(why('2026-12-10T17:30')).toEqual(['season', 0, null]);
    expect(why('2026-12-24T20:00')).toEqual(['exception', 0, 'exception']);
    expect(why('2026-12-25T20:00')).toEqual(['holiday', 1, 'holiday']);
  });

  it('[H16] the first offset holds for all that lies before the data', () => {
    const zone = { starts: [at('2026-01-01T00:00')], offsets: [-3_600_000] };
    const made = toWireCalendar(calendar({ week: everyDay('09:00-10:00') }));
    expect(made.ok && isOpenAt({ calendar: made.value, zone, override: null }, at('1999-05-05T10:30'))).toBe(
      true,
    );
  });

  it('[H17] a roster is the team’s calendar and at least one of its people’s, and closes nothing', () => {
    const team = hours({ week: everyDay('17:00-22:00') });
    const people = [hours({ week: everyDay('16:00-19:00') }), hours({ week: everyDay('20:00-23:00') })];
    const at17 = at('2026-11-25T18:00');
    expect(
      [16.5, 18, 19.5, 21, 22.5].map((local) =>
        isRosteredAt({ team, people }, at('2026-11-25T01:00') + local * 3_600_000),
      ),
    ).toEqual([false, true, false, true, false]);
    expect(utc(nextRosterChange({ team, people }, at17))).toBe('2026-11-25T20:00Z');
    expect(isRosteredAt({ team: null, people: [] }, at17)).toBe(false);
    expect(nextRosterChange({ team: null, people: [] }, at17)).toBeNull();
  });

  it('[H18] equal days are grouped as data, each day once, seasons after the week', () => {
    const week = [[], [], ...Array.from({ length: 5 }, () => times('17:30-20:00'))];
    const made = toWireCalendar(
      calendar({
        week,
        seasons: [{ id: 's', name: 'Winter', from: 1201, to: 131, week: everyDay('16:00-19:00') }],
      }),
    );
    expect(made.ok && summaryOf(made.value)).toEqual([
      { days: [0, 1], intervals: [], when: null },
      { days: [2, 3, 4, 5, 6], intervals: [[1050, 1200]], when: null },
      { days: [0, 1, 2, 3, 4, 5, 6], intervals: [[960, 1140]], when: { from: 1201, to: 131 } },
    ]);
  });
});

describe('days', () => {
  it('agree with the platform’s calendar on every day from 1896 to 2104', () => {
    for (let one = -27_000; one < 49_000; one++) {
      const date = new Date(one * 86_400_000);
      const told = [dayText(one), weekdayOf(one), monthDayOf(one)];
      expect(told).toEqual([
        date.toISOString().slice(0, 10),
        (date.getUTCDay() + 6) % 7,
        (date.getUTCMonth() + 1) * 100 + date.getUTCDate(),
      ]);
    }
  });

  it('a date that is none is none', () => {
    expect(['2026-02-29', '2026-13-01', '2026-1-1', '2026-04-31', ''].map(parseDay)).toEqual([
      null,
      null,
      null,
      null,
      null,
    ]);
    expect(parseDay('2028-02-29')).toBe(21_243);
  });
});
