import type { Patch } from '../model/json';

/** What a change did, and what takes it back. */
export interface FoldedChange {
  readonly patches: readonly Patch[];
  readonly inverse: readonly Patch[];
}

/**
 * Two changes that follow one another as a single one: done, it comes to both; taken back, to what was there before the
 * first. Null where the second has taken the first back exactly: together they changed nothing.
 */
export function foldChanges(first: FoldedChange, second: FoldedChange): FoldedChange | null {
  const folded = isOfSamePlaces(first.patches, second.patches)
    ? { patches: second.patches, inverse: first.inverse }
    : { patches: [...first.patches, ...second.patches], inverse: [...second.inverse, ...first.inverse] };
  return JSON.stringify(folded.patches) === JSON.stringify(folded.inverse) ? null : folded;
}

/** Both set the same places, in the same order: the later values are all that is left of the earlier ones. */
function isOfSamePlaces(a: readonly Patch[], b: readonly Patch[]): boolean {
  const placesOf = (patches: readonly Patch[]): string =>
    JSON.stringify(patches.map(({ op, path }) => [op, path]));
  return a.every(({ op }) => op === 'set') && placesOf(a) === placesOf(b);
}
