/** Languages the widget has our texts in, by their own names. */
export const LANGUAGES: Readonly<Record<string, string>> = {
  en: 'English',
  pt: 'Português',
  de: 'Deutsch',
  ar: 'العربية',
};
