import { parseDay } from '../hours/days';
import { LIMITS } from '../limits';
import type { FieldKind, Replies } from '../model/form';
import type { WireField } from '../wire/form-file';
import { isMailShaped } from './mail';

/** What is wrong with a reply: a text of the catalogue, said at its field. */
export interface ReplyFault {
  readonly say: FormText;
  /** Of a bound: signs, a number, or days since 1970. */
  readonly bound?: number;
}
export type FormText =
  | 'note.noText'
  | 'note.noEmail'
  | 'note.badEmail'
  | 'form.missing'
  | 'form.consent'
  | 'form.tooShort'
  | 'form.tooLong'
  | 'form.notPhone'
  | 'form.notNumber'
  | 'form.tooSmall'
  | 'form.tooLarge'
  | 'form.notDate'
  | 'form.tooEarly'
  | 'form.tooLate'
  | 'form.notOffered'
  | 'form.tooFew'
  | 'form.tooMany';

export interface CheckedReplies {
  /** Only of fields that are shown, in one spelling: trimmed, without what was left empty. */
  readonly replies: Replies;
  readonly faults: Readonly<Record<string, ReplyFault>>;
}

/**
 * Holds replies against a form: the same in the widget and on the server, with the same messages. What
 * belongs to no field, or to one that is not shown, is left out. `teams` are the ids a *team choice* may name.
 */
export function checkReplies(
  fields: readonly WireField[],
  given: Replies,
  teams: readonly string[],
): CheckedReplies {
  const replies: Record<string, string | readonly string[]> = {};
  const faults: Record<string, ReplyFault> = {};
  for (const field of fields) {
    if (!isShown(field, replies)) continue;
    const reply = tidied(field, Object.hasOwn(given, field.id) ? given[field.id] : undefined);
    const fault = faultOf(field, reply, teams);
    if (fault !== null) faults[field.id] = fault;
    else if (reply.length > 0) replies[field.id] = reply;
  }
  return { replies, faults };
}

/** Whether a field is shown, by the replies to those before it. */
export function isShown({ shownIf }: WireField, replies: Replies): boolean {
  if (shownIf === undefined) return true;
  const [id, is] = shownIf;
  const reply = Object.hasOwn(replies, id) ? replies[id] : undefined;
  return typeof reply === 'string' ? reply === is : reply !== undefined && reply.includes(is);
}

function tidied({ kind }: WireField, given: unknown): string | readonly string[] {
  if (kind === 'choices')
    return Array.isArray(given)
      ? [...new Set(given.filter((one): one is string => typeof one === 'string'))]
      : [];
  const text = typeof given === 'string' ? given.trim() : '';
  if (kind === 'consent') return text === 'yes' ? text : '';
  if (kind === 'yes-no') return text === 'yes' || text === 'no' ? text : '';
  return text;
}

function faultOf(
  field: WireField,
  reply: string | readonly string[],
  teams: readonly string[],
): ReplyFault | null {
  if (reply.length === 0) return field.isRequired ? { say: MISSING[field.kind] ?? 'form.missing' } : null;
  if (typeof reply !== 'string') return choicesFault(field, reply);
  if (reply.length > LIMITS.messageChars) return { say: 'form.tooLong', bound: LIMITS.messageChars };
  const judge = Object.hasOwn(FAULTS, field.kind) ? FAULTS[field.kind] : faultOfText;
  return judge(reply, field, teams);
}

type FaultOf = (reply: string, field: WireField, teams: readonly string[]) => ReplyFault | null;

/** What is wrong with a reply, by the kind of its field; a kind that a later program knows is judged as a text ([D4]). */
const FAULTS: { readonly [K in FieldKind]: FaultOf } = {
  short: faultOfText,
  long: faultOfText,
  hidden: faultOfText,
  email: (reply) => (isMailShaped(reply) ? null : { say: 'note.badEmail' }),
  phone: (reply) => (isPhoneShaped(reply) ? null : { say: 'form.notPhone' }),
  number: (reply, field) =>
    NUMBER.test(reply)
      ? boundFault(field, Number(reply.replace(',', '.')), 'form.tooSmall', 'form.tooLarge')
      : { say: 'form.notNumber' },
  date: (reply, field) => {
    const day = parseDay(reply);
    return day === null ? { say: 'form.notDate' } : boundFault(field, day, 'form.tooEarly', 'form.tooLate');
  },
  choice: (reply, field) => (isOffered(field, reply) ? null : { say: 'form.notOffered' }),
  choices: () => null, // a list, judged above
  team: (reply, _field, teams) => (teams.includes(reply) ? null : { say: 'form.notOffered' }),
  'yes-no': () => null,
  consent: () => null,
};

function faultOfText(reply: string, field: WireField): ReplyFault | null {
  return boundFault(field, reply.length, 'form.tooShort', 'form.tooLong');
}

const MISSING: Partial<Record<WireField['kind'], FormText>> = {
  long: 'note.noText',
  email: 'note.noEmail',
  consent: 'form.consent',
};
const NUMBER = /^-?\d{1,15}([.,]\d{1,10})?$/;

/** Seven to twenty digits, with the signs people put between them. */
function isPhoneShaped(text: string): boolean {
  const digits = text.replace(/[^0-9]/g, '').length;
  return /^\+?[0-9 ()./-]+$/.test(text) && digits >= 7 && digits <= 20;
}

function isOffered({ options = [] }: WireField, value: string): boolean {
  return options.some(([offered]) => offered === value);
}

function choicesFault(field: WireField, reply: readonly string[]): ReplyFault | null {
  if (!reply.every((one) => isOffered(field, one))) return { say: 'form.notOffered' };
  return boundFault(field, reply.length, 'form.tooFew', 'form.tooMany');
}

function boundFault(
  { least, most }: WireField,
  size: number,
  small: FormText,
  large: FormText,
): ReplyFault | null {
  if (least !== undefined && size < least) return { say: small, bound: least };
  return most !== undefined && size > most ? { say: large, bound: most } : null;
}
