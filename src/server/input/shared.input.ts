import { isRecord } from '../../core/model/json';
import { LIMITS } from '../../core/limits';
import { isCaseKey } from '../../core/words/catalogue';
import { ValidatorConstraint, type ValidatorConstraintInterface } from './validators';

export const ID = /^[0-9a-z]{8,40}$/;
export const LOCALE = /^[a-z]{2,3}(-[A-Za-z0-9]+)*$/;

@ValidatorConstraint({ name: 'knownKey' })
export class KnownKey implements ValidatorConstraintInterface {
  validate(value: unknown): boolean {
    return typeof value === 'string' && isCaseKey(value);
  }
  defaultMessage(): string {
    return 'No text has this name.';
  }
}

/** Words by language tag, each within `atMost` characters. */
export function wordsFit(atMost: number) {
  @ValidatorConstraint({ name: 'words' })
  class Words implements ValidatorConstraintInterface {
    validate(value: unknown): boolean {
      return (
        isRecord(value) &&
        Object.keys(value).length <= LIMITS.locales &&
        Object.entries(value).every(
          ([locale, text]) => LOCALE.test(locale) && typeof text === 'string' && text.length <= atMost,
        )
      );
    }
    defaultMessage(): string {
      return `Words come by language, each with at most ${atMost} characters.`;
    }
  }
  return Words;
}
