import { type Node, type ParseError, findNodeAtLocation, parseTree, printParseErrorCode } from 'jsonc-parser';
import { depthOf } from '../../core/json-depth';
import { LIMITS } from '../../core/limits';
import type { Json } from '../../core/model/json';
import type { Design } from '../../core/model/design';
import { type FieldErrors, type Result, fail, ok } from '../../core/result';

/** What does not fit in a design's file, and where; lines and columns count from 1. */
export interface DesignTextFault {
  readonly line: number;
  readonly column: number;
  /** Names and indexes from the outermost in, joined by dots; empty: the whole. */
  readonly path: string;
  readonly code: DesignTextCode;
  /** Of *refused*, what whoever judged it said; of *missing*, what is; else empty. */
  readonly about: string;
}

/** What does not fit; of what is no JSON, the reader's own code. */
export type DesignTextCode = 'not-json' | 'too-deep' | 'twice' | 'missing' | 'refused' | SyntaxCode;
export type SyntaxCode = (typeof SYNTAX_CODES)[number];

/** More are not told at once: the first of them often make the rest. */
const FAULTS_MAX = 50;

/** A design as a file for people: JSON, two spaces an inner level, in the order of the model (docs/design.schema.json). */
export function writeDesignText(design: Design): string {
  return `${JSON.stringify(design, null, 2)}\n`;
}

/** Reads JSON that should be a design; what is not JSON, is nested too deep, or names something twice, is told at its line. */
export function readDesignText(text: string): Result<Json, readonly DesignTextFault[]> {
  if (depthOf(text) > LIMITS.designDepth) return fail([{ ...BEGINNING, code: 'too-deep' }]);
  const errors: ParseError[] = [];
  const tree = parseTree(text, errors, {
    disallowComments: true,
    allowTrailingComma: false,
    allowEmptyContent: false,
  });
  const faults = errors.slice(0, FAULTS_MAX).map(({ error, offset }) => ({
    ...lineAt(text, offset),
    path: '',
    code: toCode(printParseErrorCode(error)),
    about: '',
  }));
  if (faults.length > 0 || tree === undefined)
    return fail(faults.length > 0 ? faults : [{ ...BEGINNING, code: 'not-json' as const }]);
  const twice = namedTwice(tree, '')
    .slice(0, FAULTS_MAX)
    .map(({ node, path }) => ({
      ...lineAt(text, node.offset),
      path,
      code: 'twice' as const,
      about: '',
    }));
  return twice.length > 0 ? fail(twice) : ok(JSON.parse(text) as Json);
}

/** Faults by path, told at the lines of a text that was read; what is missing is told where it should be, unless what is meant may well be absent. */
export function placedFaults(text: string, errors: FieldErrors, tellsMissing = true): DesignTextFault[] {
  const tree = parseTree(text);
  const told = Object.entries(errors)
    .slice(0, FAULTS_MAX)
    .map(([path, sentence]) => {
      const names =
        path === '' ? [] : path.split('.').map((name) => (/^\d+$/.test(name) ? Number(name) : name));
      const isMissing =
        tellsMissing && tree !== undefined && path !== '' && findNodeAtLocation(tree, names) === undefined;
      return {
        ...lineAt(text, nearest(tree, names)?.offset ?? 0),
        path,
        ...(isMissing
          ? { code: 'missing' as const, about: String(names.at(-1)) }
          : { code: 'refused' as const, about: sentence }),
      };
    });
  return told.sort((a, b) => a.line - b.line || a.column - b.column);
}

/** What stands at a path, or the innermost of what it would be inside of. */
function nearest(tree: Node | undefined, names: readonly (string | number)[]): Node | undefined {
  if (tree === undefined) return undefined;
  for (let count = names.length; count > 0; count--) {
    const found = findNodeAtLocation(tree, names.slice(0, count));
    if (found !== undefined) return found.parent?.type === 'property' ? found.parent : found;
  }
  return tree;
}

function namedTwice(node: Node, path: string): { readonly node: Node; readonly path: string }[] {
  const at = (name: string | number): string => (path === '' ? String(name) : `${path}.${name}`);
  if (node.type === 'array') return (node.children ?? []).flatMap((one, index) => namedTwice(one, at(index)));
  const seen = new Set<string>();
  return (node.children ?? []).flatMap((property) => {
    const [name, value] = property.children ?? [];
    if (node.type !== 'object' || name === undefined || value === undefined) return [];
    const key = String(name.value);
    const again = seen.has(key) ? [{ node: property, path: at(key) }] : [];
    seen.add(key);
    return [...again, ...namedTwice(value, at(key))];
  });
}

function lineAt(text: string, offset: number): { readonly line: number; readonly column: number } {
  const before = text.slice(0, offset).split('\n');
  return { line: before.length, column: (before.at(-1)?.length ?? 0) + 1 };
}

const BEGINNING = { line: 1, column: 1, path: '', about: '' } as const;

const SYNTAX_CODES = [
  'InvalidSymbol',
  'InvalidNumberFormat',
  'PropertyNameExpected',
  'ValueExpected',
  'ColonExpected',
  'CommaExpected',
  'CloseBraceExpected',
  'CloseBracketExpected',
  'EndOfFileExpected',
  'InvalidCommentToken',
  'UnexpectedEndOfComment',
  'UnexpectedEndOfString',
  'UnexpectedEndOfNumber',
  'InvalidUnicode',
  'InvalidEscapeCharacter',
  'InvalidCharacter',
] as const;

function toCode(printed: string): DesignTextCode {
  return SYNTAX_CODES.find((one) => one === printed) ?? 'not-json';
}
