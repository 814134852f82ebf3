import type { Design, Widget } from '../model/design';
import type { Locale } from '../model/units';
import type { CaseKey } from '../model/text-keys';
import { OUR_TEXTS, isCaseKey } from './catalogue';

/**
 * The words of a widget for a key in a locale ([T2]): the owner's own in that locale, its base, ours in either, and
 * only then the site's default. Ours in the reader's language goes before an owner's text in another one.
 */
export function textOf(design: Design, widget: Widget, locale: Locale, key: CaseKey): string {
  const base = locale.split('-')[0] ?? locale;
  for (const one of [locale, base]) {
    const text = widget.texts[one]?.[key] ?? OUR_TEXTS[one]?.[key];
    if (text !== undefined) return text;
  }
  return (
    widget.texts[design.defaultLocale]?.[key] ??
    OUR_TEXTS[design.defaultLocale]?.[key] ??
    OUR_TEXTS['en']?.[key] ??
    ''
  );
}

/**
 * [T10] The second words of a text that promises an e-mail, for as long as none goes out; null: it promises none. Own words
 * of the owner's stay where they gave no second ones.
 */
export function noEmailKey(widget: Widget, locale: Locale, key: CaseKey): CaseKey | null {
  const second = `${key}/no-email`;
  if (!isCaseKey(second)) return null;
  const isOwn = (one: CaseKey): boolean =>
    isOwnText(widget, locale, one) || isOwnText(widget, locale.split('-')[0] ?? locale, one);
  return isOwn(second) || !isOwn(key) ? second : null;
}

/** Whether the words are the owner's own, not ours. */
export function isOwnText(widget: Widget, locale: Locale, key: CaseKey): boolean {
  return widget.texts[locale]?.[key] !== undefined;
}

/** Words an owner gave by locale ([T2]): exact, then base, then the site's default; empty where there are none. */
export function inLocale(
  texts: Readonly<Record<Locale, string>>,
  { defaultLocale }: Pick<Design, 'defaultLocale'>,
  locale: Locale,
): string {
  const base = locale.split('-')[0] ?? locale;
  return (
    [locale, base, defaultLocale]
      .map((one) => (Object.hasOwn(texts, one) ? texts[one] : undefined))
      .find((text) => text !== undefined && text !== '') ?? ''
  );
}
