import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BRAND_SWATCHES } from '../model/defaults';
import { LOOK_NAMES, type Look } from '../model/look';
import { defaultLook } from '../model/starting-looks';
import { contrast, luminance } from './contrast';
import { nearestOnAll, nearestPassing } from './nearest';
import { deltaE, hexOf, lchOf, mixed } from './oklch';
import { judgePairs, judgedOf, mendOf, withOwn } from './pairs';
import { NO_RING, TEXT_RATIO, paletteOf, textOn } from './palette';

const HEX = fc.integer({ min: 0, max: 0xffffff }).map((value) => `#${value.toString(16).padStart(6, '0')}`);
const failing = (look: Look, scheme: 'day' | 'evening' = 'day') =>
  judgePairs(judgedOf(look, scheme))
    .filter(({ passes }) => !passes)
    .map(({ text, ground }) => `${text} on ${ground}`);

describe('contrast', () => {
  it('is 1 for the same colour, 21 for black on white, the same either way round', () => {
    expect(contrast('#777777', '#777777')).toBe(1);
    expect(contrast('#000000', '#ffffff')).toBe(21);
    expect(contrast('#ffffff', '#000000')).toBe(21);
  });

  it('agrees with the published values of WCAG to two digits', () => {
    expect(contrast('#767676', '#ffffff')).toBeCloseTo(4.54, 2);
    expect(contrast('#e79a1b', '#fbf6ea')).toBeCloseTo(2.17, 1);
    expect(luminance('#ff0000')).toBeCloseTo(0.2126, 4);
  });

  it('throws for what is not six digits', () => {
    expect(() => contrast('#fff', '#000000')).toThrow(RangeError);
    expect(() => luminance('red')).toThrow(RangeError);
  });
});

describe('the palette', () => {
  it('an amber brand gets dark header text, never white', () => {
    expect(textOn('#e79a1b')).not.toBe('#ffffff');
    expect(contrast(textOn('#e79a1b'), '#e79a1b')).toBeGreaterThan(TEXT_RATIO);
  });

  it('a launcher that is hard to see on white gets a ring, another gets none', () => {
    expect(paletteOf(defaultLook('#f7e463'), 'day').ring).not.toBe(NO_RING);
    expect(paletteOf(defaultLook('#7a2e5d'), 'day').ring).toBe(NO_RING);
  });

  it('the colours offered at the first run all read with text on them', () => {
    for (const brand of BRAND_SWATCHES)
      expect(contrast(textOn(brand), brand), brand).toBeGreaterThanOrEqual(TEXT_RATIO);
  });

  it('law: every pair of a derived palette passes, in all six looks, day and evening, whatever the brand and the second colour', () => {
    const extremes = [
      '#000000',
      '#ffffff',
      '#777777',
      '#808080',
      '#ffffe0',
      '#ff0000',
      '#00ff00',
      '#0000ff',
      '#ffff00',
      '#010101',
      '#fefefe',
    ];
    const passes = (brand: string, second: string | null): void => {
      for (const name of LOOK_NAMES)
        for (const scheme of ['day', 'evening'] as const) {
          const wrong = failing({ ...defaultLook(brand), name, second }, scheme);
          if (wrong.length > 0)
            throw new Error(`${name} ${scheme}: ${wrong.join(', ')} for ${brand} and ${second}.`);
        }
    };
    for (const one of extremes) passes(one, null);
    fc.assert(fc.property(HEX, fc.option(HEX, { nil: null }), passes), { numRuns: 200, seed: 20261126 });
  });

  it('law: what is derived can be read on grounds that were set by hand', () => {
    const grounds = fc.record({
      ground: HEX,
      responder: HEX,
      visitor: HEX,
      header: HEX,
      launcher: HEX,
      button: HEX,
    });
    fc.assert(
      fc.property(HEX, grounds, (brand, { ground, ...own }) => {
        const day = { ...own, ground, field: ground, responder: ground };
        expect(failing({ ...defaultLook(brand), own: { day, evening: {} } })).toEqual([]);
      }),
      { numRuns: 300, seed: 20261126 },
    );
  });

  it('a colour by hand holds in its scheme only, and what follows from it follows', () => {
    const look = withOwn(defaultLook('#1f6f6b'), 'day', 'launcher', '#fff3b0');
    expect([
      paletteOf(look, 'day').launcher,
      contrast(paletteOf(look, 'day').onLauncher, '#fff3b0') > 4.5,
    ]).toEqual(['#fff3b0', true]);
    expect(paletteOf(look, 'evening').launcher).toBe('#1f6f6b');
    expect(paletteOf(withOwn(look, 'day', 'launcher', null), 'day')).toEqual(
      paletteOf(defaultLook('#1f6f6b'), 'day'),
    );
  });
});

describe('a header that is more than one colour', () => {
  it('is judged where its words are read worst, not at its ends', () => {
    // Red and green of one lightness: in between lies a darker olive, on which black text is read worst.
    const look = { ...withOwn(defaultLook('#ff6a6a'), 'day', 'onHeader', '#000000'), headerTo: '#2fb52f' };
    const [pair] = judgePairs(judgedOf(look, 'day'));
    const ends = [contrast('#000000', '#ff6a6a'), contrast('#000000', '#2fb52f')];
    expect(pair?.text).toBe('onHeader');
    expect(pair?.ratio).toBeLessThan(Math.min(...ends) - 0.1);
    expect(pair?.back).not.toMatch(/#ff6a6a|#2fb52f/);
  });

  it('mixes as a browser does, in sRGB', () => {
    expect(mixed('#000000', '#ffffff', 0.5)).toBe('#808080');
    expect(mixed('#ff0000', '#0000ff', 0.25)).toBe('#bf0040');
  });

  it('from black to white no text reads: the far end moves until one does', () => {
    const look = { ...withOwn(defaultLook('#000000'), 'day', 'onHeader', '#ffffff'), headerTo: '#ffffff' };
    expect(failing(look)).toEqual(['onHeader on header']);
    const mend = mendOf(look, 'day', { text: 'onHeader', ground: 'header', needs: 4.5 });
    expect(mend).toMatchObject({ colour: 'headerTo', from: '#ffffff' });
    expect(failing({ ...look, headerTo: mend?.to ?? '' })).toEqual([]);
  });
});

describe('mending a pair', () => {
  it('takes the nearest colour of the text that passes, and spoils no other pair', () => {
    const look = withOwn(defaultLook('#1f6f6b'), 'day', 'shade', '#c0c0c0');
    expect(failing(look)).toEqual(['shade on ground', 'shade on field']);
    const mend = mendOf(look, 'day', { text: 'shade', ground: 'ground', needs: 4.5 });
    expect(mend?.colour).toBe('shade');
    expect(failing(withOwn(look, 'day', 'shade', mend?.to ?? null))).toEqual([]);
    expect(contrast(mend?.to ?? '', '#fffdf8')).toBeLessThan(4.6);
    // Both are mended by the same colour, not each by its own.
    expect(mendOf(look, 'day', { text: 'shade', ground: 'field', needs: 4.5 })).toEqual(mend);
  });

  it('where no text colour would do, the ground moves', () => {
    // On a button and a far lighter one under the pointer nothing reads on both.
    const look = withOwn(
      withOwn(defaultLook('#1f6f6b'), 'day', 'button', '#101010'),
      'day',
      'buttonHover',
      '#fafafa',
    );
    expect(failing(look)).toEqual(['onButton on buttonHover']);
    const mend = mendOf(look, 'day', { text: 'onButton', ground: 'buttonHover', needs: 4.5 });
    expect(mend?.colour).toBe('buttonHover');
    expect(failing(withOwn(look, 'day', 'buttonHover', mend?.to ?? null))).toEqual([]);
  });

  it('there is nothing to mend where it passes', () => {
    expect(mendOf(defaultLook('#1f6f6b'), 'day', { text: 'ink', ground: 'ground', needs: 4.5 })).toBeNull();
  });

  it('law: what is offered mends its pair and spoils none, for texts set by hand', () => {
    const own = fc.record(
      { ink: HEX, link: HEX, onVisitor: HEX, visitor: HEX, onButton: HEX, edge: HEX },
      { requiredKeys: [] },
    );
    fc.assert(
      fc.property(HEX, own, (brand, day) => {
        const look = { ...defaultLook(brand), own: { day, evening: {} } };
        const before = failing(look);
        for (const pair of judgePairs(judgedOf(look, 'day')).filter(({ passes }) => !passes)) {
          const mend = mendOf(look, 'day', pair);
          if (mend === null || mend.colour === 'headerTo') continue;
          const after = failing(withOwn(look, 'day', mend.colour, mend.to));
          expect(after).not.toContain(`${pair.text} on ${pair.ground}`);
          expect(after.filter((one) => !before.includes(one))).toEqual([]);
        }
      }),
      { numRuns: 60, seed: 20261126 },
    );
  });
});

describe('the nearest colour that passes', () => {
  it('is the colour itself where it passes, and never further than black or white', () => {
    expect(nearestPassing('#1f6f6b', '#ffffff', 4.5)).toBe('#1f6f6b');
    const amber = nearestPassing('#e79a1b', '#ffffff', 4.5);
    expect(contrast(amber, '#ffffff')).toBeGreaterThanOrEqual(4.5);
    expect(deltaE('#e79a1b', amber)).toBeLessThan(deltaE('#e79a1b', '#000000'));
  });

  it('goes the shorter way: a dark grey on a mid ground gets darker, not white', () => {
    expect(contrast(nearestPassing('#404040', '#8a8a8a', 4.5), '#000000')).toBeLessThan(2);
  });

  it('on grounds of which one is light and one dark there may be none', () => {
    const meets = ['#000000', '#ffffff'].map((color) => ({ color, needs: 7 }));
    expect(nearestOnAll('#1f6f6b', meets)).toBeNull();
  });

  it('law: it passes, keeps the hue within 3°, and nothing of that hue that passes is nearer, whatever its chroma', () => {
    fc.assert(
      fc.property(HEX, HEX, fc.constantFrom(3, 4.5), (color, ground, needs) => {
        const found = nearestPassing(color, ground, needs);
        if (found === '#000000' || found === '#ffffff') return;
        expect(contrast(found, ground)).toBeGreaterThanOrEqual(needs);
        const [from, to] = [lchOf(color), lchOf(found)];
        if (from.c > 0.03 && to.c > 0.03) {
          const turn = Math.abs(from.h - to.h) % 360;
          expect(Math.min(turn, 360 - turn)).toBeLessThanOrEqual(3);
        }
        for (let step = 1; step < 40; step++)
          for (const share of [0.7, 0.85, 1]) {
            const other = hexOf({ l: step / 40, c: from.c * share, h: from.h });
            if (contrast(other, ground) >= needs)
              expect(deltaE(color, found)).toBeLessThanOrEqual(deltaE(color, other) + 0.006);
          }
      }),
      { numRuns: 700, seed: 20261126 },
    );
  });
});
