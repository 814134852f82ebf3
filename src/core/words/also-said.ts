import type { FieldKind } from '../model/form';
import type { Widget } from '../model/design';
import type { DrawnMoment } from '../model/moment';
import type { TextKey } from '../model/text-keys';

/** Texts of a moment that do not stand there from the beginning: what comes later, what is read out, what goes wrong. */
const LATER: Readonly<Record<DrawnMoment, readonly TextKey[]>> = {
  'passing-by': ['launcher.name', 'launcher.unread'],
  invited: ['launcher.name'],
  'at-the-door': [
    'status.until',
    'input.left',
    'input.tooLong',
    'input.refused',
    'window.close',
    'window.messages',
    'window.earlier',
    'talking.you',
  ],
  waiting: [
    'waiting.comfort',
    'waiting.place',
    'waiting.closing',
    'talking.sending',
    'input.notSent',
    'talking.lost',
  ],
  talking: ['talking.sending', 'input.notSent', 'talking.lost'],
  goodbye: [
    'goodbye.byVisitor',
    'goodbye.byResponder',
    'goodbye.bySilence',
    'noteLeft.forgetAsk',
    'noteLeft.forgetNo',
  ],
  'nobody-home': ['nobodyHome.kept'],
  'slow-reply': ['talking.stepped', 'slowReply.done', 'note.noEmail', 'note.badEmail'],
  'note-left': ['noteLeft.forgetAsk', 'noteLeft.forgetNo', 'form.notSent'],
};

const FAULTS: Readonly<Partial<Record<FieldKind, readonly TextKey[]>>> = {
  short: ['form.tooShort', 'form.tooLong'],
  long: ['form.tooShort', 'form.tooLong'],
  email: ['note.badEmail'],
  phone: ['form.notPhone'],
  number: ['form.notNumber', 'form.tooSmall', 'form.tooLarge'],
  date: ['form.notDate', 'form.tooEarly', 'form.tooLate'],
  choice: ['form.choose', 'form.notOffered'],
  choices: ['form.tooFew', 'form.tooMany', 'form.notOffered'],
  'yes-no': ['form.yes', 'form.no'],
  team: ['form.choose', 'form.notOffered'],
};
const PLACES = { 'at-the-door': 'before', 'nobody-home': 'note', goodbye: 'after' } as const;

/** What is said at a moment besides what stands there at first, with what its form says of a field that is not filled in well. */
export function alsoSaidAt(moment: DrawnMoment, { forms }: Pick<Widget, 'forms'>): TextKey[] {
  const place =
    moment === 'at-the-door' || moment === 'nobody-home' || moment === 'goodbye' ? PLACES[moment] : null;
  const fields = place === null ? [] : forms[place];
  const faults = fields.flatMap(({ kind, isRequired }): readonly TextKey[] => [
    ...(FAULTS[kind] ?? []),
    ...(isRequired ? [MISSING[kind] ?? 'form.missing'] : []),
  ]);
  const sent: readonly TextKey[] = place === 'after' ? ['form.thanks', 'form.notSent'] : ['form.notSent'];
  return [...new Set([...LATER[moment], ...faults, ...(fields.length === 0 ? [] : sent)])];
}

const MISSING: Readonly<Partial<Record<FieldKind, TextKey>>> = {
  long: 'note.noText',
  email: 'note.noEmail',
  consent: 'form.consent',
};
