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
  switch (kind) {
    case 'state':
      return values.every((one) => (WIDGET_STATES as readonly unknown[]).includes(one));
    case 'visit':
      return values.length === 1 && (values[0] === 'first' || values[0] === 'returning');
    case 'closed-by':
      return values.length === 1 && CLOSED_BY.includes(String(values[0]));
    case 'team':
    case 'language':
      return (
        values.length === 1 && typeof values[0] === 'string' && values[0].length > 0 && values[0].length <= 40
      );
    default:
      return false;
  }
}
