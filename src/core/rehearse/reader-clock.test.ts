import { describe, expect, it } from 'vitest';
import { madeSite } from '../../../tests/made/site';
import { readerClock } from './reader-clock';

const SUMMER = Date.UTC(2026, 6, 1);
const WINTER = Date.UTC(2026, 11, 1);

describe('the clock of an assumed reader', () => {
  it('[T8] is the site’s own where none is assumed, summer and winter', () => {
    const clock = readerClock(madeSite({}), null);
    expect([clock(SUMMER), clock(WINTER)]).toEqual([0, -60]);
  });

  it('[T8] of elsewhere: half hours count, and the south has its summer in December', () => {
    const at = (zone: string) => [SUMMER, WINTER].map(readerClock(madeSite({}), zone));
    expect(at('Asia/Kolkata')).toEqual([330, 330]);
    expect(at('America/St_Johns')).toEqual([-150, -210]);
    expect(at('Australia/Adelaide')).toEqual([570, 630]);
    expect(at('Etc/UTC')).toEqual([0, 0]);
  });
});
