import { describe, expect, it } from 'vitest';
import { defaultLook } from '../model/starting-looks';
import { judgeOnPage, mendOnPage } from './on-page';
import { judgePairs, judgedOf, withOwn } from './pairs';
import { NO_RING, paletteOf } from './palette';
import { brandProposals, exactColours, fewColours } from './proposals';

describe('brand colours from a logo', () => {
  it('the largest colour first, edges and paper never, greys only where there is nothing else', () => {
    const logo = [
      { color: '#ffffff', share: 0.6 },
      { color: '#2a2a2a', share: 0.2 },
      { color: '#e79a1b', share: 0.05 },
      { color: '#2f6f8f', share: 0.1 },
      { color: '#b7b454', share: 0.004 },
    ];
    expect(brandProposals(logo)).toEqual(['#2f6f8f', '#e79a1b']);
    expect(brandProposals(logo.slice(0, 2))).toEqual(['#2a2a2a']);
    expect(brandProposals([])).toEqual([]);
  });

  it('shades that look alike are one colour, and count together', () => {
    const halves = [
      { color: '#2f6f8f', share: 0.2 },
      { color: '#e79a1b', share: 0.25 },
      { color: '#306f90', share: 0.2 },
    ];
    expect(brandProposals(halves)).toEqual(['#2f6f8f', '#e79a1b']);
  });

  it('an average becomes the colour that most pixels near it have; see-through ones do not count', () => {
    const pixel = (r: number, g: number, b: number, a = 255) => [r, g, b, a];
    const pixels = new Uint8ClampedArray(
      [
        ...pixel(47, 111, 143),
        ...pixel(47, 111, 143),
        ...pixel(52, 115, 149),
        ...pixel(49, 112, 145, 90),
      ].flat(),
    );
    expect(exactColours([{ color: '#31718f', share: 1 }], pixels)).toEqual([{ color: '#2f6f8f', share: 1 }]);
    // Nothing there is red: the search made it up.
    expect(exactColours([{ color: '#ff0000', share: 1 }], pixels)).toEqual([]);
    expect(fewColours(pixels, 2)).toEqual([
      { color: '#2f6f8f', share: 2 / 3 },
      { color: '#347395', share: 1 / 3 },
    ]);
    expect(fewColours(pixels, 1)).toBeNull();
  });
});

describe('what stands on the page', () => {
  it('is judged against the worst of its main colours, by its ground or the line around it', () => {
    const colours = paletteOf(defaultLook('#e79a1b'), 'day');
    expect(colours.ring).not.toBe(NO_RING); // on white
    expect(judgeOnPage(colours, 'launcher', ['#ffffff', '#e79a1b']).passes).toBe(true);
    expect(judgeOnPage({ ...colours, ring: NO_RING }, 'launcher', ['#ffffff'])).toMatchObject({
      passes: false,
      page: '#ffffff',
    });
    expect(
      judgeOnPage(paletteOf(defaultLook('#7a2e5d'), 'day'), 'launcher', ['#ffffff', '#f4e8d0']),
    ).toMatchObject({ passes: true });
  });

  it('an average of the page would hide what lies on it: the worst colour counts', () => {
    // Half white, half as dark as the launcher: on their average it would pass.
    const colours = paletteOf(defaultLook('#7a2e5d'), 'day');
    expect(judgeOnPage(colours, 'launcher', ['#b9a6b2']).passes).toBe(true);
    expect(judgeOnPage(colours, 'launcher', ['#ffffff', '#6d2a55'])).toMatchObject({
      passes: false,
      page: '#6d2a55',
    });
  });

  it('a launcher as dark as the page gets a ring; where one ring cannot do for all, none is offered', () => {
    const look = defaultLook('#7a2e5d');
    const mend = mendOnPage(look, 'day', 'launcher', ['#ffffff', '#6d2a55']);
    expect(mend?.colour).toBe('ring');
    const mended = paletteOf(withOwn(look, 'day', 'ring', mend?.to ?? null), 'day');
    expect(judgeOnPage(mended, 'launcher', ['#ffffff', '#6d2a55']).passes).toBe(true);
    expect(mendOnPage(look, 'day', 'launcher', ['#ffffff'])).toBeNull();
    // Its own ground fails on both, and no line is told from dark grey and nearly white at once.
    const grey = withOwn(look, 'day', 'launcher', '#8a8a8a');
    expect(mendOnPage(grey, 'day', 'launcher', ['#464646', '#ececec'])).toBeNull();
  });

  it('an invitation’s line stays one that is told from the window’s own grounds', () => {
    const look = withOwn(defaultLook('#1f6f6b'), 'day', 'edge', '#8c8570');
    const page = ['#fffdf8', '#948d78'];
    expect(judgeOnPage(paletteOf(look, 'day'), 'invitation', page).passes).toBe(true);
    const pale = ['#f0ece0'];
    const weak = withOwn(look, 'day', 'edge', '#b0aa98');
    const mend = mendOnPage(weak, 'day', 'invitation', pale);
    const mended = withOwn(weak, 'day', 'edge', mend?.to ?? null);
    expect(judgeOnPage(paletteOf(mended, 'day'), 'invitation', pale).passes).toBe(true);
    expect(judgePairs(judgedOf(mended, 'day')).every(({ passes }) => passes)).toBe(true);
  });
});
