import type { AddressPart } from '../model/page-rule';
import { type Result, fail, ok } from '../result';

/** One sign, any of some ranges, or any but them; ranges are pairs of code points. */
export type CharacterClass = { readonly not: boolean; readonly ranges: readonly number[] };

/** What a pattern says, before it is compiled. */
export type Node =
  | { readonly kind: 'sign'; readonly character: CharacterClass }
  | { readonly kind: 'start' | 'end' }
  | { readonly kind: 'row' | 'either'; readonly nodes: readonly Node[] }
  | { readonly kind: 'repeat'; readonly node: Node; readonly least: number; readonly most: number | null };

export const PATTERN_CHARACTERS_MAX = 200;
export const REPEAT_MAX = 50;

/** Why a pattern is refused, and at which of its characters ([P11]). */
export interface PatternFault {
  readonly code: PatternFaultCode;
  readonly at: number;
}
export type PatternFaultCode =
  | 'empty'
  | 'too-long'
  | 'too-many-states'
  | 'nothing-to-repeat'
  | 'unclosed-group'
  | 'unopened-group'
  | 'unclosed-class'
  | 'empty-class'
  | 'range-backwards'
  | 'not-a-repeat'
  | 'repeat-too-large'
  | 'repeat-backwards'
  | 'lazy-repeat'
  | 'look-around'
  | 'back-reference'
  | 'named-group'
  | 'flag'
  | 'unknown-escape'
  | 'lone-bracket';

class PatternError extends Error {
  constructor(readonly fault: PatternFault) {
    super(`A pattern was refused: ${fault.code} at ${fault.at}.`);
  }
}

const literal = (character: string): Node => {
  const code = character.codePointAt(0) ?? 0;
  return { kind: 'sign', character: { not: false, ranges: [code, code] } };
};
const codes = (text: string): number[] => [...text].map((character) => character.codePointAt(0) ?? 0);
const anyBut = (characters: string): Node => ({
  kind: 'sign',
  character: { not: true, ranges: codes(characters).flatMap((code) => [code, code]) },
});
const anyRun = (node: Node): Node => ({ kind: 'repeat', node, least: 0, most: null });
const EVERY: Node = { kind: 'sign', character: { not: true, ranges: [] } };

/**
 * [P10] A wildcard covers its whole part: `*` is any run without `/ ? #` (in a host: without `.`), `**` any run, a final
 * `/**` takes the bare parent too, `\*` is a star, `?` is itself.
 */
export function readWildcard(text: string, part: AddressPart): Result<Node, PatternFault> {
  if (text === '') return fail({ code: 'empty', at: 0 });
  if (text.length > PATTERN_CHARACTERS_MAX) return fail({ code: 'too-long', at: PATTERN_CHARACTERS_MAX });
  const nodes: Node[] = [{ kind: 'start' }];
  const takesParent = text.endsWith('/**') && text !== '/**';
  const body = takesParent ? text.slice(0, -3) : text;
  for (let at = 0; at < body.length;) {
    const character = String.fromCodePoint(body.codePointAt(at) ?? 0);
    if (body.startsWith('\\*', at)) nodes.push(literal('*'));
    else if (body.startsWith('**', at)) nodes.push(anyRun(EVERY));
    else if (character === '*') nodes.push(anyRun(part === 'host' ? anyBut('.') : anyBut('/?#')));
    else nodes.push(literal(character));
    at += body.startsWith('\\*', at) || body.startsWith('**', at) ? 2 : character.length;
  }
  if (takesParent)
    nodes.push({
      kind: 'either',
      nodes: [
        { kind: 'row', nodes: [] },
        { kind: 'row', nodes: [literal('/'), anyRun(EVERY)] },
      ],
    });
  return ok({ kind: 'row', nodes: [...nodes, { kind: 'end' }] });
}

/** [P11] An expression: searched anywhere unless it is anchored. What is not offered is refused with its place. */
export function readExpression(text: string): Result<Node, PatternFault> {
  if (text === '') return fail({ code: 'empty', at: 0 });
  if (text.length > PATTERN_CHARACTERS_MAX) return fail({ code: 'too-long', at: PATTERN_CHARACTERS_MAX });
  const reader = new Reader(text);
  try {
    const node = reader.either();
    if (reader.at < text.length) throw new PatternError({ code: 'unopened-group', at: reader.at });
    return ok(node);
  } catch (error) {
    if (error instanceof PatternError) return fail(error.fault);
    throw error;
  }
}

const DIGITS = [48, 57];
const WORDS = [48, 57, 65, 90, 95, 95, 97, 122];
const SPACES = [9, 13, 32, 32];
const LINE_ENDS = [10, 10, 13, 13, 0x2028, 0x2029];
const CLASSES: Readonly<Record<string, CharacterClass>> = {
  d: { not: false, ranges: DIGITS },
  D: { not: true, ranges: DIGITS },
  w: { not: false, ranges: WORDS },
  W: { not: true, ranges: WORDS },
  s: { not: false, ranges: SPACES },
  S: { not: true, ranges: SPACES },
};

class Reader {
  at = 0;
  constructor(private readonly text: string) {}

  either(): Node {
    const nodes = [this.row()];
    while (this.takes('|')) nodes.push(this.row());
    return nodes.length === 1 ? (nodes[0] as Node) : { kind: 'either', nodes };
  }

  private row(): Node {
    const nodes: Node[] = [];
    while (this.at < this.text.length && !this.sees('|') && !this.sees(')')) nodes.push(this.repeated());
    return nodes.length === 1 ? (nodes[0] as Node) : { kind: 'row', nodes };
  }

  private repeated(): Node {
    const began = this.at;
    const node = this.one();
    const times = this.times();
    if (times === null) return node;
    if (this.text[began] === '^' || this.text[began] === '$')
      throw new PatternError({ code: 'nothing-to-repeat', at: began });
    if (this.sees('?') || this.sees('+')) throw new PatternError({ code: 'lazy-repeat', at: this.at });
    if (this.sees('*') || this.sees('{')) throw new PatternError({ code: 'nothing-to-repeat', at: this.at });
    return { kind: 'repeat', node, ...times };
  }

  private times(): { least: number; most: number | null } | null {
    if (this.takes('*')) return { least: 0, most: null };
    if (this.takes('+')) return { least: 1, most: null };
    if (this.takes('?')) return { least: 0, most: 1 };
    if (!this.sees('{')) return null;
    const match = /^\{(\d+)(,(\d*))?\}/.exec(this.text.slice(this.at));
    if (match === null) throw new PatternError({ code: 'not-a-repeat', at: this.at });
    const least = Number(match[1]);
    const end = match[3] === '' ? null : Number(match[3]);
    const most = match[2] === undefined ? least : end;
    if (least > REPEAT_MAX || (most ?? 0) > REPEAT_MAX)
      throw new PatternError({ code: 'repeat-too-large', at: this.at });
    if (most !== null && most < least) throw new PatternError({ code: 'repeat-backwards', at: this.at });
    this.at += match[0].length;
    return { least, most };
  }

  private one(): Node {
    const at = this.at;
    const character = this.next();
    switch (character) {
      case '(':
        return this.group(at);
      case '[':
        return { kind: 'sign', character: this.characterClass(at) };
      case '.':
        return { kind: 'sign', character: { not: true, ranges: LINE_ENDS } };
      case '^':
        return { kind: 'start' };
      case '$':
        return { kind: 'end' };
      case '\\':
        return this.escaped(at);
      case '*':
      case '+':
      case '?':
        throw new PatternError({ code: 'nothing-to-repeat', at });
      case '{':
        throw new PatternError({ code: 'not-a-repeat', at });
      case ']':
      case '}':
        throw new PatternError({ code: 'lone-bracket', at });
      // eslint-disable-next-line no-restricted-syntax -- what somebody typed: any other sign is itself
      default:
        return literal(character);
    }
  }

  private group(at: number): Node {
    if (this.takes('?')) {
      if (/^(<?[=!])/.test(this.text.slice(this.at))) throw new PatternError({ code: 'look-around', at });
      if (this.sees('<') || this.sees('P')) throw new PatternError({ code: 'named-group', at });
      if (!this.takes(':')) throw new PatternError({ code: 'flag', at });
    }
    const node = this.either();
    if (!this.takes(')')) throw new PatternError({ code: 'unclosed-group', at });
    return node;
  }

  private escaped(at: number): Node {
    const character = this.next();
    const known = CLASSES[character];
    if (known !== undefined) return { kind: 'sign', character: known };
    return literal(this.plain(character, at));
  }

  /** A sign that stands for itself behind a backslash; every other one is refused. */
  private plain(character: string, at: number): string {
    if (/^[1-9k]$/.test(character)) throw new PatternError({ code: 'back-reference', at });
    if (character === '' || /^[\p{L}\p{N}]$/u.test(character))
      throw new PatternError({ code: 'unknown-escape', at });
    return character;
  }

  private characterClass(at: number): CharacterClass {
    const not = this.takes('^');
    const ranges: number[] = [];
    while (!this.takes(']')) {
      if (this.at >= this.text.length) throw new PatternError({ code: 'unclosed-class', at });
      const began = this.at;
      const from = this.member();
      if (typeof from !== 'number') {
        ranges.push(...(from.not ? complementOf(from.ranges) : from.ranges));
        continue;
      }
      const isRange = this.sees('-') && this.text[this.at + 1] !== ']' && this.at + 1 < this.text.length;
      if (!isRange) {
        ranges.push(from, from);
        continue;
      }
      this.at++;
      const to = this.member();
      if (typeof to !== 'number' || to < from) throw new PatternError({ code: 'range-backwards', at: began });
      ranges.push(from, to);
    }
    if (ranges.length === 0) throw new PatternError({ code: 'empty-class', at });
    return { not, ranges };
  }

  private member(): number | CharacterClass {
    const at = this.at;
    const character = this.next();
    if (character !== '\\') return character.codePointAt(0) ?? 0;
    const escaped = this.next();
    return CLASSES[escaped] ?? this.plain(escaped, at).codePointAt(0) ?? 0;
  }

  private next(): string {
    const code = this.text.codePointAt(this.at);
    if (code === undefined) return '';
    const character = String.fromCodePoint(code);
    this.at += character.length;
    return character;
  }

  private sees(character: string): boolean {
    return this.text[this.at] === character;
  }

  private takes(character: string): boolean {
    if (!this.sees(character)) return false;
    this.at++;
    return true;
  }
}

/** The ranges that some ranges leave out. */
function complementOf(ranges: readonly number[]): number[] {
  const pairs = Array.from(
    { length: ranges.length / 2 },
    (_, index) => [ranges[2 * index] ?? 0, ranges[2 * index + 1] ?? 0] as const,
  );
  const left: number[] = [];
  let from = 0;
  for (const [low, high] of pairs.sort((a, b) => a[0] - b[0])) {
    if (low > from) left.push(from, low - 1);
    from = Math.max(from, high + 1);
  }
  return [...left, from, 0x10ffff];
}
