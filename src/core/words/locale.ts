import type { Locale } from '../model/units';
import type { LocaleTable } from '../wire/pointer';

/**
 * [T1] The offered locale for an ordered list of wishes: the first wish whose language is offered in its script decides,
 * then the first whose readers read an offered language, too; else it is the site's default. `pt_BR` is read as `pt-BR`.
 */
export function chooseLocale(
  preferredLocales: readonly string[],
  { own, related }: LocaleTable,
  siteDefault: Locale,
): Locale {
  const tags = preferredLocales.flatMap(tagsOf);
  for (const served of [own, related])
    for (const tag of tags) {
      const found = served[tag];
      if (found !== undefined) return found;
    }
  return siteDefault;
}

/** A wish as it is written, with its likely script and region, and without the region; nothing where it is no locale. */
function tagsOf(preferred: string): string[] {
  try {
    const wish = new Intl.Locale(preferred.replace(/\..*/, '').replaceAll('_', '-'));
    const likely = wish.maximize();
    // Without a language every locale would be as likely.
    return /^und/.test(wish.baseName)
      ? []
      : [wish.baseName, likely.baseName, `${likely.language}-${likely.script ?? 'Latn'}`];
  } catch {
    return []; // no well-formed tag
  }
}
