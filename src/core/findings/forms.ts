import { FORMS } from '../model/form';
import type { Widget } from '../model/design';
import type { Field } from '../model/form';
import { OUR_TEXTS } from '../words/catalogue';
import { isOwnText, textOf } from '../words/texts-of';
import { type Finding, type FindingContext, finding } from './finding';

const PLACES = { before: 'at-the-door', note: 'nobody-home', after: 'goodbye' } as const;

/** Forms that cannot be filled in, or ask for less than was promised. */
export function formFindings({ design }: FindingContext): Finding[] {
  return design.widgets.flatMap((widget): Finding[] => {
    const { id: widgetId, name } = widget;
    const inForms = FORMS.flatMap((place) =>
      widget.forms[place].flatMap((field, index, all): Finding[] => [
        ...(field.isRequired && cannotBeSeen(field, all.slice(0, index))
          ? [
              finding('field-hidden-but-required', [widgetId, place, field.id], {
                widgetId,
                moment: PLACES[place],
                deadEnd: PLACES[place],
                values: { name, field: labelOf(field, widget, design.defaultLocale) },
              }),
            ]
          : []),
        ...(field.kind === 'consent' && (field.link ?? '') === ''
          ? [
              finding('consent-without-link', [widgetId, place, field.id], {
                widgetId,
                moment: PLACES[place],
                values: { name, field: labelOf(field, widget, design.defaultLocale) },
              }),
            ]
          : []),
      ]),
    );
    const asksMail = widget.forms.note.some(({ kind }) => kind === 'email');
    const promises = ['nobodyHome', 'noteLeft.got'] as const;
    const isPromised = promises.some(
      (key) =>
        !isOwnText(widget, design.defaultLocale, key) ||
        /mail/i.test(textOf(design, widget, design.defaultLocale, key)),
    );
    return asksMail || !isPromised
      ? inForms
      : [
          ...inForms,
          finding('mail-promised-no-mail-field', [widgetId], {
            widgetId,
            moment: 'nobody-home',
            deadEnd: 'note-left',
            values: { name },
          }),
        ];
  });
}

/** Needed, and never before the visitor's eyes: filled in by the page, or shown by a reply that cannot be given. */
function cannotBeSeen({ kind, shownIf }: Field, before: readonly Field[]): boolean {
  if (kind === 'hidden') return true;
  if (shownIf === null) return false;
  const asked = before.find(({ id }) => id === shownIf.field);
  if (asked === undefined || asked.kind === 'hidden') return true;
  if (asked.kind === 'choice' || asked.kind === 'choices')
    return !asked.options.some(({ value }) => value === shownIf.is);
  return (asked.kind === 'yes-no' || asked.kind === 'consent') && !['yes', 'no'].includes(shownIf.is);
}

function labelOf({ id, label, own }: Field, widget: Widget, locale: string): string {
  if (own !== null) return own.label[locale] ?? Object.values(own.label)[0] ?? id;
  return label === null
    ? id
    : (widget.texts[locale]?.[label] ?? OUR_TEXTS[locale]?.[label] ?? OUR_TEXTS['en']?.[label] ?? id);
}
