import available from 'cldr-core/availableLocales.json';
import matching from 'cldr-core/supplemental/languageMatching.json';
import parents from 'cldr-core/supplemental/parentLocales.json';

/**
 * What Unicode's CLDR 48 knows of languages, regions and readers. A *written language* is a language and its script
 * (`zh-Hant`), a *full tag* has the region as well (`zh-Hant-TW`); both in the letter case of `Intl.Locale`.
 */

/** The full tag of a locale, with its likely script and region. Bokmål (`nb`) counts as Norwegian (`no`). */
export function fullTag(locale: string): string {
  const { language, script, region } = new Intl.Locale(locale).maximize();
  return [language === 'nb' ? 'no' : language, script ?? 'Latn', region ?? '001'].join('-');
}

/** The written language of a full tag. */
export function writtenLanguage(tag: string): string {
  return tag.split('-', 2).join('-');
}

export function regionOf(tag: string): string {
  return tag.split('-')[2] ?? '';
}

/** Parents within one written language, by full tag. */
const PARENTS: ReadonlyMap<string, string> = new Map(
  Object.entries(parents.supplemental.parentLocales.parentLocale)
    .filter(([, parent]) => parent !== 'und')
    .map(([child, parent]) => [fullTag(child), fullTag(parent)] as const)
    .filter(([child, parent]) => child !== parent && writtenLanguage(child) === writtenLanguage(parent)),
);

/** The written languages that CLDR has locales of, each where it is mostly spoken. */
const WRITTEN_LANGUAGES: ReadonlyMap<string, string> = new Map(
  [...new Set(available.availableLocales.full.map((locale) => writtenLanguage(fullTag(locale))))].map(
    (written) => [written, fullTag(written)],
  ),
);

/** The full tag of a written language where it is mostly spoken. */
export function whereSpoken(written: string): string {
  return WRITTEN_LANGUAGES.get(written) ?? fullTag(written);
}

/** Whose texts a full tag falls back to, by CLDR, nearest first: itself, its parents, the language where it is mostly spoken. */
export function lineage(tag: string): readonly string[] {
  const line = [tag];
  for (let next = PARENTS.get(tag); next !== undefined; next = PARENTS.get(next)) line.push(next);
  const root = whereSpoken(writtenLanguage(tag));
  return line.includes(root) ? line : [...line, root];
}

/** The regions of a written language that CLDR names as a child or as a parent. */
export function relatedRegions(written: string): readonly string[] {
  return [...PARENTS]
    .flat()
    .filter((tag) => writtenLanguage(tag) === written)
    .map(regionOf);
}

/** Distances of languages (`ca>es`) and of written languages (`sr-Latn>sr-Cyrl`), from what is wished to what is read instead. */
const DISTANCES: ReadonlyMap<string, number> = new Map(
  matching.supplemental.languageMatching['written-new'].languageMatch.flatMap((match) => {
    const [wished, read, distance] = [match._desired, match._supported, Number(match._distance)];
    const there = [`${wished}>${read}`, distance] as const;
    return '_oneway' in match ? [there] : [there, [`${read}>${wished}`, distance] as const];
  }),
);

/** From here on a language is not read in place of another. */
const UNREADABLE = 50;

/** By written language: the others that its readers are likely to read, too, from 1 (nearly the same) upwards. */
export const READABLE: ReadonlyMap<string, ReadonlyMap<string, number>> = readable();

function readable(): Map<string, Map<string, number>> {
  const scripts = new Map<string, string[]>();
  for (const written of WRITTEN_LANGUAGES.keys()) {
    const [language = '', script = ''] = written.split('-');
    scripts.set(language, [...(scripts.get(language) ?? []), script]);
  }
  const within = [...scripts.keys()].map((language) => [`${language}>${language}`, 0] as const);
  const found = new Map<string, Map<string, number>>();
  for (const [pair, ofLanguage] of [...within, ...DISTANCES]) {
    const [wished = '', read = ''] = pair.split('>');
    for (const wishedScript of scripts.get(wished) ?? [])
      for (const readScript of scripts.get(read) ?? []) {
        const [from, to] = [`${wished}-${wishedScript}`, `${read}-${readScript}`];
        const ofScript = wishedScript === readScript ? 0 : (DISTANCES.get(`${from}>${to}`) ?? UNREADABLE);
        const distance = ofLanguage + ofScript;
        if (from !== to && distance < UNREADABLE) found.set(from, new Map(found.get(from)).set(to, distance));
      }
  }
  return found;
}
