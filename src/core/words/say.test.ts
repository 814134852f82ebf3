import { describe, expect, it } from 'vitest';
import { compileText } from './compile';
import { type Hearer, isolated, say } from './say';

const hearer = (change: Partial<Hearer> = {}): Hearer => ({ state: 'in', visit: 'unknown', locale: 'en', ...change });
const compiled = (text: string) => {
  const made = compileText(text, { name: 'text', count: 'count', promise: 'text' });
  if (!made.ok) throw new Error(`Expected "${text}" to compile, got ${made.errors.code}.`);
  return made.value;
};

describe('say', () => {
  it('[D3] puts pieces together; a number is written as the locale writes it', () => {
    const text = compiled('{count, plural, one {# new message} other {# new messages}} for {name}');
    expect(say(text, { count: 1, name: 'Ana' }, hearer())).toBe('1 new message for \u2068Ana\u2069');
    expect(say(text, { count: 1234, name: 'Ana' }, hearer({ locale: 'de' }))).toBe('1.234 new messages for \u2068Ana\u2069');
  });

  it('[T3] plural forms are the locale’s own: Arabic has six, an exact number goes before them', () => {
    const text = compiled('{count, plural, =0 {none} one {one} two {two} few {few} many {many} other {other}}');
    const forms = [0, 1, 2, 3, 11, 100].map((count) => say(text, { count }, hearer({ locale: 'ar' })));
    expect(forms).toEqual(['none', 'one', 'two', 'few', 'many', 'other']);
  });

  it('[T3] offset counts from behind, selectordinal and select choose their form', () => {
    expect(say(compiled('{count, plural, offset:1 =1 {you} other {you and # more}}'), { count: 3 }, hearer())).toBe('you and 2 more');
    expect(say(compiled('{count, selectordinal, two {#nd} other {#th}}'), { count: 2 }, hearer())).toBe('2nd');
    expect(say(compiled('{name, select, ana {she} other {they}}'), { name: 'rui' }, hearer())).toBe('they');
  });

  it('[T4] the first case that holds is said, else otherwise', () => {
    const text = {
      c: [
        [[['state', 'busy', 'nearby']], 'soon'],
        [[['visit', 'returning']], 'again'],
      ],
      o: 'hello',
    } as const;
    expect(say(text, {}, hearer({ state: 'nearby', visit: 'returning' }))).toBe('soon');
    expect(say(text, {}, hearer({ visit: 'returning' }))).toBe('again');
    expect(say(text, {}, hearer())).toBe('hello');
  });

  it('[V6] who cannot be known is neither first nor returning: otherwise is said', () => {
    const text = {
      c: [
        [[['visit', 'returning']], 'again'],
        [[['visit', 'first']], 'new'],
      ],
      o: 'hello',
    } as const;
    expect(say(text, {}, hearer({ visit: 'unknown' }))).toBe('hello');
  });

  it('[D4] a case of an unknown kind never holds', () => {
    const text = { c: [[[['moon-phase', 'full']], 'howl']], o: 'hello' };
    expect(say(text as never, {}, hearer())).toBe('hello');
  });

  it('[T6] the second text is said where a value is unknown', () => {
    const text = { o: compiled('Within {promise}.'), w: 'Somebody is nearby.' };
    expect(say(text, {}, hearer())).toBe('Somebody is nearby.');
    expect(say(text, { promise: '5 min' }, hearer())).toBe('Within \u20685 min\u2069.');
  });

  it('[T7] values lose control and direction signs, are cut to 60 signs as read, and stay isolated', () => {
    expect(isolated('Ru\u202ei\u0000')).toBe('\u2068Rui\u2069');
    expect(isolated('👩‍🚀'.repeat(80))).toBe(`\u2068${'👩‍🚀'.repeat(60)}\u2069`);
  });
});
