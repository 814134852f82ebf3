import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { rewriteCss } from './own-css';
import { EVASIONS } from '../../../tests/made/css-evasions';

const css = (text: string) => rewriteCss(text).css.replaceAll('.root.root.root ', '.root ');
const told = (text: string) =>
  rewriteCss(text).dropped.map(({ line, code, detail }) => `${line} ${code} ${detail}`);

describe('an owner’s own CSS', () => {
  it('what is allowed comes out, written anew, within the widget’s root', () => {
    expect(css('.HEAD,.head{ letter-spacing : .5PX ; } /* x */')).toBe('.root .head{letter-spacing:0.5px}');
    expect(
      css(
        '.card.visitor > .who:hover, .send { color: #fff; background: linear-gradient(90deg, var(--accent) 10%, red) }',
      ),
    ).toBe(
      '.root .card.visitor>.who:hover,.root .send{color:#fff;background:linear-gradient(90deg, var(--accent) 10%, red)}',
    );
    expect(css('.title { text-shadow: -1px 1px 2px rgb(0 0 0 / .4) }')).toBe(
      '.root .title{text-shadow:-1px 1px 2px rgb(0 0 0 / 0.4)}',
    );
    expect(css('.card { border-radius: 50% 4px; padding-inline: 1.5em }')).toBe(
      '.root .card{border-radius:50% 4px;padding-inline:1.5em}',
    );
    expect(css('')).toBe('');
  });

  it('what was dropped is listed at its line, with what it was and why', () => {
    const text = `.head { color: red }
.head { position: fixed;
  opacity: .1 }
@import url(x.css);
.card { padding: 900px; color: url(x) }
.face { color: blue !important; .who { color: red } }
body { color: red }
.send { color: red`;
    expect(told(text)).toEqual([
      '2 property position',
      '3 value opacity: .1',
      '4 at-rule @import',
      '5 size padding: 900px',
      '5 value color: url(x)',
      '6 important color: blue !important',
      '6 nested .who { color: red }',
      '7 selector body',
    ]);
    expect(css(text)).toBe('.root .head{color:red}\n.root .face{color:blue}\n.root .send{color:red}');
  });

  it.each([
    ['a negative margin covers others', '.card { margin: -20px }'],
    ['a padding as wide as the page covers it', '.launcher { padding: 50% }'],
    ['a large shadow covers the page', '.launcher { box-shadow: 0 0 0 4000px red }'],
    ['an invisible launcher takes clicks', '.launcher { opacity: 0 }'],
    ['sizes of the page’s', '.head { padding: 3rem; font-size: 5vw }'],
    ['letters too small or too large to read', '.head { font-size: 4px; font-size: 9em; font-size: 300px }'],
    ['sizes that are worked out', '.head { padding: calc(60px * 60) }'],
  ])('%s: dropped', (_, text) => {
    expect(css(text)).toBe('');
    expect(told(text).length).toBeGreaterThan(0);
  });

  it('[threat 12] forty ways to reach out, cover or read come out empty, each with a reason', () => {
    expect(EVASIONS.length).toBeGreaterThanOrEqual(40);
    for (const [name, text] of EVASIONS) {
      const { css: made, dropped } = rewriteCss(text);
      expect(made, name).toBe('');
      expect(dropped.length, name).toBeGreaterThan(0);
    }
  });

  it('[threat 12] law: whatever is put in, nothing but rules on parts of the widget comes out; put in again, it comes out the same', () => {
    const scrap = fc.constantFrom(
      ...EVASIONS.map(([, text]) => text),
      '.head',
      '{',
      '}',
      ';',
      'color:red',
      'url(',
      ')',
      '\\',
      '/*',
      '*/',
      '"',
      '@media',
      '&',
      ':host',
      'background:#fff',
      '.card:hover{padding:4px}',
      '\n',
      '\u0000',
      '<!--',
    );
    const SAFE = /^(\.root [a-z.:>+~ ,-]+\{[a-z-]+:[a-z0-9#%.,()/ -]+(;[a-z-]+:[a-z0-9#%.,()/ -]+)*\}\n?)*$/i;
    fc.assert(
      fc.property(fc.array(scrap, { maxLength: 30 }), (scraps) => {
        const made = css(scraps.join(''));
        expect(made).toMatch(SAFE);
        expect(made).not.toMatch(/url|@|expression|position|content/i);
        expect(css(made.replaceAll('.root ', ''))).toBe(made);
      }),
      { numRuns: 2000, seed: 20261126 },
    );
  });
});
