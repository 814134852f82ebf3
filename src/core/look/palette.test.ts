import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BRAND_SWATCHES } from '../model/defaults';
import type { Look } from '../model/design';
import { contrast, luminance } from './contrast';
import { TEXT_RATIO, dayPalette, eveningPalette, textOn } from './palette';

const lookOf = (brand: string): Look => ({ name: 'front-door', brand, radius: 12, textSize: 15, scheme: 'visitor' });
const HEX = fc.integer({ min: 0, max: 0xffffff }).map((value) => `#${value.toString(16).padStart(6, '0')}`);
/** Which text meets which ground in the widget. */
const PAIRS = [
  ['ink', 'ground'],
  ['ink', 'responder'],
  ['ink', 'visitor'],
  ['ink', 'field'],
  ['shade', 'ground'],
  ['shade', 'field'],
  ['link', 'ground'],
  ['link', 'responder'],
  ['error', 'ground'],
] as const;

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
    expect(dayPalette(lookOf('#f7e463')).ring).not.toBe('transparent');
    expect(dayPalette(lookOf('#7a2e5d')).ring).toBe('transparent');
  });

  it('the colours offered at the first run all read with text on them', () => {
    for (const brand of BRAND_SWATCHES) expect(contrast(textOn(brand), brand), brand).toBeGreaterThanOrEqual(TEXT_RATIO);
  });

  it('law: every text of the window reads on its ground, day and evening, for any brand', () => {
    fc.assert(
      fc.property(HEX, (brand) => {
        for (const palette of [dayPalette(lookOf(brand)), eveningPalette(lookOf(brand))])
          for (const [text, ground] of PAIRS)
            expect(contrast(palette[text] ?? '', palette[ground] ?? ''), `${text} on ${ground}`).toBeGreaterThanOrEqual(TEXT_RATIO);
      }),
      { numRuns: 2000, seed: 20261124 },
    );
  });

  it('law: text on the brand is the better of white and ink', () => {
    fc.assert(
      fc.property(HEX, (brand) => {
        expect(contrast(textOn(brand), brand)).toBeGreaterThanOrEqual(Math.min(TEXT_RATIO, contrast('#26322d', brand)));
      }),
      { numRuns: 2000, seed: 20261125 },
    );
  });
});
