import type { Locale } from '../model/units';

/**
 * [T1] The offered locale for an ordered list of wishes: each looked up as RFC 4647 says (exact, then shorter), then
 * any offered locale of the same language in the site's order; else the site's default.
 */
export function chooseLocale(
  preferredLocales: readonly string[],
  offered: readonly Locale[],
  siteDefault: Locale,
): Locale {
  for (const preferred of preferredLocales) {
    const found = lookUp(preferred.toLowerCase(), offered);
    if (found !== undefined) return found;
  }
  return siteDefault;
}

function lookUp(preferred: string, offered: readonly Locale[]): Locale | undefined {
  const subtags = preferred.split('-');
  for (let count = subtags.length; count > 0; count--) {
    if (subtags[count - 1]?.length === 1) continue;
    const range = subtags.slice(0, count).join('-');
    const exact = offered.find((locale) => locale.toLowerCase() === range);
    if (exact !== undefined) return exact;
  }
  return offered.find((locale) => locale.toLowerCase().split('-')[0] === subtags[0]);
}
