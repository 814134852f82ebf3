import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { brotliDecompressSync, gunzipSync, gzipSync } from 'node:zlib';
import { describe, expect, it } from 'vitest';
import { OUR_TEXTS } from '../../src/core/words/catalogue';
import { FONTS_VERSION } from '../../src/widget/panel/fonts';
import { madeDesign, madeSite } from '../made/site';

const DIR = 'dist/widget';
const bundle = (name: string) => readFileSync(join(DIR, name));
const { panel: panelName, watch: watchName } = JSON.parse(bundle('built.json').toString()) as {
  panel: string;
  watch: string;
};
const gz = (bytes: Uint8Array) => gzipSync(bytes, { level: 9 }).length;
const KB = 1024;

describe('the guest’s bytes', () => {
  it('as sent, porch.js is at most 12 KB, the visit runtime 7 KB, the panel 28 KB', () => {
    const most = { 'porch.js': 12, [watchName]: 7, [panelName]: 28 };
    for (const [name, kb] of Object.entries(most)) {
      const [zipped, brotli] = [bundle(`${name}.gz`), bundle(`${name}.br`)];
      expect(zipped.length, name).toBeLessThanOrEqual(kb * KB);
      expect(brotli.length, name).toBeLessThan(zipped.length);
      expect(gunzipSync(zipped).equals(bundle(name)), name).toBe(true);
      expect(brotliDecompressSync(brotli).equals(bundle(name)), name).toBe(true);
    }
  });

  it('a design file of a locale is at most 6 KB, and facts at most 1.5 KB', () => {
    const site = madeSite({ design: madeDesign({}, { locales: ['en', 'pt', 'de', 'ar'] }), locale: 'ar' });
    expect(gz(Buffer.from(JSON.stringify(site.design)))).toBeLessThanOrEqual(6 * KB);
    expect(gz(Buffer.from(JSON.stringify(site.facts)))).toBeLessThanOrEqual(1.5 * KB);
  });

  it('only five scripts are built, each also as it is sent, and the fonts; panel and watch are named by their content', () => {
    const files = [panelName, watchName, 'porch.js', 'draft.js', 'extras.js'];
    const fonts = ['figtree', 'literata', 'atkinson', 'fraunces'].map(
      (name) => `font-${name}-${FONTS_VERSION}.woff2.gz`,
    );
    expect(readdirSync(DIR).sort()).toEqual(
      ['built.json', ...files, ...files.flatMap((name) => [`${name}.br`, `${name}.gz`]), ...fonts].sort(),
    );
    expect(panelName).toMatch(/^panel-[0-9a-f]{16}\.js$/);
    expect(watchName).toMatch(/^watch-[0-9a-f]{16}\.js$/);
  });
});

describe('names that are shortened in the guest', () => {
  const names = Object.entries(
    JSON.parse(readFileSync('scripts/lib/short-names.json', 'utf8')) as Record<string, string>,
  );

  it('each has one short name of its own, which no page or file has', () => {
    expect(new Set(names.map(([, short]) => short)).size).toBe(names.length);
    for (const [, short] of names) expect(short).toMatch(/^\$[\w$]{1,2}$/);
  });

  it('none is a name of the browser’s own', () => {
    const dom = readFileSync('node_modules/typescript/lib/lib.dom.d.ts', 'utf8');
    const own = new Set([...dom.matchAll(/^ {4}(?:readonly )?(\w+)\??[:(]/gm)].map(([, name]) => name));
    expect(own.has('isConnected') && own.has('addEventListener')).toBe(true);
    expect(names.map(([name]) => name).filter((name) => own.has(name) && !OURS_TOO.includes(name))).toEqual(
      [],
    );
  });

  it('none is read from what is published, told, kept or sent, where other builds and the server read it too', () => {
    const outside = [
      ...WIRE,
      'src/core/model/memory.ts',
      'src/core/model/conversation.ts',
      'src/widget/panel/unsent.ts',
      'src/server/input/visitor.input.ts',
    ];
    const said = new Set(
      outside.flatMap((path) =>
        [...readFileSync(path, 'utf8').matchAll(/^ +(?:readonly (\w+)|(\w+)!)\??:/gm)].map(
          ([, of, written]) => of ?? written,
        ),
      ),
    );
    expect(['overrides', 'token', 'replies', 'leftOut'].filter((name) => !said.has(name))).toEqual([]);
    expect(names.map(([name]) => name).filter((name) => said.has(name))).toEqual([]);
  });
});

/** Names that the browser has as well, where the guest never reads the browser's. */
const OURS_TOO: readonly string[] = ['closedBy', 'moveTo', 'address', 'lines', 'accept'];

const WIRE = readdirSync('src/core/wire')
  .filter((name) => !/publish|test/.test(name))
  .map((name) => `src/core/wire/${name}`);

describe('what ships in the guest', () => {
  const both = bundle('porch.js').toString() + bundle(panelName).toString() + bundle(watchName).toString();

  it('no sentence for visitors is outside of the catalogue', () => {
    const literals = [...both.matchAll(/(["'`])((?:(?!\1)[^\\]|\\.)*)\1/g)].map(([, , text]) => text ?? '');
    const spoken = literals.filter((text) => /^[A-Z][a-z]+( [a-z]+){2,}/.test(text) && !/[{};=]/.test(text));
    const console = spoken.filter((text) => !CONSOLE_ONLY.some((one) => text.startsWith(one)));
    expect(console).toEqual([]);
  });

  it('no text of the catalogue is in it: they come with the design file', () => {
    for (const [locale, texts] of Object.entries(OUR_TEXTS))
      for (const text of Object.values(texts))
        if (text.length > 14) expect(both.includes(text), `${locale}: ${text}`).toBe(false);
  });

  it('[threat 10] builds nothing from text: no eval, no new Function, no innerHTML', () => {
    expect(bundle('porch.js').toString()).not.toMatch(
      /\beval\(|new Function|innerHTML|outerHTML|insertAdjacentHTML|document\.write/,
    );
    expect(bundle(watchName).toString()).not.toMatch(
      /\beval\(|new Function|innerHTML|insertAdjacentHTML|document\.write/,
    );
    expect(bundle(panelName).toString()).not.toMatch(
      /\beval\(|new Function|insertAdjacentHTML|document\.write/,
    );
  });
});

/** Lines for the webmaster's console, in English only. */
const CONSOLE_ONLY = [
  'Unknown data-site. Copy the snippet',
  'This address is not on the site',
  'The server cannot be reached.',
  'Something went wrong',
  'The snippet is on this page twice.',
  'The stream answered',
];
