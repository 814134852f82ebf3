import { describe, expect, it } from 'vitest';
import { diceOf } from '../../../tests/made/dice';
import { MARK_SHAPES, MARK_WORDS, visitorMark } from './visitor-mark';

describe('what tells one visitor from another', () => {
  it('is always the same for an id', () => {
    // Reckoned by another program from the published constants of FNV-1a.
    expect(visitorMark('0000000000000000000000001a')).toEqual({ shape: 'drop', word: 'alder' });
  });

  it('spreads over all shapes and words, also where ids differ in their last sign only', () => {
    const dice = diceOf(17);
    const base = Array.from({ length: 22 }, () => dice.int(0, 32).toString(32)).join('');
    const counts = new Map<string, number>();
    const count = 20_000;
    for (let at = 0; at < count; at++) {
      const { shape, word } = visitorMark(base + at.toString(32).padStart(4, '0'));
      counts.set(`${shape} ${word}`, (counts.get(`${shape} ${word}`) ?? 0) + 1);
    }
    const kinds = MARK_SHAPES.length * MARK_WORDS.length;
    expect(new Set(MARK_WORDS).size).toBe(MARK_WORDS.length);
    expect(counts.size).toBe(kinds);
    expect(Math.max(...counts.values())).toBeLessThan((2 * count) / kinds);
  });
});
