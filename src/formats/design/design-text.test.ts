import { describe, expect, it } from 'vitest';
import { anyDesign } from '../../../tests/made/chance';
import { diceOf } from '../../../tests/made/dice';
import { madeDesign } from '../../../tests/made/site';
import { placedFaults, readDesignText, writeDesignText } from './design-text';

const faultsOf = (text: string) => {
  const read = readDesignText(text);
  return read.ok
    ? []
    : read.errors.map(({ line, column, path, code }) =>
        `${line}:${column} ${path} ${code}`.replace('  ', ' '),
      );
};

describe('a design as a file', () => {
  it('law: what was written is read back to the value', () => {
    for (let seed = 1; seed <= 60; seed++) {
      const design = anyDesign(diceOf(seed));
      expect(readDesignText(writeDesignText(design))).toEqual({
        ok: true,
        value: JSON.parse(JSON.stringify(design)) as unknown,
      });
    }
  });

  it('what is no JSON is told at line and column, each fault by its own code', () => {
    expect(faultsOf('{\n  "v": 1,\n  "siteName" "Farrow"\n}')).toEqual(['3:14 ColonExpected']);
    expect(faultsOf('{\n  "v": 1,\n}')).toEqual(['3:1 PropertyNameExpected', '3:1 ValueExpected']);
    expect(faultsOf('{ "v": 1 // one\n}')[0]).toBe('1:10 InvalidCommentToken');
    expect(faultsOf('')).toEqual(['1:1 ValueExpected']);
    expect(faultsOf('{"a": tru}')[0]).toMatch(/^1:7 InvalidSymbol/);
  });

  it('a name that stands twice is told where it stands again, and nothing is guessed', () => {
    expect(faultsOf('{\n  "v": 1,\n  "widgets": [\n    { "id": "a",\n      "id": "b" }\n  ]\n}')).toEqual([
      '5:7 widgets.0.id twice',
    ]);
  });

  it('nesting is counted before anything walks it', () => {
    expect(faultsOf('['.repeat(100_000))).toEqual(['1:1 too-deep']);
  });

  it('a fault stands at the line of what it means, one of something missing where it should be, in the order of the file', () => {
    const text = writeDesignText(madeDesign());
    const lineOf = (part: string) => text.slice(0, text.indexOf(part)).split('\n').length;
    const faults = placedFaults(text, {
      'widgets.0.look.brand': 'No colour.',
      'widgets.0.place.depth': 'Missing.',
      siteName: 'Too long.',
    });
    expect(faults.map(({ line, path, code, about }) => [line, path, code, about])).toEqual([
      [lineOf('"siteName"'), 'siteName', 'refused', 'Too long.'],
      [lineOf('"place"'), 'widgets.0.place.depth', 'missing', 'depth'],
      [lineOf('"brand"'), 'widgets.0.look.brand', 'refused', 'No colour.'],
    ]);
    expect(placedFaults(text, { '': 'No design.' })).toEqual([
      { line: 1, column: 1, path: '', code: 'refused', about: 'No design.' },
    ]);
  });
});
