import { LIMITS } from '../../core/limits';
import type { DesignTextCode, DesignTextFault } from '../../formats/design/design-text';

const WORDS: { readonly [K in DesignTextCode]: (about: string) => string } = {
  'not-json': () => 'This is not JSON.',
  'too-deep': () => `This is nested more than ${LIMITS.designDepth} levels deep: it is no design.`,
  twice: () => 'This stands twice: only one of the two could count.',
  missing: (name) => `“${name}” is missing here.`,
  refused: (sentence) => sentence,
  InvalidSymbol: () => 'This word means nothing in JSON; texts stand in quotation marks.',
  InvalidNumberFormat: () => 'This is not a number as JSON writes it.',
  PropertyNameExpected: () => 'A name in quotation marks should stand here.',
  ValueExpected: () => 'A value should stand here.',
  ColonExpected: () => 'A colon should stand here.',
  CommaExpected: () => 'A comma should stand here.',
  CloseBraceExpected: () => 'A closing brace } is missing.',
  CloseBracketExpected: () => 'A closing bracket ] is missing.',
  EndOfFileExpected: () => 'Nothing more should stand here.',
  InvalidCommentToken: () => 'JSON has no comments.',
  UnexpectedEndOfComment: () => 'JSON has no comments.',
  UnexpectedEndOfString: () => 'A quotation mark is missing at the end.',
  UnexpectedEndOfNumber: () => 'This number is cut off.',
  InvalidUnicode: () => 'This is not a sign as JSON writes it.',
  InvalidEscapeCharacter: () => 'A backslash cannot stand before this sign.',
  InvalidCharacter: () => 'This sign cannot stand in a text as it is.',
};

/** A fault of a design's file, as its owner is told. */
export function wordsOfFault({ code, about }: Pick<DesignTextFault, 'code' | 'about'>): string {
  return WORDS[code](about);
}
