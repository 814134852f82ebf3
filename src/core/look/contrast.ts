import { converter, parseHex } from 'culori/fn';
import type { HexColor } from '../model/units';
import './modes';

const toLinear = converter('lrgb');

/**
 * Contrast of two opaque sRGB colours: 1 (same) to 21 (black on white). Formula: WCAG 2.2, "contrast ratio".
 * Throws RangeError unless both are `#rrggbb`.
 */
export function contrast(text: HexColor, ground: HexColor): number {
  const [lighter, darker] = [luminance(text), luminance(ground)].sort((a, b) => b - a) as [number, number];
  return (lighter + 0.05) / (darker + 0.05);
}

/** Relative luminance, 0 to 1 (WCAG 2.2). */
export function luminance(color: HexColor): number {
  const parsed = /^#[0-9a-f]{6}$/i.test(color) ? parseHex(color) : undefined;
  if (parsed === undefined) throw new RangeError(`Expected a colour as #rrggbb, got "${color}".`);
  const { r, g, b } = toLinear(parsed);
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

/** The one of some colours that is read best on a ground; the first of equals. */
export function readableOn(ground: HexColor, candidates: readonly HexColor[]): HexColor {
  return candidates.reduce((best, one) =>
    contrast(one, ground) > contrast(best, ground) + 1e-9 ? one : best,
  );
}
