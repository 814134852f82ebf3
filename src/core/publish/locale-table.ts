import type { Locale } from '../model/units';
import type { LocaleTable } from '../wire/pointer';
import {
  READABLE,
  fullTag,
  lineage,
  regionOf,
  relatedRegions,
  whereSpoken,
  writtenLanguage,
} from './languages';

interface Offer {
  readonly locale: Locale;
  readonly tag: string;
  readonly line: readonly string[];
}

/**
 * [T1] Which wishes each offered locale serves. A wish goes to the offered locale of its written language whose region is
 * the nearest by CLDR's parent locales, the first one of several as near. A language that is not offered goes to the one
 * its readers are the likeliest to read, by CLDR's language matching. What goes to the site's default anyway is left out.
 */
export function localeTable(offered: readonly Locale[], siteDefault: Locale): LocaleTable {
  const offers = offered.filter(isWellFormed).map(offerOf);
  const byLanguage = new Map<string, readonly Offer[]>();
  for (const offer of offers) {
    const written = writtenLanguage(offer.tag);
    byLanguage.set(written, [...(byLanguage.get(written) ?? []), offer]);
  }
  const own = [...byLanguage].flatMap(([written, same]) => regionsServed(written, same));
  const related: Served[] = [];
  for (const [wished, readable] of READABLE) {
    if (byLanguage.has(wished)) continue;
    const [best] = [...byLanguage]
      .map(([written, same]) => ({ written, same, distance: readable.get(written) ?? Infinity }))
      .filter(({ distance }) => distance < Infinity)
      .sort((a, b) => a.distance - b.distance);
    if (best === undefined) continue;
    const locale = nearest(`${best.written}-${regionOf(whereSpoken(wished))}`, best.same);
    if (best.distance <= SCRIPT_ONLY) own.push([locale, wished]);
    else if (locale !== siteDefault) related.push([locale, wished]);
  }
  return { own: byWish(own), related: byWish(related) };
}

/** What is no language tag, though it looks like one, cannot be wished for either. */
function isWellFormed(locale: Locale): boolean {
  try {
    return new Intl.Locale(locale).language !== '';
  } catch {
    return false; // it is refused by its constructor
  }
}

function offerOf(locale: Locale): Offer {
  const tag = fullTag(locale);
  return { locale, tag, line: lineage(tag) };
}

type Served = readonly [locale: Locale, wish: string];

/** Two scripts of one language that every reader of it knows, as in Serbia. */
const SCRIPT_ONLY = 5;

/** Who is served within one written language: the language as such, and every region that has something nearer. */
function regionsServed(written: string, same: readonly Offer[]): Served[] {
  const usual = nearest(whereSpoken(written), same);
  const served: Served[] = [[usual, written]];
  // Of two names for the same (`ar` and `ar-EG`) each serves who asks for it by that name.
  for (const { locale, tag } of same)
    if (same.some((other) => other.locale !== locale && other.tag === tag))
      served.push([locale, new Intl.Locale(locale).baseName]);
  if (same.length === 1) return served;
  for (const region of new Set([...relatedRegions(written), ...same.map(({ tag }) => regionOf(tag))])) {
    const locale = nearest(`${written}-${region}`, same);
    if (locale !== usual) served.push([locale, `${written}-${region}`]);
  }
  return served;
}

/** The offered locale whose texts are meant for the nearest region. */
function nearest(tag: string, same: readonly Offer[]): Locale {
  for (const ancestor of lineage(tag)) {
    const [best] = same
      .map(({ locale, line }) => ({ locale, steps: line.indexOf(ancestor) }))
      .filter(({ steps }) => steps >= 0)
      .sort((a, b) => a.steps - b.steps);
    if (best !== undefined) return best.locale;
  }
  throw new Error(`Expected a locale of the language of ${tag} among the offered ones.`);
}

function byWish(served: readonly Served[]): Record<string, Locale> {
  return Object.fromEntries(served.flatMap(([locale, wish]) => namesOf(wish).map((name) => [name, locale])));
}

/** Norwegian is asked for by two names. */
function namesOf(wish: string): readonly string[] {
  return wish.startsWith('no-') ? [wish, wish.replace('no-', 'nb-')] : [wish];
}
