import { type CaseKey, type TextKey, entryOf, isCaseKey } from './catalogue';
import { type Hearer, type Values, holds } from './say';

/** The key under which the words that are said now are filed: the text's case that holds, and `/without` where a value is unknown ([T4], [T6]). */
export function caseKeyOf(key: TextKey, hearer: Hearer, values: Values): CaseKey {
  const found = entryOf(key).cases.find(({ when }) => when.every((condition) => holds(condition, hearer)));
  const full = (found === undefined ? key : `${key}#${found.id}`) as CaseKey;
  const without = `${full}/without`;
  const isMissing =
    isCaseKey(without) &&
    ['promise', 'openingTime', 'closingTime', 'holidayName', 'reason', 'email', 'mail'].some(
      (name) => entryOf(key).variables[name] !== undefined && !Object.hasOwn(values, name),
    );
  return isMissing ? without : full;
}
