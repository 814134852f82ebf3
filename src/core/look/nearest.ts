import type { HexColor } from '../model/units';
import { contrast } from './contrast';
import { deltaE, hexOf, lchOf } from './oklch';

const LIGHTS = 400;
/** Around the best lightness, chroma is searched too. */
const FINE = 12;
/** Below this chroma a hue says nothing: it turns with the last digit. */
const GREY_CHROMA = 0.03;
const HUE_MAX = 2.5;
/** Six digits are so far at most from the colour that was meant. */
const ROUNDING = 0.004;

/** What a colour meets, and the ratio that it needs there. */
export interface Meets {
  readonly color: HexColor;
  readonly needs: number;
}

/**
 * The nearest colour of the same hue that passes on all grounds, by ΔE in OKLab (B. Ottosson, 2020); the colour itself
 * where it passes. Null: no colour of its hue passes everywhere.
 */
export function nearestOnAll(color: HexColor, grounds: readonly Meets[]): HexColor | null {
  const passes = (one: HexColor): boolean =>
    grounds.every((ground) => contrast(one, ground.color) >= ground.needs);
  if (passes(color)) return color;
  const from = lchOf(color);
  let best: Candidate | null = null;
  let least = Infinity;
  const take = (l: number, c: number): void => {
    if (l < 0 || l > 1 || Math.hypot(l - from.l, c - from.c) >= least + ROUNDING) return; // further off already
    const candidate = hexOf({ l, c, h: from.h });
    const distance = deltaE(color, candidate);
    if (distance >= least || !passes(candidate) || !keepsHue(from, candidate)) return;
    [best, least] = [{ color: candidate, l }, distance];
  };
  for (let step = 0; step <= LIGHTS && step / LIGHTS < least + ROUNDING; step++) {
    take(from.l - step / LIGHTS, from.c);
    take(from.l + step / LIGHTS, from.c);
  }
  const found = best as Candidate | null;
  if (found === null) return null;
  for (let dl = -FINE; dl <= FINE; dl++)
    for (let dc = 1; dc <= FINE; dc++) take(found.l + dl / LIGHTS, from.c * (1 - (0.4 * dc) / FINE));
  return (best as Candidate | null)?.color ?? null;
}

interface Candidate {
  readonly color: HexColor;
  readonly l: number;
}

/** The same for one ground. Of white and black one always passes where nothing of its hue does. */
export function nearestPassing(color: HexColor, ground: HexColor, needs: number): HexColor {
  return (
    nearestOnAll(color, [{ color: ground, needs }]) ??
    (contrast('#000000', ground) >= needs ? '#000000' : '#ffffff')
  );
}

function keepsHue({ c, h }: { readonly c: number; readonly h: number }, candidate: HexColor): boolean {
  const made = lchOf(candidate);
  if (c < GREY_CHROMA || made.c < GREY_CHROMA) return true;
  const turn = Math.abs(made.h - h) % 360;
  return Math.min(turn, 360 - turn) <= HUE_MAX;
}
