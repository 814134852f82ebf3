import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isOpenAt, nextChange, nextOpening } from '../../src/core/hours/hours';
import { type Zone, offsetAt, toZone } from '../../src/core/hours/zone';
import type { Week } from '../../src/core/model/calendar';
import { ZONES, hours } from '../made/hours';

const MINUTE = 60_000;
const DAY = 1440;
const FROM = Date.UTC(2026, 10, 26);
const UNTIL = Date.UTC(2036, 10, 26);

/** Each zone's offsets of the next ten years, zones that go alike once. */
const DISTINCT = [
  ...new Map(ZONES.names.map((name) => [JSON.stringify(ZONES.offsetsOf(name, FROM, UNTIL)), name])).values(),
];

/** Awkward hours: past midnight, in the hour that is skipped or repeated, touching at midnight, all day. */
const WEEK: Week = [
  [
    { from: 0, to: 75 },
    { from: 150, to: 185 },
  ],
  [{ from: 1050, to: 1500 }],
  [
    { from: 90, to: 120 },
    { from: 1380, to: 1440 },
  ],
  [{ from: 0, to: 1440 }],
  [],
  [
    { from: 125, to: 170 },
    { from: 1200, to: 1560 },
  ],
  [
    { from: 30, to: 60 },
    { from: 60, to: 61 },
    { from: 1439, to: 2879 },
  ],
];

/**
 * The oracle: steps through the minutes of a window, reads the wall clock at each, and takes for every date and
 * interval the first and the last minute that reads inside of it ([H4] as it is written).
 */
function stepped(zone: Zone, begin: number, minutes: number): boolean[] {
  const walls = Array.from(
    { length: minutes },
    (_, minute) => (begin + minute * MINUTE + offsetAt(zone, begin + minute * MINUTE)) / MINUTE,
  );
  const open = new Array<boolean>(minutes).fill(false);
  const [first, last] = [Math.floor(Math.min(...walls) / DAY) - 2, Math.floor(Math.max(...walls) / DAY) + 1];
  for (let day = first; day <= last; day++)
    for (const { from, to } of WEEK[(((day + 3) % 7) + 7) % 7] ?? []) {
      let low = -1;
      let high = -1;
      for (let minute = 0; minute < minutes; minute++) {
        const wall = walls[minute] ?? 0;
        if (wall < day * DAY + from || wall >= day * DAY + to) continue;
        if (low < 0) low = minute;
        high = minute;
      }
      if (low >= 0) open.fill(true, low, high + 1);
    }
  return open;
}

describe('hours in every zone', () => {
  it('law: isOpen and nextChange agree with stepping, around every change of the next ten years in each distinct zone', () => {
    expect(DISTINCT.length).toBeGreaterThan(60);
    const faults: string[] = [];
    let checks = 0;
    for (const name of DISTINCT) {
      const own = hours({ zone: name, week: WEEK });
      const zone = toZone(ZONES.offsetsOf(name, FROM, UNTIL) ?? []);
      for (const change of zone.starts.slice(1)) {
        const begin = change - 4 * DAY * MINUTE;
        const oracle = stepped(zone, begin, 8 * DAY);
        const offsets = [
          ...Array.from({ length: 360 }, (_, minute) => minute - 180),
          ...Array.from({ length: 288 }, (_, quarter) => (quarter - 144) * 15),
        ];
        for (const offset of offsets) {
          const place = 4 * DAY + offset;
          const instant = change + offset * MINUTE;
          const isOpen = isOpenAt(own, instant);
          checks++;
          if (isOpen !== oracle[place])
            faults.push(`${name} ${new Date(instant).toISOString()} is ${isOpen}`);
        }
        for (const offset of [-180, -61, -31, -1, 0, 1, 29, 59, 121]) {
          const place = 4 * DAY + offset;
          const wanted = oracle.findIndex((one, minute) => minute > place && one !== oracle[place]);
          const found = nextChange(own, change + offset * MINUTE);
          if (wanted >= 0 && wanted < 7 * DAY && found !== begin + wanted * MINUTE)
            faults.push(`${name} next of ${new Date(change + offset * MINUTE).toISOString()}`);
        }
      }
    }
    expect(faults.slice(0, 5)).toEqual([]);
    expect(checks).toBeGreaterThan(200_000);
  }, 120_000);

  it('law: at random instants nothing changes before nextChange, and it does then; nextOpening opens', () => {
    const weeks = fc.array(
      fc.array(
        fc
          .tuple(fc.integer({ min: 0, max: 1439 }), fc.integer({ min: 1, max: 1440 }))
          .map(([from, length]) => ({ from, to: from + length })),
        { maxLength: 1 },
      ),
      { minLength: 7, maxLength: 7 },
    );
    const instants = fc.integer({ min: FROM, max: UNTIL });
    fc.assert(
      fc.property(
        fc.constantFrom(...DISTINCT),
        weeks,
        instants,
        fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { maxLength: 6 }),
        (zone, week, now, shares) => {
          const own = hours({ zone, week });
          const [isOpen, change, opening] = [isOpenAt(own, now), nextChange(own, now), nextOpening(own, now)];
          const end = change ?? now + 30 * DAY * MINUTE;
          for (const share of shares)
            expect(isOpenAt(own, now + Math.floor((end - now - 1) * share))).toBe(isOpen);
          if (change !== null) expect([change > now, isOpenAt(own, change)]).toEqual([true, !isOpen]);
          if (opening !== null)
            expect([isOpenAt(own, opening), isOpenAt(own, opening - 1)]).toEqual([true, false]);
        },
      ),
      { numRuns: 1500, seed: 20261126 },
    );
  });
});

describe('the zone data', () => {
  it('[H16] is pinned and right where the platform’s own is not, and travels as pairs', () => {
    expect(ZONES.version).toBe('2026f');
    const azores = ZONES.offsetsOf('Atlantic/Azores', Date.UTC(2026, 0, 1), Date.UTC(2027, 0, 1));
    expect(toZone(azores ?? []).starts.slice(1)).toEqual([
      Date.UTC(2026, 2, 29, 1),
      Date.UTC(2026, 9, 25, 1),
    ]);
    expect(toZone(azores ?? []).offsets.map((ms) => ms / 3_600_000)).toEqual([-1, 0, -1]);
    expect(ZONES.offsetsOf('Nowhere/Isle', FROM, UNTIL)).toBeNull();
  });

  it('[H16] law: agrees with the platform in every zone and month where the platform’s data is not known to be old', () => {
    const OLD = [
      'Vancouver',
      'Edmonton',
      'Winnipeg',
      'Inuvik',
      'Havana',
      'Casablanca',
      'El_Aaiun',
      'Chisinau',
    ];
    const odd = new Set<string>();
    const table = new Map(
      Intl.supportedValuesOf('timeZone').map((name) => [
        name,
        ZONES.offsetsOf(name, Date.UTC(2024, 0, 1), Date.UTC(2026, 0, 1)),
      ]),
    );
    for (const [name, offsets] of table) {
      if (offsets === null) continue;
      const zone = toZone(offsets);
      const format = new Intl.DateTimeFormat('en-US', { timeZone: name, timeZoneName: 'longOffset' });
      for (let month = 0; month < 24; month++) {
        const instant = Date.UTC(2024, month, 15, 12);
        const text = format.formatToParts(instant).find(({ type }) => type === 'timeZoneName')?.value ?? '';
        const match = /GMT([+-])(\d\d):(\d\d)/.exec(text);
        const minutes =
          match === null ? 0 : (match[1] === '-' ? -1 : 1) * (Number(match[2]) * 60 + Number(match[3]));
        if (minutes * MINUTE !== offsetAt(zone, instant)) odd.add(name);
      }
    }
    expect([...odd].filter((name) => !OLD.some((one) => name.endsWith(one)))).toEqual([]);
  });
});
