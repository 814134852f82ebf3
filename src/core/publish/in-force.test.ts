import { describe, expect, it } from 'vitest';
import { type Publication, nextVersionChange, overlapping, versionInForce } from './in-force';

const base = (version: number, from: number): Publication => ({
  id: `b${version}`,
  version,
  from,
  until: null,
});
const period = (version: number, from: number, until: number): Publication => ({
  id: `p${version}`,
  version,
  from,
  until,
});

describe('what is in force', () => {
  it('[L5] is what was published last, and nothing before the first time', () => {
    const all = [base(1, 10), base(2, 20)];
    expect([9, 10, 19, 20].map((now) => versionInForce(all, now))).toEqual([null, 1, 1, 2]);
  });

  it('[L6] a period ends by itself and goes back to what is published then, not to what was before it', () => {
    const all = [base(1, 10), period(2, 20, 40), base(3, 30)];
    expect([19, 20, 35, 39, 40].map((now) => versionInForce(all, now))).toEqual([1, 2, 2, 2, 3]);
  });

  it('[L5] the next change is when another version is in force, not merely an edge', () => {
    const all = [base(1, 10), period(2, 20, 40), base(3, 30)];
    expect([10, 20, 35].map((now) => nextVersionChange(all, now))).toEqual([20, 40, 40]);
    expect(nextVersionChange([base(1, 10), period(1, 20, 40)], 15)).toBeNull();
    expect(nextVersionChange(all, 40)).toBeNull();
  });

  it('[L6] periods may not overlap; those that touch do not', () => {
    const all = [base(1, 10), period(2, 20, 40), period(3, 50, 60)];
    expect(overlapping(all, 40, 50)).toEqual([]);
    expect(overlapping(all, 39, 51).map(({ version }) => version)).toEqual([2, 3]);
  });
});
