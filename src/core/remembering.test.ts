import { describe, expect, it, vi } from 'vitest';
import { remembering } from './remembering';

describe('remembering', () => {
  it('makes each text once, keeps no more than it may, and forgets the oldest first', () => {
    const make = vi.fn((text: string) => ({ text }));
    const keep = remembering<{ text: string }>(2);
    const ask = (text: string) => keep(text, () => make(text));
    expect(ask('a')).toBe(ask('a'));
    expect(make).toHaveBeenCalledTimes(1);
    ask('b');
    ask('c');
    ask('b');
    expect(make).toHaveBeenCalledTimes(3);
    expect(ask('a')).toEqual({ text: 'a' });
    expect(make).toHaveBeenCalledTimes(4);
  });
});
