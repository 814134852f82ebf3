import type { LookName, Scheme } from '../model/look';
import type { HexColor } from '../model/units';
import { hexOf, lchOf, tone, rotated } from './oklch';

/** What a look takes from the brand colour; everything else follows from these (`palette.ts`). */
export interface Main {
  readonly launcher: HexColor;
  readonly header: HexColor;
  readonly ground: HexColor;
  readonly field: HexColor;
  readonly ink: HexColor;
  readonly shade: HexColor;
  readonly rail: HexColor;
  readonly edge: HexColor;
  readonly responder: HexColor;
  readonly visitor: HexColor;
  readonly accent: HexColor;
  readonly button: HexColor;
  readonly error: HexColor;
  /** The button goes so far from the ground that it can be read there. */
  readonly isButtonText?: true;
}

const WHITE: HexColor = '#ffffff';
const INK: HexColor = '#26322d';
const PAPER: HexColor = '#fffdf8';
const EVENING_INK: HexColor = '#f3f1ea';
const DAY_ERROR: HexColor = '#a33c22';
const EVENING_ERROR: HexColor = '#f5a48c';

type Recipe = (brand: HexColor, second: HexColor | null) => Main;

/** What every evening has: dark grounds of the brand's hue. */
const evening = (brand: HexColor): Main => {
  const ground = tone(brand, 0.22, 0.02);
  return {
    launcher: brand,
    header: brand,
    ground,
    field: tone(brand, 0.18, 0.02),
    ink: EVENING_INK,
    shade: '#b9b7ae',
    rail: tone(brand, 0.34, 0.02),
    edge: '#8f8d86',
    responder: tone(brand, 0.31, 0.04),
    visitor: tone(brand, 0.27, 0.025),
    accent: brand,
    button: brand,
    error: EVENING_ERROR,
  };
};

/** The second colour: the owner's, or a turn of the brand's hue that is neither pale nor dark. */
const secondOf = (brand: HexColor, second: HexColor | null): HexColor => {
  if (second !== null) return second;
  const { c, h } = lchOf(rotated(brand, 150));
  return hexOf({ l: 0.52, c: Math.max(c, 0.08), h });
};

const nightLight: Recipe = (brand) => {
  const ground = tone(brand, 0.22, 0.02);
  const { c, h } = lchOf(brand);
  return {
    ...evening(brand),
    header: ground,
    visitor: hexOf({ l: 0.82, c: Math.min(c, 0.11), h }),
    responder: tone(brand, 0.31, 0.03),
  };
};

/** The six looks, by day and in the evening. */
export const RECIPES: Readonly<Record<LookName, Readonly<Record<Scheme, Recipe>>>> = {
  'front-door': {
    day: (brand) => ({
      launcher: brand,
      header: brand,
      ground: PAPER,
      field: WHITE,
      ink: INK,
      shade: '#5f6959',
      rail: '#e9dfc9',
      edge: '#8c8570',
      responder: tone(brand, 0.945, 0.03),
      visitor: '#f8f1e1',
      accent: brand,
      button: brand,
      error: DAY_ERROR,
    }),
    evening,
  },
  whitewash: {
    day: (brand) => ({
      launcher: brand,
      header: WHITE,
      ground: WHITE,
      field: WHITE,
      ink: '#1f2527',
      shade: '#5b6468',
      rail: '#dfe3e5',
      edge: '#858e92',
      responder: WHITE,
      visitor: '#eef0f1',
      accent: brand,
      button: brand,
      error: DAY_ERROR,
      isButtonText: true,
    }),
    evening: (brand) => ({
      ...evening(brand),
      header: '#1c2022',
      ground: '#1c2022',
      field: '#15181a',
      rail: '#353b3e',
      responder: '#1c2022',
      visitor: '#2b3033',
      isButtonText: true,
    }),
  },
  'night-light': { day: nightLight, evening: nightLight },
  letterbox: {
    day: (brand) => ({
      launcher: brand,
      header: '#faf5e9',
      ground: '#faf5e9',
      field: '#fffdf6',
      ink: '#27231d',
      shade: '#675f52',
      rail: '#e4dac4',
      edge: '#8a8069',
      responder: '#faf5e9',
      visitor: '#faf5e9',
      accent: brand,
      button: brand,
      error: DAY_ERROR,
    }),
    evening: (brand) => ({
      ...evening(brand),
      header: '#211d18',
      ground: '#211d18',
      field: '#191612',
      ink: '#f1eadb',
      rail: '#3b352c',
      responder: '#211d18',
      visitor: '#211d18',
    }),
  },
  'garden-party': {
    day: (brand, second) => ({
      launcher: brand,
      header: brand,
      ground: tone(brand, 0.955, 0.025),
      field: WHITE,
      ink: INK,
      shade: '#59615a',
      rail: tone(brand, 0.88, 0.03),
      edge: tone(brand, 0.6, 0.03),
      responder: WHITE,
      visitor: brand,
      accent: secondOf(brand, second),
      button: secondOf(brand, second),
      error: DAY_ERROR,
    }),
    evening: (brand, second) => ({
      ...evening(brand),
      visitor: brand,
      accent: secondOf(brand, second),
      button: secondOf(brand, second),
    }),
  },
  workbench: {
    day: (brand) => ({
      launcher: '#262c2e',
      header: '#262c2e',
      ground: '#f6f7f5',
      field: WHITE,
      ink: '#1f2426',
      shade: '#585f60',
      rail: '#1f2426',
      edge: '#1f2426',
      responder: '#f6f7f5',
      visitor: '#e9ebe8',
      accent: brand,
      button: '#262c2e',
      error: DAY_ERROR,
    }),
    evening: (brand) => ({
      ...evening(brand),
      launcher: '#10130f',
      header: '#10130f',
      ground: '#1d211f',
      field: '#151816',
      rail: '#a8aea9',
      edge: '#a8aea9',
      responder: '#1d211f',
      visitor: '#2a2f2c',
      button: '#dfe3df',
    }),
  },
};
