import { describe, expect, it } from 'vitest';
import { gapAfter } from './gap';

const entries = (...seqs: number[]) => seqs.map((seq) => ({ seq }));

describe('a gap in a conversation', () => {
  it('stands after the last entry that is followed by a missing one', () => {
    expect([gapAfter([]), gapAfter(entries(1)), gapAfter(entries(4, 5, 6))]).toEqual([null, null, null]);
    expect([gapAfter(entries(1, 3)), gapAfter(entries(1, 2, 5, 6, 9))]).toEqual([1, 2]);
  });
});
