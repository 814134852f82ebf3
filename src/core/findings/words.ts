import { FORMS } from '../model/form';
import type { Design, Widget } from '../model/design';
import type { Locale } from '../model/units';
import { unreadCases } from '../words/cases';
import { OUR_TEXTS } from '../words/catalogue';
import { type Finding, type FindingContext, finding } from './finding';

/** Words that a language lacks, and words that no circumstance can show. */
export function wordFindings({ design }: FindingContext): Finding[] {
  const missing = design.locales
    .filter((locale) => locale !== design.defaultLocale)
    .flatMap((locale): Finding[] => {
      const { count, ofConsent } = missingIn(design, locale);
      if (count === 0) return [];
      return [
        finding('translation-missing', [locale], {
          level: ofConsent > 0 ? 'must-fix' : 'suggestion',
          values: { locale, count },
        }),
      ];
    });
  const unreachable = design.widgets.flatMap((widget) =>
    unreadCases(design, widget).map(({ id, texts }) =>
      finding('case-unreachable', [widget.id, id], {
        widgetId: widget.id,
        values: { name: widget.name, text: Object.values(texts)[0] ?? '' },
      }),
    ),
  );
  return [...missing, ...unreachable];
}

/** Texts that a locale has to borrow from the default language, as neither the owner nor we have worded them ([T2]). */
function missingIn(design: Design, locale: Locale): { readonly count: number; readonly ofConsent: number } {
  const { defaultLocale } = design;
  const base = locale.split('-')[0] ?? locale;
  const hasOurs = OUR_TEXTS[locale] !== undefined || OUR_TEXTS[base] !== undefined;
  const unmet = (texts: Readonly<Record<Locale, string>>): boolean =>
    (texts[defaultLocale] ?? '') !== '' && (texts[locale] ?? '') === '' && (texts[base] ?? '') === '';
  const ofWidget = (widget: Widget): { all: boolean[]; consent: boolean[] } => {
    const fields = FORMS.flatMap((place) => widget.forms[place]).filter(({ own }) => own !== null);
    const labels = fields.map(({ own, kind }) => ({ kind, isMissing: unmet(own?.label ?? {}) }));
    const options = FORMS.flatMap((place) => widget.forms[place]).flatMap((field) =>
      field.options.map(({ label }) => unmet(label)),
    );
    const own = hasOurs ? [] : Object.keys(widget.texts[defaultLocale] ?? {});
    const said = own.map(
      (key) => (widget.texts[locale] as Readonly<Record<string, string>> | undefined)?.[key] === undefined,
    );
    return {
      all: [
        ...labels.map(({ isMissing }) => isMissing),
        ...options,
        ...said,
        ...widget.invitations
          .filter(({ isOn, defaultText }) => isOn && (defaultText === null || !hasOurs))
          .map(({ texts }) => unmet(texts)),
        ...widget.cases.map(({ texts }) => unmet(texts)),
      ],
      consent: labels.filter(({ kind }) => kind === 'consent').map(({ isMissing }) => isMissing),
    };
  };
  const each = design.widgets.map(ofWidget);
  const count = (pick: 'all' | 'consent'): number => each.flatMap((one) => one[pick]).filter(Boolean).length;
  return { count: count('all'), ofConsent: count('consent') };
}
