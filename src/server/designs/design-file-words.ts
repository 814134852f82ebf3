import { LIMITS } from '../../core/limits';
import type { DesignTextCode, DesignTextFault } from '../../formats/design/design-text';

const WORDS: { readonly [K in DesignTextCode]: (about: string) => string } = {
  'not-json': () => 'This is not JSON.',
  'too-deep': () => `This is nested more than ${LIMITS.designDepth} levels deep, which no design is.`,
  twice: () => 'This is here twice, and only one of the two could count.',
  missing: (name) => `“${name}” is missing here.`,
  refused: (sentence) => sentence,
  InvalidSymbol: () => 'This word means nothing in JSON; texts need quotation marks.',
  InvalidNumberFormat: () => 'This is not a number as JSON writes it.',
  PropertyNameExpected: () => 'A name in quotation marks is missing here.',
  ValueExpected: () => 'A value is missing here.',
  ColonExpected: () => 'A colon is missing here.',
  CommaExpected: () => 'A comma is missing here.',
  CloseBraceExpected: () => 'A closing brace } is missing.',
  CloseBracketExpected: () => 'A closing bracket ] is missing.',
  EndOfFileExpected: () => 'The design has ended, so this is too much.',
  InvalidCommentToken: () => 'JSON has no comments.',
  UnexpectedEndOfComment: () => 'JSON has no comments.',
  UnexpectedEndOfString: () => 'A quotation mark is missing at the end.',
  UnexpectedEndOfNumber: () => 'This number is cut off.',
  InvalidUnicode: () => 'This is not a character as JSON writes it.',
  InvalidEscapeCharacter: () => 'A backslash is not allowed before this character.',
  InvalidCharacter: () => 'This character is not allowed in a text as it is.',
};

/** A fault of a design's file, as its owner is told. */
export function wordsOfFault({ code, about }: Pick<DesignTextFault, 'code' | 'about'>): string {
  return WORDS[code](about);
}
