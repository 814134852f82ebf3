import { FORMS } from '../model/form';
import type { Design, Widget } from '../model/design';
import type { Field } from '../model/form';
import { OUR_TEXTS } from '../words/catalogue';
import { isOwnText, noEmailKey, textOf } from '../words/texts-of';
import { type Finding, type FindingContext, finding } from './finding';

const PLACES = { before: 'at-the-door', note: 'nobody-home', after: 'goodbye' } as const;

/** Forms that cannot be filled in, or ask for less than was promised. */
export function formFindings({ design, facts }: FindingContext): Finding[] {
  const sendsLetters = facts?.sendsLetters === true;
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
    const promises = (sendsLetters ? PROMISES : [...PROMISES, ...OFFERS]).filter((key) =>
      isMailPromised(design, widget, key, sendsLetters),
    );
    if (promises.length === 0 || (asksMail && sendsLetters)) return inForms;
    return [
      ...inForms,
      finding(sendsLetters ? 'mail-promised-no-mail-field' : 'mail-promised-none-sent', [widgetId], {
        widgetId,
        moment: 'nobody-home',
        deadEnd: sendsLetters ? 'note-left' : null,
        values: { name },
      }),
    ];
  });
}

const PROMISES = ['nobodyHome', 'noteLeft.got'] as const;
/** Said where an address is asked for in the same breath: they promise nothing wrong once e-mail is sent. */
const OFFERS = ['slowReply.offer', 'slowReply.yes', 'slowReply.done'] as const;

/** Our words promise an e-mail only where one is sent ([T10]); an owner's own may do so at any time. */
function isMailPromised(
  design: Design,
  widget: Widget,
  key: (typeof PROMISES)[number] | (typeof OFFERS)[number],
  sendsLetters: boolean,
): boolean {
  const locale = design.defaultLocale;
  const said = sendsLetters ? key : (noEmailKey(widget, locale, key) ?? key);
  if (!isOwnText(widget, locale, said)) return sendsLetters;
  return /mail/i.test(textOf(design, widget, locale, said));
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
