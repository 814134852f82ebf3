import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { calendar, day, everyDay, times } from '../../../tests/made/hours';
import { faultsOf, toWireCalendar } from '../../core/hours/compile';
import type { Calendar, HoursException, Interval } from '../../core/model/calendar';
import { readOsmHours, writeOsmHours } from './osm';
import { readSchemaHours, writeSchemaHours } from './schema-org';
import type { CalendarParts } from './shared';

const exception = (
  days: HoursException['days'],
  intervals: Interval[] = [],
  change: Partial<HoursException> = {},
): HoursException => ({
  id: 'e',
  name: 'e',
  days,
  intervals,
  endsNightBefore: false,
  ...change,
});
const week = [[], [], ...Array.from({ length: 5 }, () => times('17:30-20:00 20:20-01:00'))];
const osm = (text: string) => {
  const read = readOsmHours(text);
  return read.ok ? read.value : read.errors;
};
/** Two calendars are the same where they are published the same: ids and names are the reader's. */
const wire = (parts: CalendarParts) => {
  const made = toWireCalendar(calendar(parts));
  return made.ok ? made.value : made.errors;
};

/** Calendars that may be entered: any week, at most one season, exceptions that do not collide. */
const interval = fc
  .tuple(fc.integer({ min: 0, max: 287 }), fc.integer({ min: 1, max: 288 }))
  .map(([from, length]) => ({ from: from * 5, to: (from + length) * 5 }));
const dayPlan = fc.array(interval, { maxLength: 2 });
const monthDay = fc
  .tuple(fc.integer({ min: 1, max: 12 }), fc.integer({ min: 1, max: 28 }))
  .map(([month, date]) => month * 100 + date);
const someDay = fc.integer({ min: 20_000, max: 24_000 });
const days = (kinds: readonly HoursException['days']['kind'][]) =>
  fc.oneof(
    ...[
      someDay.map((one): HoursException['days'] => ({ kind: 'date', day: one })),
      fc
        .tuple(someDay, fc.integer({ min: 1, max: 20 }))
        .map(([from, length]): HoursException['days'] => ({ kind: 'range', from, to: from + length })),
      monthDay.map((on): HoursException['days'] => ({ kind: 'yearly-date', on })),
      fc
        .tuple(monthDay, monthDay)
        .map(([from, to]): HoursException['days'] => ({ kind: 'yearly-range', from, to })),
    ].filter((_, index) =>
      kinds.includes((['date', 'range', 'yearly-date', 'yearly-range'] as const)[index] ?? 'holiday'),
    ),
  );
const calendars = (kinds: readonly HoursException['days']['kind'][], seasons: number) =>
  fc
    .record({
      week: fc.array(dayPlan, { minLength: 7, maxLength: 7 }),
      seasons: fc.array(
        fc.record({ from: monthDay, to: monthDay, week: fc.array(dayPlan, { minLength: 7, maxLength: 7 }) }),
        {
          maxLength: seasons,
        },
      ),
      exceptions: fc.array(fc.record({ days: days(kinds), intervals: dayPlan }), { maxLength: 3 }),
    })
    .map((parts): Calendar =>
      calendar({
        week: parts.week,
        seasons: parts.seasons.map((one, index) => ({ ...one, id: `s${index}`, name: '' })),
        exceptions: parts.exceptions.map((one, index) =>
          exception(one.days, one.intervals, { id: `e${index}` }),
        ),
      }),
    )
    .filter((one) => faultsOf(one).length === 0);

describe('OSM opening_hours', () => {
  it('[H19] writes what people there write, stronger rules last', () => {
    const made = writeOsmHours(
      calendar({
        week,
        seasons: [{ id: 's', name: 'Winter', from: 1101, to: 228, week: everyDay('15:00-16:00') }],
        exceptions: [
          exception({ kind: 'date', day: day('2026-12-24') }),
          exception({ kind: 'yearly-range', from: 1228, to: 103 }, times('10:00-12:00')),
        ],
      }),
    );
    expect(made.value).toBe(
      'Mo-Tu off; We-Su 17:30-20:00,20:20-01:00; Nov 01-Feb 28 Mo-Su 15:00-16:00; Dec 28-Jan 03 10:00-12:00; 2026 Dec 24 off',
    );
    expect(made.unsaid).toEqual([{ what: 'zone', about: 'Atlantic/Azores' }]);
  });

  it('[H19] reads ranges over the week’s end, hours past 24, ranges within a month, and 24/7', () => {
    expect(osm('Fr-Mo 22:00-26:00')).toMatchObject({
      value: { week: [[{ from: 1320, to: 1560 }], [], [], [], [{ from: 1320, to: 1560 }], {}, {}] },
    });
    expect(osm('2026 Dec 24-26 off')).toMatchObject({
      value: { exceptions: [{ days: { kind: 'range', from: day('2026-12-24'), to: day('2026-12-26') } }] },
    });
    expect(osm('Mo off;')).toMatchObject({ value: { week: Array(7).fill([]) } });
    expect(osm('24/7')).toMatchObject({ value: { week: Array(7).fill([{ from: 0, to: 1440 }]) } });
    expect(osm('Mo-Fr 09:00-12:00; We off')).toMatchObject({
      value: { week: [[{}], [{}], [], [{}], [{}], [], []] },
    });
  });

  it('[H19] lists what it cannot hold instead of dropping it silently', () => {
    const read = osm('Mo-Fr 09:00-12:00; PH off; sunrise-sunset; Sa 10:00+; Su 10:00-11:00 "by appointment"');
    expect('unsaid' in read && read.unsaid.map(({ what }) => what)).toEqual([
      'public-holidays',
      'sun',
      'open-end',
      'comment',
    ]);
  });

  it.each([
    ['Mo-Fr 9-12', 0, 'no-time'],
    ['Mo-Fr 09:00-12:00; Xx 10:00-11:00', 19, 'not-a-rule'],
    ['Mo 25:00-26:00', 0, 'no-time'],
    ['Mo 10:75-11:00', 0, 'no-time'],
    ['2026 Feb 30 off', 0, 'no-date'],
    ['2026 Dec 26-2026 Dec 24 off', 0, 'ends-before-it-begins'],
    ['Dec 24-2027 Jan 02 off', 0, 'year-at-one-end'],
    ['Mo-Fr 09:00-12:00;; Sa off', 18, 'empty-rule'],
    ['drop table', 0, 'not-a-rule'],
    ['', 0, 'empty-rule'],
  ])('[H19] refuses “%s” at %i: %s', (text, at, reason) => {
    const read = readOsmHours(text);
    expect(read).toMatchObject({ ok: false, errors: { at, reason } });
  });

  it('[H19] bounds what it reads', () => {
    expect(osm('Mo off; '.repeat(3000))).toMatchObject({ at: 10_000 });
  });

  it('[H19] law: reading what was written gives the same hours wherever nothing but the zone is unsaid', () => {
    fc.assert(
      fc.property(calendars(['date', 'range', 'yearly-date', 'yearly-range'], 1), (made) => {
        const { value, unsaid } = writeOsmHours(made);
        expect(unsaid.map(({ what }) => what)).toEqual(['zone']);
        const read = osm(value);
        expect('value' in read && wire(read.value)).toEqual(wire(made));
      }),
      { numRuns: 1500, seed: 20261126 },
    );
  });
});

describe('schema.org opening hours', () => {
  it('[H19] writes days by their address, past midnight as the clock reads, closed as 00:00 to 00:00', () => {
    const { value } = writeSchemaHours(
      calendar({
        week: [times('20:20-01:00')],
        exceptions: [exception({ kind: 'date', day: day('2026-12-24') })],
      }),
    );
    expect(value).toEqual([
      {
        '@type': 'OpeningHoursSpecification',
        dayOfWeek: ['https://schema.org/Monday'],
        opens: '20:20',
        closes: '01:00',
      },
      {
        '@type': 'OpeningHoursSpecification',
        validFrom: '2026-12-24',
        validThrough: '2026-12-24',
        opens: '00:00',
        closes: '00:00',
      },
    ]);
  });

  it('[H19] lists seasons, yearly exceptions and the end of a night as unsaid', () => {
    const { unsaid } = writeSchemaHours(
      calendar({
        seasons: [{ id: 'winter', name: 'Winter', from: 1101, to: 228, week: everyDay('15:00-16:00') }],
        exceptions: [
          exception({ kind: 'yearly-date', on: 1224 }),
          exception({ kind: 'date', day: 5 }, [], { endsNightBefore: true }),
        ],
      }),
    );
    expect(unsaid.map(({ what }) => what)).toEqual([
      'zone',
      'ends-night-before',
      'season',
      'yearly-exception',
    ]);
  });

  it('[H19] reads a thing that has them, one that is alone, and seconds', () => {
    const place = {
      '@type': 'Place',
      openingHoursSpecification: { dayOfWeek: 'Monday', opens: '09:00:00', closes: '17:00:00' },
    };
    expect(readSchemaHours(place)).toMatchObject({
      ok: true,
      value: { value: { week: [[{ from: 540, to: 1020 }], [], [], [], [], [], []] } },
    });
  });

  it.each([
    ['text', 0, 'no-specification'],
    [[{ opens: '9', closes: '17:00' }], 0, 'no-time'],
    [
      [
        { opens: '09:00', closes: '17:00' },
        { opens: '09:00', closes: '17:00', dayOfWeek: 'Moonday' },
      ],
      1,
      'no-weekday',
    ],
    [[{ opens: '09:00', closes: '17:00', validFrom: '2026-02-30' }], 0, 'no-date'],
    [[null], 0, 'no-object'],
  ] as const)('[H19] refuses %j at %i: %s', (document, at, reason) => {
    expect(readSchemaHours(document)).toMatchObject({ ok: false, errors: { at, reason } });
  });

  it('[H19] law: reading what was written gives the same hours wherever nothing but the zone is unsaid', () => {
    fc.assert(
      fc.property(calendars(['date', 'range'], 0), (made) => {
        const { value, unsaid } = writeSchemaHours(made);
        expect(unsaid.map(({ what }) => what)).toEqual(['zone']);
        const read = readSchemaHours(JSON.parse(JSON.stringify(value)));
        expect(read.ok && wire(read.value.value)).toEqual(wire(made));
      }),
      { numRuns: 1500, seed: 20261126 },
    );
  });
});
