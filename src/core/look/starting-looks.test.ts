import { describe, expect, it } from 'vitest';
import { LOOK_NAMES } from '../model/look';
import { defaultWidget } from '../model/defaults';
import { matrixOf, seenBy } from './deficiency';
import { shadeOver, shaded } from './scrim';
import { contrast } from './contrast';
import { mixed } from './oklch';
import { changedBy, lookValues, withStartingLook } from './starting-looks';
import { toWireLook } from './compile';

const widget = defaultWidget('#7a2e5d', () => 'id');

describe('starting looks', () => {
  it('one changes look values and nothing else, and says how many; back to the first one nothing is left of it', () => {
    for (const name of LOOK_NAMES) {
      const other = withStartingLook(widget, name);
      expect({ ...other, look: widget.look, launcher: widget.launcher }).toEqual(widget);
      expect(other.launcher.wordsFrom).toBe(widget.launcher.wordsFrom);
      expect(other.look.brand).toBe('#7a2e5d');
      const { changed, of } = changedBy(widget, name);
      const [before, after] = [lookValues(widget), lookValues(other)];
      expect(changed).toBe(Object.keys(before).filter((one) => before[one] !== after[one]).length);
      expect(of).toBe(Object.keys(before).length);
      expect(withStartingLook(other, 'front-door')).toEqual(widget);
      expect(changed === 0).toBe(name === 'front-door');
    }
  });

  it('logo, pictures and own CSS stay; colours by hand go, and are counted', () => {
    const logo = { once: 'a'.repeat(40), twice: 'b'.repeat(40), width: 80, height: 28 };
    const own = { day: { header: '#101010' }, evening: {} };
    const mine = { ...widget, look: { ...widget.look, logo, css: '.head{color:red}', own } };
    const next = withStartingLook(mine, 'front-door').look;
    expect([next.logo, next.css, next.own]).toEqual([logo, '.head{color:red}', { day: {}, evening: {} }]);
    // The header, and its words, which followed from it, come back; white reads on both.
    expect(changedBy(mine, 'front-door').changed).toBe(1);
  });

  it('each look has another palette and other words of style than every other', () => {
    const all = LOOK_NAMES.map((name) => JSON.stringify(toWireLook(withStartingLook(widget, name).look)));
    expect(new Set(all).size).toBe(LOOK_NAMES.length);
  });

  it('a header without its picture goes out as a plain one', () => {
    expect(toWireLook(withStartingLook(widget, 'garden-party').look).style).not.toContain('header-');
  });
});

describe('words over a picture', () => {
  const picture = { darkest: '#000000', lightest: '#ffffff' };
  it('get as much of the header’s colour as they need on every pixel, and not more', () => {
    const share = shadeOver(picture, '#7a2e5d', '#ffffff');
    for (const pixel of ['#000000', '#ffffff', '#808080', '#ff0000', '#00ffff', '#ffff00'])
      expect(contrast('#ffffff', mixed(pixel, '#7a2e5d', share)), pixel).toBeGreaterThanOrEqual(4.5);
    expect(contrast('#ffffff', mixed('#ffffff', '#7a2e5d', share - 0.02))).toBeLessThan(4.5);
    expect(shadeOver({ darkest: '#000000', lightest: '#202020' }, '#7a2e5d', '#ffffff')).toBe(0);
  });

  it('a text whose own lightness occurs in the picture is not read by its ends alone', () => {
    // On black and on white #767676 has 4.5:1 each; on the greys between them it is not to be seen.
    const grounds = shaded(picture, '#767676', '#767676');
    expect(Math.min(...grounds.map((ground) => contrast('#767676', ground)))).toBeLessThan(1.1);
  });
});

describe('how colours are seen', () => {
  it('without red or green, red and green of one lightness are nearly the same; without blue they are not', () => {
    const far = (sight: 'red' | 'green' | 'blue') =>
      contrast(seenBy(sight, '#c04040'), seenBy(sight, '#408040'));
    expect(seenBy('none', '#c04040')).toMatch(/^#(..)\1\1$/);
    expect(far('green')).toBeLessThan(1.6);
    expect(seenBy('blue', '#c04040')).not.toBe(seenBy('blue', '#408040'));
  });

  it('the matrix for the stage does to a colour what the samples do', () => {
    for (const sight of ['green', 'red', 'blue', 'none'] as const) {
      const rows = matrixOf(sight).split(' ').map(Number);
      const [r, g, b] = [0x7a, 0x2e, 0x5d];
      const made = [0, 5, 10].map((at) =>
        Math.round((rows[at] ?? 0) * r + (rows[at + 1] ?? 0) * g + (rows[at + 2] ?? 0) * b),
      );
      const seen = Number.parseInt(seenBy(sight, '#7a2e5d').slice(1), 16);
      [seen >> 16, (seen >> 8) & 255, seen & 255].forEach((value, at) =>
        expect(Math.abs(value - (made[at] ?? 0))).toBeLessThanOrEqual(1),
      );
    }
  });
});
