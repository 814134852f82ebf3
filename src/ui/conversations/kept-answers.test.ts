import { describe, expect, it } from 'vitest';
import { keptAnswers } from './kept-answers';

/** A browser's storage; full, where it takes nothing more. */
function madeStorage(isFull = false) {
  const items = new Map<string, string>();
  return {
    items,
    getItem: (name: string) => items.get(name) ?? null,
    setItem: (name: string, value: string) => {
      if (isFull) throw new DOMException('full', 'QuotaExceededError');
      items.set(name, value);
    },
    removeItem: (name: string) => void items.delete(name),
  };
}

const ADA = { siteKey: 'farrowisle', personId: 'ada' };
const half = (text: string, clientId: string | null = null) => ({ text, clientId });

describe('half-written answers', () => {
  it('are there after a reload, each in its conversation, and gone when they are empty', () => {
    const storage = madeStorage();
    const before = keptAnswers(() => storage, ADA);
    before.set('one', half('The dome opens at'));
    before.set('two', half('Yes, but', 'sent-as'));
    const after = keptAnswers(() => storage, ADA);
    expect([after.get('one'), after.get('two'), after.get('three')]).toEqual([
      half('The dome opens at'),
      half('Yes, but', 'sent-as'),
      half(''),
    ]);
    after.set('one', half(''));
    after.set('two', half(' \n'));
    expect(storage.items.size).toBe(0);
  });

  it('are nobody else’s, and no other site’s', () => {
    const storage = madeStorage();
    keptAnswers(() => storage, ADA).set('one', half('between us'));
    expect(keptAnswers(() => storage, { ...ADA, personId: 'rui' }).get('one')).toEqual(half(''));
    expect(keptAnswers(() => storage, { ...ADA, siteKey: 'elsewhere' }).get('one')).toEqual(half(''));
  });

  it('of two tabs stand side by side', () => {
    const storage = madeStorage();
    const [left, right] = [keptAnswers(() => storage, ADA), keptAnswers(() => storage, ADA)];
    left.set('one', half('left'));
    right.set('two', half('right'));
    left.set('one', half('left on'));
    expect([right.get('one').text, left.get('two').text]).toEqual(['left on', 'right']);
  });

  it('are at most fifty; the oldest goes first', () => {
    const stored = madeStorage();
    const kept = keptAnswers(() => stored, ADA);
    for (let number = 0; number < 60; number++) kept.set(`talk ${number}`, half(`answer ${number}`));
    expect([kept.get('talk 9').text, kept.get('talk 10').text, kept.get('talk 59').text]).toEqual([
      '',
      'answer 10',
      'answer 59',
    ]);
  });

  it.each(['not json', 'null', '[1]', '{"one":{"text":5}}', '{"__proto__":{"text":"x"}}'])(
    'begin anew where %s is stored',
    (stored) => {
      const storage = madeStorage();
      storage.items.set('sunny-porch-answers:farrowisle:ada', stored);
      const answers = keptAnswers(() => storage, ADA);
      expect(answers.get('one')).toEqual(half(''));
      answers.set('one', half('here'));
      expect(answers.get('one')).toEqual(half('here'));
    },
  );

  it('last as long as the page where nothing can be stored', () => {
    const full = madeStorage(true);
    const answers = keptAnswers(() => full, ADA);
    answers.set('one', half('kept here'));
    expect(answers.get('one')).toEqual(half('kept here'));
    const none = keptAnswers(() => {
      throw new DOMException('blocked', 'SecurityError');
    }, ADA);
    none.set('one', half('kept here'));
    expect(none.get('one')).toEqual(half('kept here'));
  });
});
