import type { PageRule } from '../model/page-rule';
import type { AddressPart } from '../model/page-rule';
import { type Result, ok } from '../result';
import type { WireRule } from '../wire/design-file';
import type { Automaton } from '../wire/automaton';
import { compileExpression, compileWildcard, literalStartOf, statesOf } from './compile-pattern';
import type { PatternFault } from './pattern-tree';

/** [P10]–[P12] A page rule as it is published: patterns compiled, the rest as it was entered. */
export function toWireRule({ kind, part, text, ignoresCase }: PageRule): Result<WireRule, PatternFault> {
  if (kind !== 'wildcard' && kind !== 'expression') return ok([kind, part, text, ignoresCase]);
  const compiled = compilePattern(kind, part, text, ignoresCase);
  return compiled.ok ? ok([kind, part, compiled.value, ignoresCase]) : compiled;
}

function compilePattern(
  kind: 'wildcard' | 'expression',
  part: AddressPart,
  text: string,
  ignoresCase: boolean,
): Result<Automaton, PatternFault> {
  const folds = ignoresCase || part === 'host';
  return kind === 'wildcard' ? compileWildcard(text, part, folds) : compileExpression(text, folds);
}

/** [P11] How many states the published rules need together. */
export function statesOfRules(rules: readonly WireRule[]): number {
  return rules.reduce((sum, [, , operand]) => sum + (typeof operand === 'string' ? 0 : statesOf(operand)), 0);
}

/**
 * [P11] The plain start of an expression that is not anchored and takes more of the known texts than those that begin
 * with it; null where it takes no more than was probably meant.
 */
export function widerThanItsStart(
  text: string,
  known: readonly string[],
  takes: (known: string) => boolean,
): string | null {
  const start = literalStartOf(text);
  if (start === '' || text.startsWith('^')) return null;
  return known.some((one) => takes(one) && !one.startsWith(start)) ? start : null;
}
