import { clampChroma, converter, formatHex } from 'culori/fn';
import type { HexColor } from '../model/units';
import type { Palette } from '../wire/design-file';
import { contrast } from './contrast';
import './modes';
import { CONTROL_RATIO, TEXT_RATIO } from './palette';

/** Two colours that meet in the widget: names of the palette, and the ratio that WCAG 2.2 asks of them. */
export interface Pair {
  readonly text: string;
  readonly ground: string;
  readonly needs: number;
}

const text = (name: string, ...grounds: string[]): Pair[] => grounds.map((ground) => ({ text: name, ground, needs: TEXT_RATIO }));
const control = (name: string, ...grounds: string[]): Pair[] => grounds.map((ground) => ({ text: name, ground, needs: CONTROL_RATIO }));

/** Every pair that meets on screen: which text on which ground, and the parts of controls against what is around them. */
export const PAIRS: readonly Pair[] = [
  ...text('onBrand', 'brand', 'hover', 'pressed'),
  ...text('ink', 'ground', 'responder', 'visitor', 'field'),
  ...text('shade', 'ground', 'field'),
  ...text('link', 'ground', 'responder', 'visitor', 'field'),
  ...text('error', 'ground', 'field'),
  ...control('edge', 'ground', 'field'),
  ...control('link', 'ground', 'field'), // the focus ring
];

export interface JudgedPair extends Pair {
  readonly ratio: number;
  readonly passes: boolean;
}

/** A palette's pairs with their contrast. A colour that is not opaque hex is left out. */
export function judgePairs(palette: Palette): JudgedPair[] {
  return PAIRS.flatMap((pair) => {
    const [front, back] = [palette[pair.text], palette[pair.ground]];
    if (front === undefined || back === undefined || !isHex(front) || !isHex(back)) return [];
    const ratio = contrast(front, back);
    return [{ ...pair, ratio, passes: ratio >= pair.needs }];
  });
}

function isHex(color: string): boolean {
  return /^#[0-9a-f]{6}$/i.test(color);
}

const toOklch = converter('oklch');
const toOklab = converter('oklab');
const STEPS = 400;
/** Below this chroma a hue says nothing: it turns with the last digit. */
const GREY_CHROMA = 0.03;
const HUE_MAX = 2.5;

/**
 * The nearest colour of the same hue that passes on a ground, by ΔE in OKLab (B. Ottosson, 2020); the colour itself where
 * it passes. Of white and black one always passes where nothing of its hue does.
 */
export function nearestPassing(color: HexColor, ground: HexColor, needs: number): HexColor {
  if (contrast(color, ground) >= needs) return color;
  const from = toOklch(color);
  const [lightness, chroma, hue] = [from?.l ?? 0, from?.c ?? 0, from?.h ?? 0];
  let best: HexColor | null = null;
  let least = Infinity;
  for (let step = 0; step <= STEPS; step++) {
    const l = step / STEPS;
    if (Math.abs(l - lightness) >= least) continue; // lightness alone is further off already
    const candidate = formatHex(clampChroma({ mode: 'oklch', l, c: chroma, h: hue }, 'oklch'));
    const distance = deltaE(color, candidate);
    if (distance >= least || contrast(candidate, ground) < needs || !keepsHue(hue, chroma, candidate)) continue;
    [best, least] = [candidate, distance];
  }
  return best ?? (contrast('#000000', ground) >= needs ? '#000000' : '#ffffff');
}

/** Distance of two colours in OKLab; about 0.02 is just noticed. */
export function deltaE(a: HexColor, b: HexColor): number {
  const [one, other] = [toOklab(a), toOklab(b)];
  return Math.hypot((one?.l ?? 0) - (other?.l ?? 0), (one?.a ?? 0) - (other?.a ?? 0), (one?.b ?? 0) - (other?.b ?? 0));
}

function keepsHue(hue: number, chroma: number, candidate: HexColor): boolean {
  const made = toOklch(candidate);
  if (chroma < GREY_CHROMA || (made?.c ?? 0) < GREY_CHROMA) return true;
  const turn = Math.abs((made?.h ?? 0) - hue) % 360;
  return Math.min(turn, 360 - turn) <= HUE_MAX;
}
