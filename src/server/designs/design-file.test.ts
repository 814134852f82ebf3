import { describe, expect, it } from 'vitest';
import { defaultDesign } from '../../core/model/defaults';
import { applyPatches } from '../../core/draft/patch';
import type { Patch } from '../../core/model/json';
import { writeDesignText } from '../../formats/design/design-text';
import { newId } from '../ids';
import { judgeDesignFile } from './design-file';

const plain = defaultDesign('Farrow Isle', 'en', '#7a2e5d', () => newId(1));
const text = (...patches: Patch[]) => writeDesignText(applyPatches(plain, patches).value);
const faultsOf = (written: string) => {
  const judged = judgeDesignFile(written);
  return judged.ok ? [] : judged.errors.map(({ line, path, sentence }) => [line, path, sentence]);
};
const lineOf = (written: string, part: string) => written.slice(0, written.indexOf(part)).split('\n').length;
const at = ['widgets', 0];

describe('a design that comes as a file', () => {
  it('is what was written, to the value, where it fits', () => {
    expect(judgeDesignFile(writeDesignText(plain))).toEqual({ ok: true, value: plain });
  });

  it('each thing that does not fit is told at its line, all of them at once', () => {
    const written = text(
      { op: 'set', path: [...at, 'look', 'brand'], value: 'plum' },
      { op: 'set', path: [...at, 'timings', 'slowReplyAfter'], value: 3 },
      { op: 'set', path: [...at, 'launcher', 'element'], value: '.ours[' },
      { op: 'set', path: [...at, 'colour'], value: 'x' },
    );
    expect(faultsOf(written)).toEqual([
      [lineOf(written, '"element"'), 'widgets.0.launcher.element', 'That is not a CSS selector.'],
      [lineOf(written, '"brand"'), 'widgets.0.look.brand', 'Type the colour as # and six digits.'],
      [lineOf(written, '"slowReplyAfter"'), 'widgets.0.timings.slowReplyAfter', expect.any(String)],
      [lineOf(written, '"colour"'), 'widgets.0.colour', 'Nothing in a design is called so.'],
    ]);
  });

  it('a language that leads nowhere and a text that cannot be said are told too, though each of them is well formed', () => {
    expect(faultsOf(text({ op: 'set', path: ['defaultLocale'], value: 'pt' }))).toEqual([
      [4, 'defaultLocale', '“pt” is not one of the languages of this design.'],
    ]);
    const evening = text({
      op: 'set',
      path: [...at, 'texts'],
      value: { en: { greeting: 'Good {evening}' } },
    });
    expect(faultsOf(evening)).toEqual([
      [
        lineOf(evening, '"greeting"'),
        'widgets.0.texts.en.greeting',
        expect.stringMatching(/^This cannot be published: /),
      ],
    ]);
  });

  it('one of an earlier program gets what did not exist then; what is no design at all is no crash', () => {
    const { limits, ...earlier } = plain;
    const judged = judgeDesignFile(JSON.stringify(earlier));
    expect(judged.ok && judged.value.limits).toEqual(limits);
    for (const other of [
      '{}',
      '[]',
      'null',
      '"x"',
      '{"widgets": 3}',
      '{"widgets": [null]}',
      '{"__proto__": {"v": 1}}',
    ])
      expect(judgeDesignFile(other).ok, other).toBe(false);
    expect(({} as { v?: number }).v).toBeUndefined();
  });
});
