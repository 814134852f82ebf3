import type { HexColor } from '../model/units';
import { channels, deltaE, hexByte, lchOf } from './oklch';
import type { MainColour } from './protocol';

const MOST = 5;
/** Nearer ones are one colour to whoever looks. */
const APART = 0.06;
const GREY_CHROMA = 0.04;
/** What covers less is an edge between two colours. */
const SHARE_MIN = 0.02;

/**
 * Brand colours that a logo proposes: what is a colour before what is grey, the largest share first, no two alike. White
 * is paper, and never proposed; greys only where there is nothing else.
 */
export function brandProposals(colours: readonly MainColour[]): HexColor[] {
  const seen = gathered(colours).filter(({ color, share }) => share >= SHARE_MIN && lchOf(color).l < 0.97);
  const bright = seen.filter(({ color }) => lchOf(color).c >= GREY_CHROMA);
  const weight = ({ color, share }: MainColour): number => share * (0.25 + Math.min(lchOf(color).c, 0.2));
  return [...(bright.length > 0 ? bright : seen)]
    .sort((a, b) => weight(b) - weight(a))
    .slice(0, MOST)
    .map(({ color }) => color);
}

/** Colours that look alike as one, by the name of the largest. */
function gathered(colours: readonly MainColour[]): MainColour[] {
  const all: MainColour[] = [];
  for (const one of [...colours].sort((a, b) => b.share - a.share)) {
    const at = all.findIndex(({ color }) => deltaE(color, one.color) < APART);
    const alike = all[at];
    if (alike === undefined) all.push(one);
    else all[at] = { ...alike, share: alike.share + one.share };
  }
  return all;
}

/** Channels of a colour that is meant differ by no more from those of what was found. */
const NEAR = 10;
const OPAQUE = 250;

/** The colours of a picture that has no more than so many; null: it has more. Pixels are RGBA; see-through ones do not count. */
export function fewColours(pixels: Uint8ClampedArray, most: number): MainColour[] | null {
  const counts = countsOf(pixels);
  if (counts.length > most) return null;
  const all = counts.reduce((sum, [, count]) => sum + count, 0);
  return counts.map(([value, count]) => ({ color: hexOfValue(value), share: count / all }));
}

/**
 * Main colours by the very colour that most pixels near them have: an average is nobody's brand. One that no pixel is near
 * to was made up by the search. Pixels are RGBA.
 */
export function exactColours(colours: readonly MainColour[], pixels: Uint8ClampedArray): MainColour[] {
  const common = countsOf(pixels);
  return colours.flatMap(({ color, share }) => {
    const meant = channels(color);
    const found = common.find(([value]) =>
      channelsOf(value).every((one, at) => Math.abs(one - (meant[at] ?? 0)) <= NEAR),
    );
    return found === undefined ? [] : [{ color: hexOfValue(found[0]), share }];
  });
}

/** Opaque colours with their pixels, the most common first. */
function countsOf(pixels: Uint8ClampedArray): [value: number, count: number][] {
  const counts = new Map<number, number>();
  for (let at = 0; at < pixels.length; at += 4) {
    if ((pixels[at + 3] ?? 0) < OPAQUE) continue;
    const value = ((pixels[at] ?? 0) << 16) | ((pixels[at + 1] ?? 0) << 8) | (pixels[at + 2] ?? 0);
    counts.set(value, (counts.get(value) ?? 0) + 1);
  }
  return [...counts].sort((a, b) => b[1] - a[1]);
}

function hexOfValue(value: number): HexColor {
  return `#${channelsOf(value).map(hexByte).join('')}`;
}

function channelsOf(value: number): readonly number[] {
  return [value >> 16, (value >> 8) & 255, value & 255];
}
