import { describe, expect, it } from 'vitest';
import { madeHearer as reader } from '../../../tests/made/site';
import { compileText } from './compile';
import { isolated, formatText } from './format-text';

const compiled = (text: string) => {
  const made = compileText(text, { name: 'text', count: 'count', promise: 'text' });
  if (!made.ok) throw new Error(`Expected "${text}" to compile, got ${made.errors.code}.`);
  return made.value;
};

describe('say', () => {
  it('[D3] puts pieces together; a number is written as the locale writes it', () => {
    const text = compiled('{count, plural, one {# new message} other {# new messages}} for {name}');
    expect(formatText(text, { count: 1, name: 'Ana' }, reader())).toBe('1 new message for \u2068Ana\u2069');
    expect(formatText(text, { count: 1234, name: 'Ana' }, reader({ locale: 'de' }))).toBe(
      '1.234 new messages for \u2068Ana\u2069',
    );
  });

  it('[T3] plural forms are the locale’s own: Arabic has six, an exact number goes before them', () => {
    const text = compiled(
      '{count, plural, =0 {none} one {one} two {two} few {few} many {many} other {other}}',
    );
    const forms = [0, 1, 2, 3, 11, 100].map((count) => formatText(text, { count }, reader({ locale: 'ar' })));
    expect(forms).toEqual(['none', 'one', 'two', 'few', 'many', 'other']);
  });

  it('[T3] offset counts from behind, selectordinal and select choose their form', () => {
    expect(
      formatText(
        compiled('{count, plural, offset:1 =1 {you} other {you and # more}}'),
        { count: 3 },
        reader(),
      ),
    ).toBe('you and 2 more');
    expect(
      formatText(compiled('{count, selectordinal, two {#nd} other {#th}}'), { count: 2 }, reader()),
    ).toBe('2nd');
    for (const name of ['constructor', '__proto__', 'toString'])
      expect(formatText(compiled('{name, select, ana {she} other {they}}'), { name }, reader())).toBe('they');
    expect(formatText(compiled('{name, select, ana {she} other {they}}'), { name: 'rui' }, reader())).toBe(
      'they',
    );
  });

  it('[T4] the first case that holds is said, else otherwise', () => {
    const text = {
      c: [
        [[['state', 'busy', 'nearby']], 'soon'],
        [[['visit', 'returning']], 'again'],
      ],
      o: 'hello',
    } as const;
    expect(formatText(text, {}, reader({ state: 'nearby', visit: 'returning' }))).toBe('soon');
    expect(formatText(text, {}, reader({ visit: 'returning' }))).toBe('again');
    expect(formatText(text, {}, reader())).toBe('hello');
  });

  it('[V6] who cannot be known is neither first nor returning: otherwise is said', () => {
    const text = {
      c: [
        [[['visit', 'returning']], 'again'],
        [[['visit', 'first']], 'new'],
      ],
      o: 'hello',
    } as const;
    expect(formatText(text, {}, reader({ visit: 'unknown' }))).toBe('hello');
  });

  it('[D4] a case of an unknown kind never holds', () => {
    const text = { c: [[[['moon-phase', 'full']], 'howl']], o: 'hello' };
    expect(formatText(text as never, {}, reader())).toBe('hello');
  });

  it('[T6] the second text is said where a value is unknown', () => {
    const text = { o: compiled('Within {promise}.'), w: 'Somebody is nearby.' };
    expect(formatText(text, {}, reader())).toBe('Somebody is nearby.');
    expect(formatText(text, { promise: '5 min' }, reader())).toBe('Within \u20685 min\u2069.');
  });

  it('[T7] values lose control and direction characters, are cut to 60 characters as read, and stay isolated', () => {
    expect(isolated('Ru\u202ei\u0000')).toBe('\u2068Rui\u2069');
    expect(isolated('👩‍🚀'.repeat(80))).toBe(`\u2068${'👩‍🚀'.repeat(60)}\u2069`);
  });

  const OPENS = Date.UTC(2026, 10, 26, 1, 30); // Thursday 00:30 in the Azores, while it is Wednesday evening in the west
  const when = () => {
    const made = compileText('Back {openingTime}.', { openingTime: 'instant' });
    if (!made.ok) throw new Error('Expected the text to compile.');
    return made.value;
  };
  const on = (text: string) => Math.floor(Date.parse(text) / 86_400_000);

  it('[T8] a reader whose clock differs is told their own time, with the site’s and its place beside it', () => {
    const lisbon = { minutesEast: () => 0, today: on('2026-11-26') };
    expect(formatText(when(), { openingTime: OPENS }, reader({ locale: 'de', ...lisbon }))).toBe(
      'Back 01:30 (00:30, \u2068Azores\u2069).',
    );
    // West of the islands it is still the evening before: the day is the reader's.
    const boston = { minutesEast: () => -300, today: on('2026-11-24') };
    expect(formatText(when(), { openingTime: OPENS }, reader({ locale: 'de', ...boston }))).toBe(
      'Back morgen 20:30 (00:30, \u2068Azores\u2069).',
    );
    const until = compileText('{closingTime, time, short}', { closingTime: 'instant' });
    if (!until.ok) throw new Error('Expected the text to compile.');
    expect(formatText(until.value, { closingTime: OPENS }, reader({ locale: 'de', ...lisbon }))).toBe(
      '01:30 (00:30, \u2068Azores\u2069)',
    );
  });

  it('[T8] readers who share the site’s wall clock are told its times alone, whatever zone the program is in', () => {
    const summer = Date.UTC(2026, 6, 1, 20, 0);
    expect(formatText(when(), { openingTime: OPENS }, reader({ today: on('2026-11-26') }))).toMatch(
      /^Back 12:30\sAM\.$/u,
    );
    expect(
      formatText(when(), { openingTime: summer }, reader({ locale: 'pt', today: on('2026-07-01') })),
    ).toBe('Back 20:00.');
  });

  it('[T8] tomorrow is by the reader’s date: the same instant is today for one and tomorrow for another', () => {
    const said = (today: string, locale = 'pt') =>
      formatText(when(), { openingTime: OPENS }, reader({ locale, today: on(today) }));
    expect(said('2026-11-26')).toBe('Back 00:30.');
    expect(said('2026-11-25')).toBe('Back amanhã 00:30.');
    expect(said('2026-11-25', 'de')).toBe('Back morgen 00:30.');
    expect(said('2026-11-22')).toBe('Back quinta-feira 00:30.');
    expect(said('2026-11-10')).toBe('Back 26 de novembro 00:30.');
  });

  it('[T3] date and time in four styles, and a style that is none is refused', () => {
    const text = compileText('{openingTime, date, short} {openingTime, time, short}', {
      openingTime: 'instant',
    });
    if (!text.ok) throw new Error('Expected the text to compile.');
    expect(formatText(text.value, { openingTime: OPENS }, reader({ locale: 'de' }))).toBe('26.11.26 00:30');
    expect(compileText('{openingTime, date, EEEE}', { openingTime: 'instant' })).toMatchObject({
      ok: false,
      errors: { code: 'not-offered' },
    });
    expect(compileText('{openingTime, plural, other {x}}', { openingTime: 'instant' })).toMatchObject({
      ok: false,
      errors: { code: 'wrong-type' },
    });
  });

  it('[T4] team, language group and why it is closed are asked for in cases; all of a case must hold', () => {
    const text = {
      c: [
        [
          [
            ['team', 'schools'],
            ['language', 'pt'],
          ],
          'escolas',
        ],
        [[['closed-by', 'holiday']], 'holiday'],
      ],
      o: 'hello',
    } as const;
    expect(formatText(text, {}, reader({ team: 'schools', locale: 'pt-BR' }))).toBe('escolas');
    expect(formatText(text, {}, reader({ team: 'schools', locale: 'ptx' }))).toBe('hello');
    expect(formatText(text, {}, reader({ closedBy: 'holiday', state: 'closed' }))).toBe('holiday');
  });

  it('[T6] a value that is unknown inside of a choice is as unknown as outside of it', () => {
    const made = compileText('{count, plural, one {Within {promise}} other {#}}', {
      count: 'count',
      promise: 'text',
    });
    if (!made.ok) throw new Error('Expected the text to compile.');
    expect(formatText({ o: made.value, w: 'Soon' }, { count: 1 }, reader())).toBe('Soon');
  });
});
