import type { ClosedBy } from '../hours/why';
import { type Zone, offsetAt } from '../hours/zone';
import type { WidgetState } from '../model/moment';
import { DAY_MS, type EpochMs, MINUTE_MS } from '../model/units';
import type { Message, Piece, WireCaseCondition, WireText } from '../wire/design-file';
import { CASE_KIND, CASE_VALUE } from '../wire/condition';

/** What the cases of a text may ask ([T4]), and what times are told by ([T8]). */
export interface Reader {
  /** Null: not known well enough to be told ([S6]); wordings for a state do not apply. */
  readonly state: WidgetState | null;
  readonly visit: 'first' | 'returning' | 'unknown';
  readonly locale: string;
  /** The team that is asked; null: none in particular. */
  readonly team: string | null;
  readonly closedBy: ClosedBy | null;
  /** Whether e-mail goes out. */
  readonly sendsLetters: boolean;
  /** The zone the site tells its times in, and the place it is called by. */
  readonly zone: Zone;
  readonly place: string;
  /** The reader's own offset from UTC at an instant, in minutes. */
  minutesEast(instant: EpochMs): number;
  /** The reader's date, as their own clock has it: days since 1970. */
  readonly today: number;
}

export type Values = Readonly<Record<string, string | number>>;

/**
 * The one place that formats ([D3]): picks the case, then the wording whose values are all known ([T6]), and puts the
 * pieces together. Values from people are isolated ([T7]).
 */
export function formatText(text: WireText, values: Values, reader: Reader): string {
  const [message, without] = wordingFor(text, reader);
  const known = isSayable(message, values) || without === undefined ? message : without;
  return put(known, values, reader, 0);
}

/** The case that holds, else otherwise: its words, and those without an unknown value. */
export function wordingFor(text: WireText, reader: Reader): readonly [message: Message, without?: Message] {
  if (!isCased(text)) return [text];
  const found = text.c?.find(([when]) => when.every((condition) => holds(condition, reader)));
  if (found !== undefined) return found[2] === undefined ? [found[1]] : [found[1], found[2]];
  return text.w === undefined ? [text.o] : [text.o, text.w];
}

function isCased(text: WireText): text is Exclude<WireText, Message> {
  return typeof text === 'object' && 'o' in text;
}

/** Whether a condition of a case holds; an unknown kind never does ([D4]). */
export function holds(condition: WireCaseCondition, reader: Reader): boolean {
  if (condition[CASE_KIND] === 'state')
    return reader.state !== null && condition.includes(reader.state, CASE_VALUE);
  if (condition[CASE_KIND] === 'visit') return condition[CASE_VALUE] === reader.visit;
  if (condition[CASE_KIND] === 'language')
    return reader.locale === condition[CASE_VALUE] || reader.locale.startsWith(`${condition[CASE_VALUE]}-`);
  if (condition[CASE_KIND] === 'team') return condition[CASE_VALUE] === reader.team;
  if (condition[CASE_KIND] === 'letters') return !reader.sendsLetters;
  return condition[CASE_KIND] === 'closed-by' && condition[CASE_VALUE] === reader.closedBy;
}

/** Whether all values that a message uses are known ([T6]). */
export function isSayable(message: Message, values: Values): boolean {
  if (typeof message === 'string') return true;
  return message.every(
    (piece) =>
      typeof piece === 'string' ||
      piece[0] === '#' ||
      (Object.hasOwn(values, piece[1]) && formsOf(piece).every((form) => isSayable(form, values))),
  );
}

/** The wordings inside of a piece that chooses one; whichever it is, its values must be known too. */
function formsOf(piece: Exclude<Piece, string>): Message[] {
  const last = piece[piece.length - 1];
  return typeof last === 'object' ? Object.values(last) : [];
}

function put(message: Message, values: Values, reader: Reader, count: number): string {
  if (typeof message === 'string') return message;
  return message.map((piece) => putPiece(piece, values, reader, count)).join('');
}

function putPiece(piece: Piece, values: Values, reader: Reader, count: number): string {
  const { locale } = reader;
  if (typeof piece === 'string') return piece;
  if (piece[0] === '#') return formatted(count, locale);
  const value = values[piece[1]];
  if (value === undefined) return '';
  const number = Number(value);
  switch (piece[0]) {
    case 'v':
      return isolated(String(value));
    case 'n':
      return formatted(number, locale);
    case 'd':
      return instantText(number, reader, { dateStyle: piece[2] });
    case 't':
      return instantText(number, reader, { timeStyle: piece[2] });
    case 'w':
      return whenText(number, reader);
    case 's':
      // The value is a visitor's, and may be the name of what every object has.
      return put(piece[2][Object.hasOwn(piece[2], value) ? value : 'other'] ?? '', values, reader, count);
  }
  const [kind, , offset, forms] = piece;
  const form =
    forms[`=${number}`] ?? forms[pluralForm(number - offset, locale, kind === 'o')] ?? forms['other'] ?? '';
  return put(form, values, reader, number - offset);
}

/** A wall clock's reading, given as if it were UTC, so that no zone data of the browser has a say. */
function wallText(wall: EpochMs, { locale }: Reader, style: Intl.DateTimeFormatOptions): string {
  const clock = made(
    `${locale} ${Object.entries(style).join()}`,
    () => new Intl.DateTimeFormat(locale, { ...style, timeZone: 'UTC' }),
  );
  return clock.format(wall);
}

/** [T8] What the reader's own clock says at an instant. */
function wallOf(instant: EpochMs, reader: Reader): EpochMs {
  return instant + reader.minutesEast(instant) * MINUTE_MS;
}

/** [T8] By the reader's own clock; where the site's differs at that instant, a time of the day is followed by the site's. */
function instantText(instant: EpochMs, reader: Reader, style: Intl.DateTimeFormatOptions): string {
  const [own, there] = [wallOf(instant, reader), instant + offsetAt(reader.zone, instant)];
  const said = wallText(own, reader, style);
  return own === there || style.timeStyle === undefined
    ? said
    : `${said} (${wallText(there, reader, style)}, ${isolated(reader.place)})`;
}

/** The time; with its day where that is not the reader's ([T8]): tomorrow, a day of the week, then a date. */
function whenText(instant: EpochMs, reader: Reader): string {
  const time = instantText(instant, reader, { timeStyle: 'short' });
  const own = wallOf(instant, reader);
  const ahead = Math.floor(own / DAY_MS) - reader.today;
  if (ahead === 0) return time;
  if (ahead === 1)
    return `${new Intl.RelativeTimeFormat(reader.locale, { numeric: 'auto' }).format(1, 'day')} ${time}`;
  const day: Intl.DateTimeFormatOptions =
    ahead > 1 && ahead < 7 ? { weekday: 'long' } : { day: 'numeric', month: 'long' };
  return `${wallText(own, reader, day)} ${time}`;
}

function pluralForm(count: number, locale: string, isOrdinal: boolean): string {
  const type = isOrdinal ? 'ordinal' : 'cardinal';
  return made(`${locale} ${type}`, () => new Intl.PluralRules(locale, { type })).select(count);
}

function formatted(count: number, locale: string): string {
  return made(locale, () => new Intl.NumberFormat(locale)).format(count);
}

/** Making a formatter takes a hundred times as long as using it. There are as many as languages and styles. */
const MADE: Record<string, unknown> = {};

function made<T>(name: string, make: () => T): T {
  return (MADE[name] ??= make()) as T;
}

const GRAPHEMES_MAX = 60;

/** [T7] Control characters out, at most 60 characters, wrapped so that its direction stays its own. */
export function isolated(value: string): string {
  const clean = value.replace(/[\u0000-\u001f\u007f-\u009f\u200e\u200f\u202a-\u202e\u2066-\u2069]/g, '');
  return `\u2068${graphemes(clean).slice(0, GRAPHEMES_MAX).join('')}\u2069`;
}

/** Signs as a reader counts them; code points where the browser cannot tell. */
function graphemes(text: string): string[] {
  if (!('Segmenter' in Intl)) return [...text];
  return [...new Intl.Segmenter('en').segment(text)].map(({ segment }) => segment);
}
