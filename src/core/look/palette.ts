import { clampChroma, converter, formatHex } from 'culori/fn';
import type { Look } from '../model/design';
import type { HexColor } from '../model/units';
import { remembering } from '../remembering';
import type { Palette } from '../wire/design-file';
import { contrast, readableOn } from './contrast';
import './modes';

const toOklch = converter('oklch');

/** Ratios of WCAG 2.2: text (1.4.3) and parts of controls (1.4.11). */
export const TEXT_RATIO = 4.5;
export const CONTROL_RATIO = 3;
const WHITE: HexColor = '#ffffff';
const BLACK: HexColor = '#000000';
const INK: HexColor = '#26322d';
const PAPER: HexColor = '#fffdf8';
const EVENING_INK: HexColor = '#f3f1ea';
/** The glass of a lit lamp, always outlined in the text's colour. */
const LAMP: HexColor = '#f4b94a';

/** Text on the brand: white where it reads, else ink, else the better of white and black, of which one always does. */
export function textOn(brand: HexColor): HexColor {
  return [WHITE, INK].find((text) => contrast(text, brand) >= TEXT_RATIO) ?? readableOn(brand, [WHITE, BLACK]);
}

/** The look *Front door* by day (defaults.md): warm paper, header in the brand, responder on a tint of it. */
export function dayPalette({ brand }: Look): Palette {
  return DAYS(brand, () => madeDay(brand));
}

/** A palette follows from the brand alone, and takes a millisecond. */
const DAYS = remembering<Palette>(100);
const EVENINGS = remembering<Palette>(100);

function madeDay(brand: HexColor): Palette {
  const tint = tone(brand, 0.945, 0.03);
  const visitor = '#f8f1e1';
  return {
    ...brandTones(brand),
    ground: PAPER,
    ink: INK,
    shade: '#5f6959',
    edge: '#8c8570',
    rail: '#e9dfc9',
    responder: tint,
    visitor,
    link: walkUntil(brand, -STEP, [PAPER, tint, visitor, WHITE]),
    field: WHITE,
    error: '#a33c22',
    ring: contrast(brand, WHITE) < CONTROL_RATIO ? INK : 'transparent',
  };
}

/** The same by evening: everything on a dark ground of the brand's hue. */
export function eveningPalette({ brand }: Look): Palette {
  return EVENINGS(brand, () => madeEvening(brand));
}

function madeEvening(brand: HexColor): Palette {
  const ground = tone(brand, 0.22, 0.02);
  const responder = tone(brand, 0.31, 0.04);
  const visitor = tone(brand, 0.27, 0.025);
  const field = tone(brand, 0.18, 0.02);
  return {
    ...brandTones(brand),
    ground,
    ink: EVENING_INK,
    shade: '#b9b7ae',
    edge: '#8f8d86',
    rail: tone(brand, 0.34, 0.02),
    responder,
    visitor,
    link: walkUntil(brand, STEP, [ground, responder, visitor, field]),
    field,
    error: '#f5a48c',
    ring: contrast(brand, ground) < CONTROL_RATIO ? EVENING_INK : 'transparent',
  };
}

/**
 * What stands on the brand, and the brand under the pointer and pressed. They move away from the text that is on them,
 * so that it only gets easier to read.
 */
function brandTones(brand: HexColor): Palette {
  const onBrand = textOn(brand);
  const away = contrast(onBrand, BLACK) > contrast(onBrand, WHITE) ? -1 : 1; // light text: darker
  return { brand, onBrand, hover: moved(brand, 0.04 * away), pressed: moved(brand, 0.09 * away), lamp: LAMP };
}

const STEP = 0.01;

/** The colour with its lightness moved, hue and chroma kept as far as sRGB has them. */
function moved(color: HexColor, by: number): HexColor {
  const from = toOklch(color);
  return hexOf(Math.min(1, Math.max(0, (from?.l ?? 0) + by)), from?.c ?? 0, from?.h);
}

/** A tone of a colour's hue: OKLCH lightness 0–1, chroma at most as given, brought into sRGB by lowering chroma. */
function tone(brand: HexColor, lightness: number, chromaMax: number): HexColor {
  const from = toOklch(brand);
  return hexOf(lightness, Math.min(from?.c ?? 0, chromaMax), from?.h);
}

function hexOf(l: number, c: number, h: number | undefined): HexColor {
  return formatHex(clampChroma({ mode: 'oklch', l, c, h: h ?? 0 }, 'oklch'));
}

/** Steps the lightness, hue kept, until the colour reads as text on every ground; black or white lies at the end. */
function walkUntil(brand: HexColor, step: number, grounds: readonly HexColor[]): HexColor {
  const from = toOklch(brand);
  const reads = (color: HexColor): boolean => grounds.every((ground) => contrast(color, ground) >= TEXT_RATIO);
  if (reads(brand)) return brand;
  for (let l = from?.l ?? 0.5; l >= 0 && l <= 1; l += step) {
    const color = hexOf(l, from?.c ?? 0, from?.h);
    if (reads(color)) return color;
  }
  return step < 0 ? BLACK : WHITE;
}
