import { literalsIn } from './literals';

/** Where stands what people may read: the wording tables of the interface and the catalogue of the widget. */
const TABLES = ['src/ui/wording', 'src/core/words'];
/** What the demo's people wrote and called things; on a real site the owner and the visitors did. */
const DATA = ['src/demo', 'src/core/model/defaults.ts'];

const LETTER = /\p{L}/u;

/** Words of a calendar and a clock, which come from the language and not from us. */
const CALENDAR =
  /\b(mon|tue|wednes|wed|thurs|thu|fri|satur|sat|sun)(s?day)?\b|\b(january|february|march|april|may|june|july|august|september|october|november|december|jan|feb|mar|apr|jun|jul|aug|sept?|oct|nov|dec)\b|\b[ap]m\b/g;

/** A name in a text of the widget that a value is put in for: `{personName}`. */
const PLACEHOLDER = /\{[^{}]*\}/;

/** One word in small letters, which `count` may give its plural. */
const NOUN = /^\p{Ll}+$/u;

/** A key of the keyboard. */
const KEY = /(?<!\S)(alt\+\p{Ll}?|\p{Ll})(?!\S)/gu;

/** A colour as its owner wrote it. */
const COLOUR = /#[0-9a-f]{6}\b/g;

/** What is left of a text when all is taken out of it that stands in a table, is data, or comes from the calendar. */
export class Tables {
  readonly #pieces: ReadonlyMap<string, readonly string[]>;

  constructor(data: readonly string[] = []) {
    const pieces = new Set<string>();
    const add = (text: string): void => {
      const piece = text.trim().toLowerCase();
      if (LETTER.test(piece)) pieces.add(piece);
      if (NOUN.test(piece)) pieces.add(`${piece}s`);
    };
    for (const [, text] of [...TABLES, ...DATA].flatMap((room) => literalsIn(room)))
      for (const piece of text.split(PLACEHOLDER)) add(piece);
    for (const text of data) add(text);
    const byFirst = new Map<string, string[]>();
    for (const piece of pieces) {
      const first = wordsIn(piece)[0] ?? '';
      byFirst.set(first, [...(byFirst.get(first) ?? []), piece]);
    }
    this.#pieces = byFirst;
  }

  /** The words of a text that stand nowhere, joined; an empty string if there are none. */
  strangersIn(text: string): string {
    let rest = text.replace(COLOUR, ' ').toLowerCase();
    const near = new Set(wordsIn(rest).flatMap((word) => this.#pieces.get(word) ?? []));
    for (const piece of [...near].sort((a, b) => b.length - a.length)) rest = without(rest, piece);
    return wordsIn(rest.replace(CALENDAR, ' ').replace(KEY, ' ')).join(' ');
  }
}

function wordsIn(text: string): string[] {
  return text.match(/[\p{L}\p{M}’'-]+/gu)?.filter((word) => LETTER.test(word)) ?? [];
}

/** A text without a piece, wherever the piece stands between two words. */
function without(text: string, piece: string): string {
  let rest = text;
  for (let at = rest.indexOf(piece); at !== -1; at = rest.indexOf(piece, at + 1)) {
    const before = rest.slice(0, at);
    const after = rest.slice(at + piece.length);
    if (/\p{L}$/u.test(before) && LETTER.test(piece.charAt(0))) continue;
    if (/^\p{L}/u.test(after) && LETTER.test(piece.charAt(piece.length - 1))) continue;
    rest = `${before} ${after}`;
  }
  return rest;
}
