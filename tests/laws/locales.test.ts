import { match } from '@formatjs/intl-localematcher';
import available from 'cldr-core/availableLocales.json';
import parents from 'cldr-core/supplemental/parentLocales.json';
import { describe, expect, it } from 'vitest';
import { localeTable } from '../../src/core/publish/locale-table';
import { chooseLocale } from '../../src/core/words/locale';
import { diceOf } from '../made/dice';

const SEED = 20_261_201;
const PAIRS = 10_000;
/** The site's default, which no wish leads to. */
const NOTHING = 'en-x-nothing';
/** Rundi and Kinyarwanda: the matcher's data of languages are one edition newer, and they are what differs. */
const OF_NEWER_DATA = ['rn', 'rw'];
const EVERY = available.availableLocales.full.filter(
  (locale) => !OF_NEWER_DATA.some((language) => locale.split('-')[0] === language),
);
/** Those that have neighbours: several regions, two scripts, languages that are read in place of another. */
const NEIGHBOURS = [
  ...['en', 'en-001', 'en-150', 'en-GB', 'en-US', 'en-AU', 'en-IN', 'en-AT', 'en-DE'],
  ...['es', 'es-419', 'es-MX', 'es-AR', 'es-ES', 'pt', 'pt-BR', 'pt-PT', 'pt-AO', 'fr', 'fr-CA', 'fr-HT'],
  ...['zh', 'zh-Hant', 'zh-TW', 'zh-CN', 'zh-HK', 'zh-MO', 'yue', 'sr', 'sr-Latn', 'sr-ME', 'uz', 'uz-Cyrl'],
  ...['no', 'nb', 'nn', 'da', 'de', 'de-AT', 'gsw', 'ar', 'ar-EG', 'apc', 'ca', 'gl', 'hr', 'bs', 'id', 'ms'],
];

describe('the locale of a visitor', () => {
  it('[T1] law: is of the language and script that the matcher finds, of its region where CLDR decides', () => {
    const dice = diceOf(SEED);
    let [served, decided] = [0, 0];
    for (let pair = 0; pair < PAIRS; pair++) {
      const anyLocale = (): string => dice.pick(dice.flip(0.3) ? EVERY : NEIGHBOURS);
      const wish = anyLocale();
      const offered = [...new Set(Array.from({ length: dice.int(1, 7) }, anyLocale))];
      const chosen = chooseLocale([wish], localeTable(offered, NOTHING), NOTHING);
      const theirs = match([wish], offered, NOTHING);
      expect(writtenIn(chosen), `${wish} of ${offered.join(' ')}`).toBe(writtenIn(theirs));
      served += chosen === NOTHING ? 0 : 1;
      const only = decidedByParents(wish, offered);
      if (only === null) continue;
      expect(chosen, `${wish} of ${offered.join(' ')}`).toBe(only);
      if (isCoarse(wish, offered) || match([wish], [...offered].reverse(), NOTHING) !== theirs) continue;
      decided++;
      expect(theirs, `${wish} of ${offered.join(' ')}`).toBe(only);
    }
    // The dice meet what is to be told apart.
    expect([served > PAIRS / 5, decided > PAIRS / 20]).toEqual([true, true]);
  });
});

/** The language and its script; Norwegian has two names. */
function writtenIn(locale: string): string {
  if (locale === NOTHING || locale === 'und') return NOTHING;
  const { language, script } = new Intl.Locale(locale).maximize();
  return `${language === 'nb' ? 'no' : language}-${script}`;
}

/** The matcher has no world's and no Europe's English; among the others it goes by the order where all are as far. */
function isCoarse(wish: string, offered: readonly string[]): boolean {
  return [wish, ...offered].includes('en-001') || ancestors(wish).includes('en-150');
}

/** The one offered locale of the wish's language and script that is, or shares, its nearest ancestor; null: none, or several. */
function decidedByParents(wish: string, offered: readonly string[]): string | null {
  const same = offered.filter((locale) => writtenIn(locale) === writtenIn(wish));
  for (const ancestor of ancestors(wish)) {
    const sharing = same.filter((locale) => ancestors(locale).includes(ancestor));
    const itself = sharing.filter((locale) => plain(locale) === ancestor);
    const nearest = itself.length > 0 ? itself : sharing;
    if (nearest.length > 0) return nearest.length === 1 ? (nearest[0] ?? null) : null;
  }
  return null;
}

/** A locale without what is likely anyway. */
function plain(locale: string): string {
  return new Intl.Locale(locale).maximize().minimize().baseName;
}

const PARENTS = new Map(
  Object.entries(parents.supplemental.parentLocales.parentLocale)
    .filter(([child, parent]) => writtenIn(child) === writtenIn(parent))
    .map(([child, parent]) => [plain(child), plain(parent)] as const)
    .filter(([child, parent]) => child !== parent),
);

/** A locale, then the parents that CLDR names. */
function ancestors(locale: string): string[] {
  const line = [plain(locale)];
  for (let next = PARENTS.get(plain(locale)); next !== undefined; next = PARENTS.get(next)) line.push(next);
  return line;
}
