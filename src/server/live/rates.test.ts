import { describe, expect, it } from 'vitest';
import { makeLimits, waitWords } from './rates';

describe('limits', () => {
  it('[threat 15] tell the true time to wait, one for each who and kind', async () => {
    const limits = makeLimits();
    for (let count = 0; count < 12; count++) expect(await limits.take('message', 'ana')).toBe(0);
    const wait = await limits.take('message', 'ana');
    expect(wait).toBeGreaterThan(55);
    expect(wait).toBeLessThanOrEqual(60);
    expect(await limits.take('message', 'rui')).toBe(0);
    for (let count = 0; count < 3; count++) await limits.take('note', 'ana');
    expect(await limits.take('note', 'ana')).toBeGreaterThan(3500);
  });

  it('in words', () => {
    expect([1, 40, 90, 91, 3600].map(waitWords)).toEqual([
      '1 second',
      '40 seconds',
      '90 seconds',
      '2 minutes',
      '60 minutes',
    ]);
  });
});
