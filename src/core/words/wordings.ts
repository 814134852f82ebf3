import type { Patch } from '../model/json';
import { LIMITS } from '../limits';
import type { Design, OwnCase, Widget } from '../model/design';
import type { Invitation } from '../model/invitation';
import type { Locale } from '../model/units';
import type { CaseKey } from '../model/text-keys';
import { type CatalogueEntry, entryOf, isCaseKey, textKeyOf } from './catalogue';
import type { TextKey } from '../model/text-keys';
import { type TextFault, compileText, unknownsOf } from './compile';
import { type Reader, type Values, holds, isSayable } from './format-text';
import { inLocale, isOwnText, noEmailKey, textOf } from './texts-of';

/**
 * Names one wording of a widget: a text of ours in one of its cases, a case of the owner's own (`case:<id>`, and
 * `case:<id>/without` where a value is unknown), or an invitation.
 */
export type WordingKey = CaseKey | OwnCaseKey | InvitationKey;
export type OwnCaseKey = `case:${string}`;
export type InvitationKey = `invitation:${string}`;

const WITHOUT = '/without';

/** The own case that a key names; undefined: it names none. */
export function ownCaseOf(widget: Widget, key: WordingKey): OwnCase | undefined {
  if (!key.startsWith('case:')) return undefined;
  const id = key.slice('case:'.length).replace(/\/without$/, '');
  return widget.cases.find((one) => one.id === id);
}

/** The invitation that a key names; undefined: it names none. Ours are texts too, and named by the invitation that says them. */
export function invitationOf(widget: Widget, key: WordingKey): Invitation | undefined {
  return isCaseKey(key) || !key.startsWith('invitation:')
    ? undefined
    : widget.invitations.find(({ id }) => key === `invitation:${id}`);
}

/** The words of a wording in a locale, as its reader gets them ([T2]); empty: there are none. */
export function wordingOf(design: Design, widget: Widget, locale: Locale, key: WordingKey): string {
  if (isCaseKey(key)) return textOf(design, widget, locale, key);
  const own = ownCaseOf(widget, key);
  if (own !== undefined) return inLocale(key.endsWith(WITHOUT) ? own.without : own.texts, design, locale);
  const invitation = invitationOf(widget, key);
  if (invitation === undefined) return '';
  const words = inLocale(invitation.texts, design, locale);
  return words === '' && invitation.defaultText !== null
    ? textOf(design, widget, locale, invitation.defaultText)
    : words;
}

/** Whether there are own words in a locale that can give way to ours. */
export function hasOursBeneath(widget: Widget, locale: Locale, key: WordingKey): boolean {
  if (isCaseKey(key)) return isOwnText(widget, locale, key);
  const invitation = invitationOf(widget, key);
  return (
    invitation !== undefined && invitation.defaultText !== null && Object.hasOwn(invitation.texts, locale)
  );
}

/** The text of the catalogue that a wording is of: its moment, variables and bound come with it. */
export function textOfWording(widget: Widget, key: WordingKey): TextKey {
  if (isCaseKey(key)) return textKeyOf(key);
  return ownCaseOf(widget, key)?.key ?? 'invitation.stayed';
}

/** How long a wording may be, and which values it may use. */
export function boundsOf(widget: Widget, key: WordingKey): Pick<CatalogueEntry, 'atMost' | 'variables'> {
  const { atMost, variables } = entryOf(textOfWording(widget, key));
  return { atMost: invitationOf(widget, key) === undefined ? atMost : LIMITS.invitationChars, variables };
}

/** The wording that is said now: the first case that holds, and its second words where it uses a value that is unknown ([T4], [T6]). */
export function pickedWording(
  design: Design,
  widget: Widget,
  key: TextKey,
  reader: Reader,
  values: Values,
): WordingKey {
  const own = widget.cases.find(
    (one) => one.key === key && one.when.every((condition) => holds(condition, reader)),
  );
  const ours = entryOf(key).cases.find(({ when }) => when.every((condition) => holds(condition, reader)));
  const said = (ours === undefined ? key : `${key}#${ours.id}`) as CaseKey;
  const unsent = reader.sendsLetters ? null : noEmailKey(widget, reader.locale, said);
  const full: WordingKey = own === undefined ? (unsent ?? said) : `case:${own.id}`;
  const without = secondOf(full);
  if (wordingOf(design, widget, reader.locale, without) === '') return full;
  const compiled = compileText(wordingOf(design, widget, reader.locale, full), entryOf(key).variables);
  return compiled.ok && !isSayable(compiled.value, { siteName: design.siteName, ...values }) ? without : full;
}

/** What is wrong with new words, as `publish` would tell it. */
export type WordingFault = Omit<TextFault, 'code'> & { readonly code: TextFault['code'] | 'empty-text' };

/** Why new words for a wording cannot be published ([T3], [T5], [T6]); null: they can. Nothing else is to be stored. */
export function wordingFault(
  design: Design,
  widget: Widget,
  locale: Locale,
  key: WordingKey,
  text: string,
): WordingFault | null {
  const compiled = compileText(text, boundsOf(widget, key).variables);
  if (!compiled.ok) return compiled.errors;
  const invitation = invitationOf(widget, key);
  if (
    text === '' &&
    invitation !== undefined &&
    invitation.defaultText === null &&
    invitation.approach !== 'stir'
  )
    return { code: 'empty-text', at: 0, name: '' };
  // Second words of an own case that are empty are none: then the first ones may need none either.
  const emptied = key.endsWith(WITHOUT) && text === '' ? ownCaseOf(widget, key) : undefined;
  const [unknown] =
    emptied === undefined
      ? unknownsOf(compiled.value)
      : unknownsIn(inLocale(emptied.texts, design, locale), emptied.key);
  if (unknown === undefined) return null;
  const hasSecond = !key.endsWith(WITHOUT) && wordingOf(design, widget, locale, secondOf(key)) !== '';
  return hasSecond ? null : { code: 'needs-without', at: 0, name: unknown };
}

function unknownsIn(text: string, key: TextKey): string[] {
  const compiled = compileText(text, entryOf(key).variables);
  return compiled.ok ? unknownsOf(compiled.value) : [];
}

/** The second words of a wording, said where a value is unknown; a name that stands for nothing where it has none. */
function secondOf(key: WordingKey): WordingKey {
  return `${key}${WITHOUT}` as WordingKey;
}

/** Changes the words of a wording in a locale; null: ours again. Empty where the wording is not there. */
export function wordingPatches(
  design: Design,
  place: number,
  locale: Locale,
  key: WordingKey,
  text: string | null,
): Patch[] {
  const widget = design.widgets[place];
  if (widget === undefined) return [];
  const at = ['widgets', place] as const;
  const put = (path: (string | number)[]): Patch[] => [
    text === null ? { op: 'remove', path } : { op: 'set', path, value: text },
  ];
  if (isCaseKey(key)) {
    if (widget.texts[locale] !== undefined) return put([...at, 'texts', locale, key]);
    return text === null ? [] : [{ op: 'set', path: [...at, 'texts', locale], value: { [key]: text } }];
  }
  const own = ownCaseOf(widget, key);
  if (own !== undefined)
    return put([
      ...at,
      'cases',
      widget.cases.indexOf(own),
      key.endsWith(WITHOUT) ? 'without' : 'texts',
      locale,
    ]);
  const invitation = invitationOf(widget, key);
  return invitation === undefined
    ? []
    : put([...at, 'invitations', widget.invitations.indexOf(invitation), 'texts', locale]);
}
