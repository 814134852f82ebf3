import { clampChroma, converter, formatHex } from 'culori/fn';
import type { Look } from '../model/design';
import type { HexColor } from '../model/units';
import type { Palette } from '../wire/design-file';
import { contrast, readableOn } from './contrast';
import './modes';

const toOklch = converter('oklch');

/** Ratios of WCAG 2.2: text (1.4.3) and parts of controls (1.4.11). */
export const TEXT_RATIO = 4.5;
export const CONTROL_RATIO = 3;
const WHITE: HexColor = '#ffffff';
const INK: HexColor = '#26322d';
const PAPER: HexColor = '#fffdf8';

/** Text on the brand: white where it reads, else ink; the better of both where neither reaches 4.5:1. */
export function textOn(brand: HexColor): HexColor {
  return contrast(WHITE, brand) >= TEXT_RATIO ? WHITE : readableOn(brand, [WHITE, INK]);
}

/** The look *Front door* by day (defaults.md): warm paper, header in the brand, responder on a tint of it. */
export function dayPalette({ brand }: Look): Palette {
  const tint = tone(brand, 0.945, 0.03);
  return {
    brand,
    onBrand: textOn(brand),
    ground: PAPER,
    ink: INK,
    shade: '#5f6959',
    edge: '#8c8570',
    rail: '#e9dfc9',
    responder: tint,
    visitor: '#f8f1e1',
    link: darkenUntil(brand, PAPER, tint),
    field: '#ffffff',
    error: '#a33c22',
    ring: contrast(brand, WHITE) < CONTROL_RATIO ? INK : 'transparent',
    lamp: '#f4b94a',
  };
}

/** The same by evening: everything on a dark ground of the brand's hue. */
export function eveningPalette({ brand }: Look): Palette {
  const ground = tone(brand, 0.22, 0.02);
  const responder = tone(brand, 0.31, 0.04);
  return {
    brand,
    onBrand: textOn(brand),
    ground,
    ink: '#f3f1ea',
    shade: '#b9b7ae',
    edge: '#8f8d86',
    rail: tone(brand, 0.34, 0.02),
    responder,
    visitor: tone(brand, 0.27, 0.025),
    link: lightenUntil(brand, ground, responder),
    field: tone(brand, 0.18, 0.02),
    error: '#f5a48c',
    ring: contrast(brand, ground) < CONTROL_RATIO ? '#f3f1ea' : 'transparent',
    lamp: '#f4b94a',
  };
}

/** A tone of a colour's hue: OKLCH lightness 0–1, chroma at most as given, brought into sRGB by lowering chroma. */
function tone(brand: HexColor, lightness: number, chromaMax: number): HexColor {
  const from = toOklch(brand);
  return hexOf(lightness, Math.min(from?.c ?? 0, chromaMax), from?.h);
}

function hexOf(l: number, c: number, h: number | undefined): HexColor {
  return formatHex(clampChroma({ mode: 'oklch', l, c, h: h ?? 0 }, 'oklch'));
}

function darkenUntil(brand: HexColor, ...grounds: HexColor[]): HexColor {
  return walkUntil(brand, -0.01, grounds);
}

function lightenUntil(brand: HexColor, ...grounds: HexColor[]): HexColor {
  return walkUntil(brand, 0.01, grounds);
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
  return step < 0 ? '#000000' : WHITE;
}
