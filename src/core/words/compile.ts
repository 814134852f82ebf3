import { type MessageFormatElement, TYPE, parse } from '@formatjs/icu-messageformat-parser';
import { memoByKey, memoByObject } from '../memo';
import { type Result, fail, ok } from '../result';
import type { Message, Piece } from '../wire/design-file';
import { MAYBE_UNKNOWN, type VariableType } from './catalogue';

/** What is wrong with a text, and the code unit where ([T3], [T5]). */
export interface TextFault {
  readonly code:
    'syntax' | 'unknown-variable' | 'wrong-type' | 'nested-too-deep' | 'not-offered' | 'needs-without';
  readonly at: number;
  readonly name: string;
}

const DEPTH_MAX = 2;

/**
 * Compiles an ICU message to pieces, at publish only ([T3]): plain text, `{name}`, number, plural, selectordinal and
 * select, date and time in four styles, nested at most twice. Tags are plain characters. The widget has no parser.
 */
export function compileText(
  text: string,
  variables: Readonly<Record<string, VariableType>>,
): Result<Message, TextFault> {
  return compilerOf(variables)(text);
}

const COMPILED_MAX = 200;
/** By the variables that are known; those of a text of ours are always the same object. */
const compilerOf = memoByObject((variables: Readonly<Record<string, VariableType>>) =>
  memoByKey(COMPILED_MAX, (text: string) => compileAnew(text, variables)),
);

function compileAnew(
  text: string,
  variables: Readonly<Record<string, VariableType>>,
): Result<Message, TextFault> {
  let elements: MessageFormatElement[];
  try {
    elements = parse(text, { ignoreTag: true, captureLocation: true });
  } catch (error) {
    return fail({ code: 'syntax', at: placeOf(error), name: '' });
  }
  try {
    return ok(toMessage(elements, variables, 0));
  } catch (error) {
    if (error instanceof MessageError) return fail(error.fault);
    throw error;
  }
}

class MessageError extends Error {
  constructor(readonly fault: TextFault) {
    super(`A text was refused: ${fault.code} at ${fault.at}.`);
  }
}

function toMessage(
  elements: readonly MessageFormatElement[],
  variables: Readonly<Record<string, VariableType>>,
  depth: number,
): Message {
  const pieces = elements.map((element) => toPiece(element, variables, depth));
  const [only] = pieces;
  if (pieces.length === 0) return '';
  return pieces.length === 1 && typeof only === 'string' ? only : pieces;
}

function toPiece(
  element: MessageFormatElement,
  variables: Readonly<Record<string, VariableType>>,
  depth: number,
): Piece {
  const at = element.location?.start.offset ?? 0;
  if (element.type === TYPE.literal) return element.value;
  if (element.type === TYPE.pound) return ['#'];
  if (element.type === TYPE.tag) throw new MessageError({ code: 'not-offered', at, name: element.value });
  const type = Object.hasOwn(variables, element.value) ? variables[element.value] : undefined;
  if (type === undefined) throw new MessageError({ code: 'unknown-variable', at, name: element.value });
  if (element.type === TYPE.argument) return [PLAIN[type], element.value];
  if (element.type === TYPE.select)
    return ['s', element.value, toForms(element.options, variables, depth, at)];
  if (element.type === TYPE.number || element.type === TYPE.plural) {
    if (type !== 'count') throw new MessageError({ code: 'wrong-type', at, name: element.value });
    if (element.type === TYPE.number) {
      if (element.style) throw new MessageError({ code: 'not-offered', at, name: element.value });
      return ['n', element.value];
    }
    const kind = element.pluralType === 'ordinal' ? 'o' : 'p';
    return [kind, element.value, element.offset, toForms(element.options, variables, depth, at)];
  }
  if (type !== 'instant') throw new MessageError({ code: 'wrong-type', at, name: element.value });
  const style = STYLES.find((one) => one === (element.style ?? 'medium'));
  if (style === undefined) throw new MessageError({ code: 'not-offered', at, name: element.value });
  return [element.type === TYPE.date ? 'd' : 't', element.value, style];
}

/** How a value is said without a format of its own. */
const PLAIN = { count: 'n', text: 'v', instant: 'w' } as const satisfies Record<VariableType, string>;
const STYLES = ['short', 'medium', 'long', 'full'] as const;

function toForms(
  options: Readonly<Record<string, { readonly value: MessageFormatElement[] }>>,
  variables: Readonly<Record<string, VariableType>>,
  depth: number,
  at: number,
): Record<string, Message> {
  if (depth >= DEPTH_MAX) throw new MessageError({ code: 'nested-too-deep', at, name: '' });
  return Object.fromEntries(
    Object.entries(options).map(([form, { value }]) => [form, toMessage(value, variables, depth + 1)]),
  );
}

function placeOf(error: unknown): number {
  const location = (error as { location?: { start?: { offset?: number } } }).location;
  return location?.start?.offset ?? 0;
}

/** Names of values in a compiled message that may be unknown ([T6]), also inside of its choices. */
export function unknownsOf(message: Message): string[] {
  if (typeof message === 'string') return [];
  return message.flatMap((piece) => {
    if (typeof piece === 'string' || piece[0] === '#') return [];
    const last = piece[piece.length - 1];
    const inside = typeof last === 'object' ? Object.values(last).flatMap(unknownsOf) : [];
    return MAYBE_UNKNOWN.includes(piece[1]) ? [piece[1], ...inside] : inside;
  });
}
