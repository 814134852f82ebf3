import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { OUR_TEXTS } from '../../core/words/catalogue';
import { readTextsCsv, writeTextsCsv } from './csv';
import type { TextDocument } from './document';
import { readPo, writePo } from './po';
import { readXliff, writeXliff } from './xliff';

const OURS: TextDocument = {
  sourceLocale: 'en',
  targetLocale: 'ar',
  units: Object.entries(OUR_TEXTS['en'] ?? {}).map(([key, source], index) => ({
    key,
    source,
    target: index % 5 === 0 ? null : ((OUR_TEXTS['ar'] as Record<string, string>)[key] ?? null),
    note: index % 3 === 0 ? `Where it is said: ${key}` : '',
  })),
};

/** Any text that XML and PO can carry: no control characters but line feed and tab, no half of a pair. */
const word = fc
  .string({ unit: 'grapheme', maxLength: 30 })
  .map((text) => text.replace(/[\u0000-\u0008\u000b-\u001f\u007f-\u009f\u0085\u2028\u2029\ufffe\uffff]/g, ''))
  .filter((text) => !/[\ud800-\udfff]/u.test(text));
const filled = word.filter((text) => text !== '');
const documents = fc
  .uniqueArray(
    fc.record({
      key: fc.stringMatching(/^[a-z][a-z.#/]{1,20}$/),
      source: filled,
      target: fc.option(filled, { nil: null }),
      note: fc.constant(''),
    }),
    {
      selector: ({ key }) => key,
      maxLength: 8,
    },
  )
  .map((units): TextDocument => ({ sourceLocale: 'en', targetLocale: 'pt-BR', units }));

describe('XLIFF', () => {
  it.each(['1.2', '2.1'] as const)('carries the whole catalogue there and back in version %s', (version) => {
    expect(readXliff(writeXliff(OURS, version))).toEqual({ ok: true, value: { value: OURS, unsaid: [] } });
  });

  it('law: reading what was written gives the same texts, markup and white space in them included', () => {
    fc.assert(
      fc.property(documents, fc.constantFrom('1.2' as const, '2.1' as const), (made, version) => {
        expect(readXliff(writeXliff(made, version))).toEqual({
          ok: true,
          value: { value: made, unsaid: [] },
        });
      }),
      { numRuns: 600, seed: 20261126 },
    );
  });

  it('leaves tags inside of a text out and tells whose; keys that are missing or come twice too', () => {
    const text = `<xliff version="1.2"><file source-language="en" target-language="pt"><body>
<trans-unit id="a"><source>Ask <g id="1">us</g></source><target>Pergunte</target></trans-unit>
<trans-unit id="a"><source>Again</source></trans-unit><trans-unit><source>Nameless</source></trans-unit></body></file></xliff>`;
    expect(readXliff(text)).toMatchObject({
      ok: true,
      value: {
        value: { units: [{ key: 'a', source: 'Ask us', target: 'Pergunte' }] },
        unsaid: [
          { what: 'inline-tag', about: 'a' },
          { what: 'twice', about: 'a' },
          { what: 'no-key', about: 'Nameless' },
        ],
      },
    });
  });

  it.each([
    ['<html/>', 'not-xliff', 1],
    ['<xliff version="3.0"/>', 'unknown-version', 1],
    ['<xliff version="2.1"/>', 'no-language', 1],
    ['<xliff version="1.2">\n<file source-language="en">', 'not-xml', 2],
    ['<!DOCTYPE x [<!ENTITY a "b">]><xliff version="1.2"/>', 'not-xml', 1],
    ['', 'not-xml', 1],
  ] as const)('refuses %s as %s at its line', (text, reason, line) => {
    expect(readXliff(text)).toEqual({ ok: false, errors: { reason, line } });
  });
});

describe('gettext PO', () => {
  it('carries the whole catalogue there and back', () => {
    expect(readPo(writePo(OURS))).toEqual({ ok: true, value: { value: OURS, unsaid: [] } });
  });

  it('law: reading what was written gives the same texts', () => {
    fc.assert(
      fc.property(documents, (made) => {
        expect(readPo(writePo(made))).toEqual({ ok: true, value: { value: made, unsaid: [] } });
      }),
      { numRuns: 600, seed: 20261126 },
    );
  });

  it('counts fuzzy ones as not translated, and tells plurals of its own and texts without a key', () => {
    const head = 'msgid ""\nmsgstr "Language: pt\\n"\n\n';
    const body =
      '#, fuzzy\nmsgctxt "a"\nmsgid "Ask"\nmsgstr "Pergunte"\n\nmsgctxt "b"\nmsgid "one"\nmsgid_plural "many"\nmsgstr[0] "um"\nmsgstr[1] "muitos"\n\nmsgid "loose"\nmsgstr "solto"\n';
    expect(readPo(head + body)).toMatchObject({
      ok: true,
      value: {
        value: { targetLocale: 'pt', units: [{ key: 'a', target: null }] },
        unsaid: [
          { what: 'no-key', about: 'loose' },
          { what: 'plural', about: 'b' },
        ],
      },
    });
  });

  it('refuses what is none, with its line', () => {
    expect(readPo('msgid ""\nmsgstr "Language: pt\\n"\n\nnonsense here\n')).toMatchObject({
      ok: false,
      errors: { reason: 'not-po', line: 4 },
    });
    expect(readPo('msgctxt "a"\nmsgid "b"\nmsgstr "c"\n')).toMatchObject({
      ok: false,
      errors: { reason: 'no-language' },
    });
  });
});

describe('CSV', () => {
  const round = (document: TextDocument) => {
    const read = readTextsCsv(writeTextsCsv(document));
    return read.ok ? read.value : read.errors;
  };

  it('[H19] what is written is read back as it was, in ours and in any text', () => {
    expect(round(OURS)).toEqual({ value: OURS, unsaid: [] });
    fc.assert(
      fc.property(documents, (document) => {
        expect(round(document)).toEqual({ value: document, unsaid: [] });
      }),
      { numRuns: 300, seed: 20261126 },
    );
  });

  it('nothing a spreadsheet would run is written as it is', () => {
    const units = ['=1+1', '+1', '-1', '@x', "'=1", "''=1"].map((source, place) => ({
      key: `k${place}`,
      source,
      target: source,
      note: '',
    }));
    const document = { sourceLocale: 'en', targetLocale: 'de', units };
    const cells = writeTextsCsv(document)
      .split('\r\n')
      .slice(1, -1)
      .map((line) => line.split(',')[1]);
    for (const cell of cells) expect(cell?.startsWith("'"), cell).toBe(true);
    expect(round(document)).toEqual({ value: document, unsaid: [] });
  });

  it('reads what spreadsheets make of it: semicolons, tabs, no byte order mark, empty rows', () => {
    expect(readTextsCsv('key;en;de;note\n\ngreeting;"Hello; you";Hallo;\n')).toMatchObject({
      ok: true,
      value: { value: { units: [{ key: 'greeting', source: 'Hello; you', target: 'Hallo', note: '' }] } },
    });
  });

  it('refuses what is none, at its line; a key that came twice is told', () => {
    expect(readTextsCsv('hello,en,de\n')).toEqual({ ok: false, errors: { line: 1, reason: 'not-csv' } });
    expect(readTextsCsv('key,en\n')).toEqual({ ok: false, errors: { line: 1, reason: 'no-language' } });
    expect(readTextsCsv('key,en,de,note\na,"b,c\n')).toMatchObject({
      ok: false,
      errors: { reason: 'not-csv' },
    });
    expect(readTextsCsv('key,en,de,note\na,b,c,\na,x,y,\n')).toMatchObject({
      ok: true,
      value: { unsaid: [{ what: 'twice', about: 'a' }] },
    });
  });
});
