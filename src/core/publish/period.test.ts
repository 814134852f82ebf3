import { describe, expect, it } from 'vitest';
import { AZORES, ZONES, utc } from '../../../tests/made/hours';
import { toZone } from '../hours/zone';
import { periodOf } from './period';

const zone = toZone(ZONES.offsetsOf(AZORES, Date.UTC(2025, 0, 1), Date.UTC(2038, 0, 1)) ?? []);
const period = (from: string, until: string | null) => {
  const made = periodOf(zone, { from, until });
  return made.ok ? [utc(made.value.from), utc(made.value.until)] : [made.errors.at, made.errors.code];
};

describe('periodOf', () => {
  it('[L6] goes by the clock of the site, on both sides of a change of it', () => {
    expect(period('2026-10-20T00:00', '2026-10-30T00:00')).toEqual([
      '2026-10-20T00:00Z',
      '2026-10-30T01:00Z',
    ]);
    expect(period('2026-03-29T00:30', null)).toEqual(['2026-03-29T01:00Z', null]); // a reading that is jumped over
  });

  it('[L6] says at which end something is wrong', () => {
    expect(period('soon', null)).toEqual(['from', 'no-date']);
    expect(period('2026-10-20T00:00', '2026-02-30T00:00')).toEqual(['until', 'no-date']);
    expect(period('2026-10-20T00:00', '2026-10-20T00:00')).toEqual(['until', 'ends-before-it-begins']);
  });
});
