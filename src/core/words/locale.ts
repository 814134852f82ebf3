import type { Locale } from '../model/units';

/**
 * [T1] The offered locale for an ordered list of wishes: each looked up as RFC 4647 says (exact, then shorter) among
 * those of its script, then any offered locale of the same language, of its script first, in the site's order; else the
 * site's default. `pt_BR` is read as `pt-BR`.
 */
export function chooseLocale(
  preferredLocales: readonly string[],
  offered: readonly Locale[],
  siteDefault: Locale,
): Locale {
  for (const preferred of preferredLocales) {
    const found = lookUp(preferred.toLowerCase().replace(/_/g, '-'), offered);
    if (found !== undefined) return found;
  }
  return siteDefault;
}

function lookUp(preferred: string, offered: readonly Locale[]): Locale | undefined {
  const subtags = preferred.split('-');
  const script = scriptOf(preferred);
  // A language may be written in two scripts, and few read both: Chinese is written otherwise in Hong Kong than in Beijing.
  const readable = offered.filter((locale) => scriptOf(locale) === script);
  for (let count = subtags.length; count > 0; count--) {
    if (subtags[count - 1]?.length === 1) continue;
    const range = subtags.slice(0, count).join('-');
    const exact = readable.find((locale) => locale.toLowerCase() === range);
    if (exact !== undefined) return exact;
  }
  return [...readable, ...offered].find((locale) => locale.toLowerCase().split('-')[0] === subtags[0]);
}

/** The script that a locale is most likely written in, by CLDR; undefined where it is no locale. */
function scriptOf(tag: string): string | undefined {
  try {
    return new Intl.Locale(tag).maximize().script;
  } catch {
    return undefined; // no well-formed tag
  }
}
