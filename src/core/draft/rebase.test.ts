import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { applyPatches, valueAt } from './patch';
import type { Patch } from '../model/json';
import type { Json } from '../model/json';
import { rebase } from './rebase';

const set = (path: (string | number)[], value: Json): Patch => ({ op: 'set', path, value });
const BASE: Json = {
  list: [
    { id: 'a', text: 'A' },
    { id: 'b', text: 'B' },
  ],
  texts: { en: { one: '1', two: '2' } },
};
const after = (...patches: Patch[]): Json => applyPatches(BASE, patches).value;

describe('rebase', () => {
  it('finds what stands in a list by its id, not by its place', () => {
    const newer = after({ op: 'remove', path: ['list', 0] });
    expect(rebase([set(['list', 1, 'text'], 'mine')], BASE, newer).patches).toEqual([
      set(['list', 0, 'text'], 'mine'),
    ]);
  });

  it('what both put behind a list’s end stands behind one another', () => {
    const newer = after(set(['list', 2], { id: 'c', text: 'theirs' }));
    expect(rebase([set(['list', 2], { id: 'd', text: 'mine' })], BASE, newer)).toMatchObject({
      patches: [{ path: ['list', 3] }],
      clashes: [],
    });
  });

  it('a change of what was taken away is lost and said to be, and changes nothing else', () => {
    const newer = after({ op: 'remove', path: ['list', 0] });
    expect(rebase([set(['list', 0, 'text'], 'mine')], BASE, newer)).toEqual({
      patches: [],
      clashes: [],
      isLost: true,
    });
  });

  it('the same place in two ways is a clash with both; in the same way, or taken away by both, it is none', () => {
    const newer = after(set(['texts', 'en', 'one'], 'theirs'));
    expect(rebase([set(['texts', 'en', 'one'], 'mine')], BASE, newer)).toEqual({
      patches: [],
      clashes: [{ path: ['texts', 'en', 'one'], mine: 'mine', theirs: 'theirs' }],
      isLost: false,
    });
    expect(rebase([set(['texts', 'en', 'one'], 'theirs')], BASE, newer)).toEqual({
      patches: [],
      clashes: [],
      isLost: false,
    });
    const gone: Patch = { op: 'remove', path: ['texts', 'en', 'one'] };
    expect(rebase([gone], BASE, newer).clashes).toEqual([
      { path: ['texts', 'en', 'one'], mine: undefined, theirs: 'theirs' },
    ]);
    expect(rebase([gone], BASE, after(gone))).toEqual({ patches: [], clashes: [], isLost: false });
  });

  it('two who give a language its first words keep both, and clash only where both said the same text', () => {
    const newer = after(set(['texts', 'pt'], { one: 'theirs', three: 'both' }));
    expect(rebase([set(['texts', 'pt'], { two: 'mine', three: 'both', one: 'mine' })], BASE, newer)).toEqual({
      patches: [set(['texts', 'pt', 'two'], 'mine')],
      clashes: [{ path: ['texts', 'pt', 'one'], mine: 'mine', theirs: 'theirs' }],
      isLost: false,
    });
  });

  it('law: what is kept says what I said, what clashes still says what they said, and the rest is theirs', () => {
    const name = fc.constantFrom('one', 'two', 'three', 'four');
    const edits = fc.dictionary(name, fc.constantFrom('x', 'y', 'z'), { minKeys: 1 });
    fc.assert(
      fc.property(edits, edits, (mine, theirs) => {
        const patchesOf = (words: Record<string, string>) =>
          Object.entries(words).map(([key, text]) => set(['texts', 'en', key], text));
        const newer = after(...patchesOf(theirs));
        const { patches, clashes } = rebase(patchesOf(mine), BASE, newer);
        const merged = applyPatches(newer, patches).value;
        const base = valueAt(BASE, ['texts', 'en']) as Record<string, string>;
        for (const key of ['one', 'two', 'three', 'four']) {
          const isClash =
            key in mine && key in theirs && mine[key] !== theirs[key] && theirs[key] !== base[key];
          const expected = key in mine && !isClash ? mine[key] : (theirs[key] ?? base[key]);
          expect(valueAt(merged, ['texts', 'en', key])).toBe(expected);
          expect(clashes.some(({ path }) => path[2] === key)).toBe(isClash);
        }
      }),
    );
  });
});
