import type { CaseCondition, Message, Piece, WireText } from '../wire/design-file';
import type { WidgetState } from '../model/moment';

/** What the cases of a text may ask ([T4]). */
export interface Hearer {
  readonly state: WidgetState;
  readonly visit: 'first' | 'returning' | 'unknown';
  readonly locale: string;
}

export type Values = Readonly<Record<string, string | number>>;

/**
 * The one place that formats ([D3]): picks the case, then the wording whose values are all known ([T6]), and puts the
 * pieces together. Values from people are isolated ([T7]).
 */
export function say(text: WireText, values: Values, hearer: Hearer): string {
  const [message, without] = wordingFor(text, hearer);
  const known = isSayable(message, values) || without === undefined ? message : without;
  return put(known, values, hearer.locale, 0);
}

/** The case that holds, else otherwise: its words, and those without an unknown value. */
export function wordingFor(text: WireText, hearer: Hearer): readonly [message: Message, without?: Message] {
  if (!isCased(text)) return [text];
  const found = text.c?.find(([when]) => when.every((condition) => holds(condition, hearer)));
  if (found !== undefined) return found[2] === undefined ? [found[1]] : [found[1], found[2]];
  return text.w === undefined ? [text.o] : [text.o, text.w];
}

function isCased(text: WireText): text is Exclude<WireText, Message> {
  return typeof text === 'object' && 'o' in text;
}

/** Whether a condition of a case holds; an unknown kind never does ([D4]). */
export function holds(condition: CaseCondition, hearer: Hearer): boolean {
  if (condition[0] === 'state') return condition.includes(hearer.state, 1);
  if (condition[0] === 'visit') return condition[1] === hearer.visit;
  if (condition[0] === 'language') return hearer.locale === condition[1] || hearer.locale.startsWith(`${condition[1]}-`);
  return false;
}

function isSayable(message: Message, values: Values): boolean {
  return (
    typeof message === 'string' ||
    message.every((piece) => typeof piece === 'string' || piece[0] === '#' || Object.hasOwn(values, piece[1]))
  );
}

function put(message: Message, values: Values, locale: string, count: number): string {
  if (typeof message === 'string') return message;
  return message.map((piece) => putPiece(piece, values, locale, count)).join('');
}

function putPiece(piece: Piece, values: Values, locale: string, count: number): string {
  if (typeof piece === 'string') return piece;
  if (piece[0] === '#') return formatted(count, locale);
  const value = values[piece[1]];
  if (value === undefined) return '';
  if (piece[0] === 'v') return isolated(String(value));
  const number = Number(value);
  if (piece[0] === 'n') return formatted(number, locale);
  if (piece[0] === 's') return put(piece[2][String(value)] ?? piece[2]['other'] ?? '', values, locale, count);
  const [kind, , offset, forms] = piece;
  const form = forms[`=${number}`] ?? forms[pluralForm(number - offset, locale, kind === 'o')] ?? forms['other'] ?? '';
  return put(form, values, locale, number - offset);
}

function pluralForm(count: number, locale: string, isOrdinal: boolean): string {
  return new Intl.PluralRules(locale, { type: isOrdinal ? 'ordinal' : 'cardinal' }).select(count);
}

function formatted(count: number, locale: string): string {
  return new Intl.NumberFormat(locale).format(count);
}

const GRAPHEMES_MAX = 60;

/** [T7] Control signs out, at most 60 signs, wrapped so that its direction stays its own. */
export function isolated(value: string): string {
  const clean = value.replace(/[\u0000-\u001f\u007f-\u009f\u200e\u200f\u202a-\u202e\u2066-\u2069]/g, '');
  return `\u2068${graphemes(clean).slice(0, GRAPHEMES_MAX).join('')}\u2069`;
}

/** Signs as a reader counts them; code points where the browser cannot tell. */
function graphemes(text: string): string[] {
  if (!('Segmenter' in Intl)) return [...text];
  return [...new Intl.Segmenter('en', { granularity: 'grapheme' }).segment(text)].map(({ segment }) => segment);
}
