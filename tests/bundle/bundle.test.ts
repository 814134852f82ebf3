import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { describe, expect, it } from 'vitest';
import { OUR_TEXTS } from '../../src/core/words/catalogue';
import { madeDesign, madeSite } from '../made/site';

const DIR = 'dist/widget';
const bundle = (name: string) => readFileSync(join(DIR, name));
const { panel: panelName, watch: watchName } = JSON.parse(bundle('built.json').toString()) as { panel: string; watch: string };
const gz = (bytes: Uint8Array) => gzipSync(bytes, { level: 9 }).length;
const KB = 1024;

describe('the guest’s bytes', () => {
  it('porch.js is at most 11.5 KB on its way to 10 (12 is the hard limit), the watch 7 KB, the panel 28 KB', () => {
    expect(gz(bundle('porch.js'))).toBeLessThanOrEqual(11.5 * KB);
    expect(gz(bundle(watchName))).toBeLessThanOrEqual(7 * KB);
    expect(gz(bundle(panelName))).toBeLessThanOrEqual(28 * KB);
  });

  it('a design file of a locale is at most 6 KB, and facts at most 1.5 KB', () => {
    const site = madeSite({ design: madeDesign({}, { locales: ['en', 'pt', 'de', 'ar'] }), locale: 'ar' });
    expect(gz(Buffer.from(JSON.stringify(site.design)))).toBeLessThanOrEqual(6 * KB);
    expect(gz(Buffer.from(JSON.stringify(site.facts)))).toBeLessThanOrEqual(1.5 * KB);
  });

  it('only three files are built, and panel and watch are named by their content', () => {
    expect(readdirSync(DIR).sort()).toEqual(['built.json', panelName, watchName, 'porch.js'].sort());
    expect(panelName).toMatch(/^panel-[0-9a-f]{16}\.js$/);
    expect(watchName).toMatch(/^watch-[0-9a-f]{16}\.js$/);
  });
});

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
      for (const text of Object.values(texts)) if (text.length > 14) expect(both.includes(text), `${locale}: ${text}`).toBe(false);
  });

  it('[threat 10] builds nothing from text: no eval, no new Function, no innerHTML', () => {
    expect(bundle('porch.js').toString()).not.toMatch(/\beval\(|new Function|innerHTML|outerHTML|insertAdjacentHTML|document\.write/);
    expect(bundle(watchName).toString()).not.toMatch(/\beval\(|new Function|innerHTML|insertAdjacentHTML|document\.write/);
    expect(bundle(panelName).toString()).not.toMatch(/\beval\(|new Function|insertAdjacentHTML|document\.write/);
  });
});

/** Lines for the webmaster's console, in English only. */
const CONSOLE_ONLY = [
  'No site has the key',
  "This page's address",
  'The server could not be reached',
  'The widget could not start',
  'Something went wrong inside',
  'The window could not be opened',
  'The tag has no valid',
  'The tag stands twice',
  'The panel was asked for',
  'The stream answered',
];
