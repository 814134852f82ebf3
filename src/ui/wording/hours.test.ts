import { describe, expect, it } from 'vitest';
import { hoursWords } from './hours';

const EVENINGS = { days: [0, 1, 2, 4, 6], intervals: [[1050, 1260]] as const, when: null };

describe('hoursWords', () => {
  it.each([
    ['en', 'Mon–Wed, Fri, Sun: 5:30 PM – 9:00 PM'],
    ['de', 'Mo–Mi, Fr und So: 17:30 – 21:00'],
    ['pt', 'seg.–qua., sex. e dom.: 17:30 – 21:00'],
    ['ar', 'الاثنين–الأربعاء، والجمعة، والأحد: 5:30 م – 9:00 م'],
  ])('[H18] one sentence in %s: runs of days, the reader’s clock', (locale, sentence) => {
    expect(plain(hoursWords(EVENINGS, locale))).toBe(sentence);
  });

  it('[H18] past midnight, all day, closed, and in a season only', () => {
    const said = (change: Partial<Parameters<typeof hoursWords>[0]>) =>
      plain(hoursWords({ ...EVENINGS, days: [5], ...change }, 'en'));
    expect(said({ intervals: [[1050, 1500]] })).toBe('Sat: 5:30 PM – 1:00 AM the next day');
    expect(said({ intervals: [[1050, 1440]] })).toBe('Sat: 5:30 PM – 12:00 AM');
    expect(said({ intervals: [[0, 1440]] })).toBe('Sat: all day');
    expect(said({ intervals: [], days: [5, 6] })).toBe('Sat, Sun: closed');
    expect(
      said({
        intervals: [
          [540, 720],
          [780, 1020],
        ],
        when: { from: 1101, to: 229 },
      }),
    ).toBe('Sat: 9:00 AM – 12:00 PM, 1:00 PM – 5:00 PM (Nov 1 – Feb 29)');
  });
});

/** The narrow spaces that Intl puts before AM and PM. */
function plain(text: string): string {
  return text.replace(/[\u202f\u00a0]/g, ' ');
}
