/** Languages the widget has our texts in, by their own names. */
export const LANGUAGES: Readonly<Record<string, string>> = {
  en: 'English',
  pt: 'Português',
  de: 'Deutsch',
  ar: 'العربية',
};

/** What a language is called by those who speak it; a tag that stands for none is said as it is. */
export function languageName(locale: string): string {
  return LANGUAGES[locale] ?? displayName(locale) ?? locale;
}

function displayName(locale: string): string | undefined {
  try {
    return new Intl.DisplayNames([locale, 'en'], { type: 'language' }).of(locale);
  } catch (error) {
    if (error instanceof RangeError) return undefined; // no language tag, though it looks like one
    throw error;
  }
}

/** Languages that can be offered to visitors; those without our texts begin with the site's default. */
export const OFFERED_LANGUAGES: readonly string[] = [
  ...Object.keys(LANGUAGES),
  ...[
    'bg',
    'ca',
    'cs',
    'da',
    'el',
    'es',
    'et',
    'fi',
    'fr',
    'ga',
    'he',
    'hr',
    'hu',
    'it',
    'lt',
    'lv',
    'nl',
    'no',
  ],
  ...['pl', 'pt-BR', 'ro', 'sk', 'sl', 'sv', 'tr', 'uk'],
];
