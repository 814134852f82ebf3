import { clampChroma, converter, formatHex } from 'culori/fn';
import type { HexColor } from '../model/units';
import './modes';

const toOklch = converter('oklch');
const toOklab = converter('oklab');

/** Lightness 0–1, chroma, hue in degrees; a grey has hue 0. */
export interface Lch {
  readonly l: number;
  readonly c: number;
  readonly h: number;
}

/** OKLCH (B. Ottosson, 2020) of `#rrggbb`. */
export function lchOf(color: HexColor): Lch {
  const { l = 0, c = 0, h = 0 } = toOklch(color) ?? {};
  return { l, c, h };
}

/** The colour in sRGB; what lies outside is brought in by lowering chroma. */
export function hexOf({ l, c, h }: Lch): HexColor {
  return formatHex(clampChroma({ mode: 'oklch', l: within(l), c, h }, 'oklch'));
}

/** The colour with its lightness moved, hue and chroma kept as far as sRGB has them. */
export function moved(color: HexColor, by: number): HexColor {
  const { l, c, h } = lchOf(color);
  return hexOf({ l: l + by, c, h });
}

/** A tone of a colour's hue: with a lightness, and at most so much chroma. */
export function tone(color: HexColor, lightness: number, chromaMax: number): HexColor {
  const { c, h } = lchOf(color);
  return hexOf({ l: lightness, c: Math.min(c, chromaMax), h });
}

/** The colour with its hue turned by degrees. */
export function rotated(color: HexColor, degrees: number): HexColor {
  const { l, c, h } = lchOf(color);
  return hexOf({ l, c, h: (h + degrees) % 360 });
}

/** Distance of two colours in OKLab; about 0.02 is just noticed. */
export function deltaE(a: HexColor, b: HexColor): number {
  const [one, other] = [toOklab(a), toOklab(b)];
  return Math.hypot(
    (one?.l ?? 0) - (other?.l ?? 0),
    (one?.a ?? 0) - (other?.a ?? 0),
    (one?.b ?? 0) - (other?.b ?? 0),
  );
}

function within(value: number): number {
  return Math.min(1, Math.max(0, value));
}

/** Two colours mixed as a browser mixes the ends of a gradient: channel by channel in sRGB. `share` of the second, 0–1. */
export function mixed(a: HexColor, b: HexColor, share: number): HexColor {
  const [one, other] = [channels(a), channels(b)];
  return `#${one.map((value, at) => hexByte(value + ((other[at] ?? 0) - value) * share)).join('')}`;
}

/** The three channels of `#rrggbb`, 0–255. */
export function channels(color: HexColor): readonly [number, number, number] {
  const value = Number.parseInt(color.slice(1), 16);
  return [value >> 16, (value >> 8) & 255, value & 255];
}

export function hexByte(value: number): string {
  return Math.round(Math.min(255, Math.max(0, value)))
    .toString(16)
    .padStart(2, '0');
}
