import { describe, expect, it, vi } from 'vitest';
import { memoByKey, memoByObject } from './memo';

describe('remembering what was made', () => {
  it('of a key: made once, no more kept than may be, the oldest forgotten first', () => {
    const make = vi.fn((text: string) => ({ text }));
    const ask = memoByKey(2, make);
    expect(ask('a')).toBe(ask('a'));
    expect(make).toHaveBeenCalledTimes(1);
    ask('b');
    ask('c');
    ask('b');
    expect(make).toHaveBeenCalledTimes(3);
    expect(ask('a')).toEqual({ text: 'a' });
    expect(make).toHaveBeenCalledTimes(4);
  });

  it('of an object: made once for each object, not for each that is like it', () => {
    const make = vi.fn(({ text }: { text: string }) => text.length);
    const ask = memoByObject(make);
    const one = { text: 'abc' };
    expect([ask(one), ask(one), ask({ ...one })]).toEqual([3, 3, 3]);
    expect(make).toHaveBeenCalledTimes(2);
  });

  it('keeps what is nothing, too', () => {
    const make = vi.fn<(text: string) => null>(() => null);
    const ask = memoByKey(2, make);
    expect([ask('a'), ask('a')]).toEqual([null, null]);
    expect(make).toHaveBeenCalledTimes(1);
  });
});
