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

  it('[threat 16] by a proxy that is not believed: each address it names has its own, all together ten times as much', async () => {
    const limits = makeLimits();
    const take = (visitor: number) => limits.take('newVisitor', `198.51.100.${visitor} via 10.0.0.2`);
    for (let count = 0; count < 60; count++) expect(await take(1)).toBe(0);
    expect(await take(1)).toBeGreaterThan(0); // one of them is stopped, and nobody else
    for (let count = 0; count < 540; count++) expect(await take(2 + (count % 200))).toBe(0);
    expect(await take(250)).toBeGreaterThan(0); // a liar's many names end
    expect(await limits.take('newVisitor', '198.51.100.250 via 10.0.0.3')).toBe(0);
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
