import type { HexColor, Px } from '../model/units';

/** Pixels, four bytes each (RGBA), and how many main colours are wanted; `turn` tells the last question from older ones. */
export interface ColoursAsked {
  readonly turn: number;
  readonly pixels: Uint8ClampedArray;
  readonly width: Px;
  readonly height: Px;
  readonly most: number;
}

/** A main colour, and its share of the pixels, 0–1. */
export interface MainColour {
  readonly color: HexColor;
  readonly share: number;
}

export interface ColoursFound {
  readonly turn: number;
  /** The largest first. */
  readonly colours: readonly MainColour[];
}
