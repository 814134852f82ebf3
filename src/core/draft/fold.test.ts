import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Json, Patch } from '../model/json';
import { type FoldedChange, foldChanges } from './fold';
import { applyPatches } from './patch';

/** A change of a document, with what it comes to. */
function changed(document: Json, patches: readonly Patch[]): FoldedChange & { readonly value: Json } {
  return { patches, ...applyPatches(document, patches) };
}

const DOCUMENT = { a: '', b: '', c: { d: '' } };
const patch = fc.record({
  op: fc.constant('set' as const),
  path: fc.constantFrom<(string | number)[]>(['a'], ['b'], ['c', 'd'], ['c', 'e']),
  value: fc.string({ maxLength: 3 }),
});

describe('changes that are folded', () => {
  it('[law] come to both when done, and to what was there before the first when taken back', () => {
    fc.assert(
      fc.property(
        fc.array(patch, { minLength: 1, maxLength: 3 }),
        fc.array(patch, { minLength: 1, maxLength: 3 }),
        (one, two) => {
          const first = changed(DOCUMENT, one);
          const second = changed(first.value, two);
          const folded = foldChanges(first, second);
          const done = applyPatches<Json>(DOCUMENT, folded?.patches ?? []).value;
          expect(done).toEqual(second.value);
          expect(applyPatches(done, folded?.inverse ?? []).value).toEqual(DOCUMENT);
        },
      ),
      { seed: 20_261_201, numRuns: 500 },
    );
  });

  it('of one place are as short as one, and nothing where the second takes the first back', () => {
    const set = (value: string): Patch => ({ op: 'set', path: ['a'], value });
    const first = changed(DOCUMENT, [set('The sky')]);
    const second = changed(first.value, [set('The sky is clear')]);
    expect(foldChanges(first, second)).toEqual({ patches: [set('The sky is clear')], inverse: [set('')] });
    expect(foldChanges(first, changed(first.value, [set('')]))).toBeNull();
  });
});
