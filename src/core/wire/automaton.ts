/** One sign, or pairs of code points; -1 before them: any but those. */
export type WireCharacters = string | readonly number[];

/** Whether a pattern is found before any sign is taken: never, at once, or at the end of the text only. */
export type Finds = 0 | 1 | 2;

/**
 * [P12] A compiled pattern. Sets of states are bit sets of `words` 32-bit numbers each. A state takes one sign of its
 * class and leads to its followers; `anywhere` and `atEnd` hold the states after which the pattern is found, at once or
 * at the end of the text only. `start` is where a search begins at the first sign, `again` at each later one.
 */
export type Automaton = readonly [
  words: number,
  classes: readonly WireCharacters[],
  follow: readonly number[],
  anywhere: readonly number[],
  atEnd: readonly number[],
  start: readonly number[],
  startFinds: Finds,
  again: readonly number[],
  againFinds: Finds,
];
