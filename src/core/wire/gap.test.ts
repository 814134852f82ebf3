import { describe, expect, it } from 'vitest';
import { gapAfter } from './gap';

/** Entries as `conversation seq`, with ids in the order in which they were said. */
const said = (...words: string[]) =>
  words.map((word, index) => {
    const [conversationId = '', seq] = word.split(' ');
    return { id: index + 1, conversationId, seq: Number(seq) };
  });

describe('gapAfter', () => {
  it('[M7] names the entry after which one is missing, and none where what is here follows one another', () => {
    expect([gapAfter([]), gapAfter(said('a 4', 'a 5', 'a 6')), gapAfter(said('a 1', 'a 2', 'a 4'))]).toEqual([
      null,
      null,
      2,
    ]);
  });

  it('[M7] counts each conversation for itself: an answer to a note may come in the midst of another', () => {
    expect(gapAfter(said('note 1', 'talk 1', 'note 2', 'talk 2'))).toBeNull();
    expect(gapAfter(said('note 1', 'talk 1', 'note 3', 'talk 2'))).toBe(1);
  });
});
