import { describe, expect, it } from 'vitest';
import { AZORES, ZONES, at, utc } from '../../../tests/made/hours';
import { instantOf, wallOf } from './wall';
import { toZone } from './zone';

const zone = toZone(ZONES.offsetsOf(AZORES, Date.UTC(2025, 0, 1), Date.UTC(2038, 0, 1)) ?? []);

describe('the wall clock', () => {
  it('reads an instant in the zone, and leads back to it', () => {
    expect(wallOf(zone, at('2026-11-26T00:30'))).toBe('2026-11-25T23:30');
    for (const text of ['2026-11-26T00:30', '2026-07-01T12:00'])
      expect(utc(instantOf(zone, wallOf(zone, at(text))))).toBe(`${text}Z`);
  });

  it('a reading that the clock jumps over is the instant after the jump; one that comes twice is the first', () => {
    expect(utc(instantOf(zone, '2026-03-29T00:30'))).toBe('2026-03-29T01:00Z');
    expect(utc(instantOf(zone, '2026-10-25T00:30'))).toBe('2026-10-25T00:30Z');
  });

  it('no date, no time, no instant; a zone without data is UTC', () => {
    expect([
      instantOf(zone, '2026-02-30T10:00'),
      instantOf(zone, '2026-02-03T24:00'),
      instantOf(zone, 'soon'),
    ]).toEqual([null, null, null]);
    expect(utc(instantOf(toZone([]), '2026-02-03T10:00'))).toBe('2026-02-03T10:00Z');
  });
});
