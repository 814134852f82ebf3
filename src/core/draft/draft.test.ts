import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { madeDesign } from '../../../tests/made/site';
import { differencesOf } from './differences';
import { stepsOf } from './history';
import { PatchError, applyPatches, valueAt } from './patch';
import type { Patch } from '../model/json';
import type { Json } from '../model/json';

describe('applyPatches', () => {
  it('changes a copy and leaves the document as it was', () => {
    const before = { look: { brand: '#111111' }, texts: [1, 2] };
    const { value } = applyPatches(before, [{ op: 'set', path: ['look', 'brand'], value: '#222222' }]);
    expect([before.look.brand, value.look.brand]).toEqual(['#111111', '#222222']);
  });

  it('undoing a removal puts the name back in its place, not at the end', () => {
    const before = { a: 1, b: 2, c: 3 };
    const { value, inverse } = applyPatches(before, [{ op: 'remove', path: ['b'] }]);
    expect(JSON.stringify(applyPatches(value, inverse).value)).toBe('{"a":1,"b":2,"c":3}');
  });

  it.each([
    [['gone', 'x'], 'a parent that is not there'],
    [['list', 5], 'an index beyond the end'],
    [['list', 'x'], 'a name in a list'],
    [['__proto__', 'x'], 'the prototype'],
    [['constructor'], 'the constructor'],
    [[], 'the whole'],
  ])('refuses %j: %s', (path) => {
    const document = { list: [1], text: 'x' };
    expect(() => applyPatches(document, [{ op: 'remove', path }])).toThrow(PatchError);
  });

  it('law: undo after any edit gives the document back to the byte', () => {
    const design = madeDesign() as unknown as Json;
    const places: (string | number)[][] = [];
    const simulation = (node: Json, path: (string | number)[]): void => {
      if (path.length > 0) places.push(path);
      if (Array.isArray(node)) node.forEach((one: Json, index) => simulation(one, [...path, index]));
      else if (typeof node === 'object' && node !== null)
        for (const [name, one] of Object.entries(node)) simulation(one, [...path, name]);
    };
    simulation(design, []);
    const edit = fc.record({
      place: fc.constantFrom(...places),
      kind: fc.constantFrom('set', 'remove', 'add'),
      value: fc.jsonValue(),
    });
    fc.assert(
      fc.property(fc.array(edit, { maxLength: 8 }), (edits) => {
        let now = design;
        const inverses: (readonly Patch[])[] = [];
        for (const { place, kind, value } of edits) {
          const path = kind === 'add' ? [...place.slice(0, -1), 'new'] : place;
          const patch: Patch =
            kind === 'remove' ? { op: 'remove', path } : { op: 'set', path, value: value as Json };
          try {
            const patched = applyPatches(now, [patch]);
            inverses.unshift(patched.inverse);
            now = patched.value;
          } catch (error) {
            if (!(error instanceof PatchError)) throw error;
          }
        }
        for (const inverse of inverses) now = applyPatches(now, inverse).value;
        expect(JSON.stringify(now)).toBe(JSON.stringify(design));
      }),
      { numRuns: 2000, seed: 20261124 },
    );
  });
});

describe('differencesOf', () => {
  it('names each value that differs, also one that came or went', () => {
    const found = differencesOf({ a: 1, b: { c: 2, d: 3 } }, { a: 1, b: { c: 5 }, e: 4 });
    expect(found).toEqual([
      { path: ['b', 'c'], before: 2, after: 5 },
      { path: ['b', 'd'], before: 3, after: undefined },
      { path: ['e'], before: undefined, after: 4 },
    ]);
  });

  it('lists of another length are one difference, of the same length each place', () => {
    expect(differencesOf([1, 2], [1, 3])).toEqual([{ path: [1], before: 2, after: 3 }]);
    expect(differencesOf([1, 2], [1])).toEqual([{ path: [], before: [1, 2], after: [1] }]);
  });

  it('an object that came or went differs in each of its values', () => {
    expect(differencesOf({ a: 1 }, { a: 1, b: { c: { d: 2 } } })).toEqual([
      { path: ['b', 'c', 'd'], before: undefined, after: 2 },
    ]);
    expect(differencesOf({ b: { c: 1 } }, {})).toEqual([{ path: ['b', 'c'], before: 1, after: undefined }]);
    const [drawn, pictured] = [
      { icon: { drawing: 'bell' } },
      { icon: { picture: { once: 'a', twice: 'b' } } },
    ];
    for (const [a, b] of [
      [drawn, pictured],
      [pictured, drawn],
    ] as const) {
      const [only, ...rest] = differencesOf(a, b);
      expect([only?.path, rest]).toEqual([['icon'], []]);
      expect(applyPatches(a, [{ op: 'set', path: ['icon'], value: only?.after ?? null }]).value).toEqual(b);
    }
    expect(differencesOf({}, { b: {} })).toEqual([{ path: ['b'], before: undefined, after: {} }]);
  });

  it('law: none exactly where both are equal', () => {
    fc.assert(
      fc.property(fc.jsonValue(), fc.jsonValue(), (a, b) => {
        const isEqual = JSON.stringify(a) === JSON.stringify(b);
        if (isEqual) expect(differencesOf(a as Json, b as Json)).toEqual([]);
        expect(differencesOf(a as Json, structuredClone(a) as Json)).toEqual([]);
        if (valueAt(a as Json, []) !== undefined && typeof a !== typeof b)
          expect(differencesOf(a as Json, b as Json).length).toBeGreaterThan(0);
      }),
      { numRuns: 1000, seed: 20261124 },
    );
  });
});

describe('stepsOf', () => {
  const log = (...kinds: ('change' | 'undo' | 'redo')[]) => {
    const { done, undone } = stepsOf(kinds.map((kind, index) => ({ revision: index + 1, kind })));
    return { undo: done.at(-1) ?? null, redo: undone.at(-1) ?? null };
  };

  it('undo goes back through changes that were not undone yet', () => {
    expect(log('change', 'change', 'undo')).toEqual({ undo: 1, redo: 2 });
    expect(log('change', 'change', 'undo', 'undo')).toEqual({ undo: null, redo: 1 });
    expect(log('change', 'undo', 'redo')).toEqual({ undo: 1, redo: null });
  });

  it('a new change forgets what could have been done again', () => {
    expect(log('change', 'undo', 'change')).toEqual({ undo: 3, redo: null });
  });

  it('steps without anything to step over change nothing', () => {
    expect(log('undo', 'redo', 'change', 'redo')).toEqual({ undo: 3, redo: null });
  });
});
