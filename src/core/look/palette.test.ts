import { clampChroma, converter, formatHex } from 'culori/fn';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BRAND_SWATCHES } from '../model/defaults';
import type { Look } from '../model/design';
import { contrast, luminance } from './contrast';
import { deltaE, judgePairs, nearestPassing } from './pairs';
import { TEXT_RATIO, dayPalette, eveningPalette, textOn } from './palette';

const toOklch = converter('oklch');
const lookOf = (brand: string): Look => ({ name: 'front-door', brand, radius: 12, textSize: 15, scheme: 'visitor' });
const HEX = fc.integer({ min: 0, max: 0xffffff }).map((value) => `#${value.toString(16).padStart(6, '0')}`);
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

  it('law: every pair of a derived palette passes, day and evening, for 10,000 brands: greys, extremes, near-white yellow too', () => {
    const extremes = [
      '#000000',
      '#ffffff',
      '#777777',
      '#767676',
      '#7f7f7f',
      '#808080',
      '#ffffe0',
      '#fffff0',
      '#ff0000',
      '#00ff00',
      '#0000ff',
      '#ffff00',
      '#00ffff',
      '#ff00ff',
      '#010101',
      '#fefefe',
    ];
    const passes = (brand: string): void => {
      for (const palette of [dayPalette(lookOf(brand)), eveningPalette(lookOf(brand))])
        for (const { text, ground, ratio, needs } of judgePairs(palette))
          if (ratio < needs) throw new Error(`${text} on ${ground} is ${ratio}:1 for ${brand}.`);
    };
    extremes.forEach(passes);
    fc.assert(fc.property(HEX, passes), { numRuns: 10_000, seed: 20261126 });
  });

  it('a pair that somebody made unreadable is found, with what it needs', () => {
    const judged = judgePairs({ ...dayPalette(lookOf('#1f6f6b')), shade: '#cccccc' }).filter(({ passes }) => !passes);
    expect(judged.map(({ text, ground, needs }) => [text, ground, needs])).toEqual([
      ['shade', 'ground', 4.5],
      ['shade', 'field', 4.5],
    ]);
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

  it('law: it passes, keeps the hue within 3°, and nothing of that hue that passes is nearer', () => {
    const hueOf = (color: string) => toOklch(color);
    fc.assert(
      fc.property(HEX, HEX, fc.constantFrom(3, 4.5), (color, ground, needs) => {
        const found = nearestPassing(color, ground, needs);
        if (found === '#000000' || found === '#ffffff') return;
        expect(contrast(found, ground)).toBeGreaterThanOrEqual(needs);
        const [from, to] = [hueOf(color), hueOf(found)];
        if ((from?.c ?? 0) > 0.03 && (to?.c ?? 0) > 0.03) {
          const turn = Math.abs((from?.h ?? 0) - (to?.h ?? 0)) % 360;
          expect(Math.min(turn, 360 - turn)).toBeLessThanOrEqual(3);
        }
        for (let step = 1; step < 40; step++) {
          const other = formatHex(clampChroma({ mode: 'oklch', l: step / 40, c: from?.c ?? 0, h: from?.h ?? 0 }, 'oklch'));
          if (contrast(other, ground) >= needs) expect(deltaE(color, found)).toBeLessThanOrEqual(deltaE(color, other) + 0.006);
        }
      }),
      { numRuns: 1500, seed: 20261126 },
    );
  });

  it('law: text on the brand reads, whatever the brand', () => {
    fc.assert(
      fc.property(HEX, (brand) => {
        expect(contrast(textOn(brand), brand)).toBeGreaterThanOrEqual(TEXT_RATIO);
      }),
      { numRuns: 5000, seed: 20261125 },
    );
  });
});
