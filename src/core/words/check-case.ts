import type { CaseCondition } from '../model/case-condition';
import { WIDGET_STATES } from '../model/moment';

/** [T4] A case asks at most so many things. */
export const CASE_CONDITIONS_MAX = 3;
const CLOSED_BY = ['override', 'break', 'holiday', 'exception', 'import', 'outside'];

/** Whether an unknown value is what a case may ask: one to three conditions of the kinds that cases have. */
export function isCaseWhen(value: unknown): boolean {
  return (
    Array.isArray(value) &&
    value.length >= 1 &&
    value.length <= CASE_CONDITIONS_MAX &&
    value.every(isCaseCondition)
  );
}

function isCaseCondition(value: unknown): boolean {
  if (!Array.isArray(value) || value.length < 2) return false;
  const [kind, ...values] = value as unknown[];
  return CHECKS.get(String(kind))?.(values) ?? false;
}

const isName = ([name, ...more]: readonly unknown[]): boolean =>
  more.length === 0 && typeof name === 'string' && name.length > 0 && name.length <= 40;

/** Whether the values after a condition's kind are what it may ask. */
const CHECK_OF: { readonly [K in CaseCondition[0]]: (values: readonly unknown[]) => boolean } = {
  state: (values) => values.every((one) => (WIDGET_STATES as readonly unknown[]).includes(one)),
  visit: (values) => values.length === 1 && (values[0] === 'first' || values[0] === 'returning'),
  'closed-by': (values) => values.length === 1 && CLOSED_BY.includes(String(values[0])),
  team: isName,
  language: isName,
};
/** As a map: a kind off the wire may be called like something that every object has. */
const CHECKS: ReadonlyMap<string, (values: readonly unknown[]) => boolean> = new Map(
  Object.entries(CHECK_OF),
);
