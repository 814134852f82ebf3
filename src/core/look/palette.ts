import type { Colour, Look, Scheme } from '../model/look';
import type { HexColor } from '../model/units';
import { memoByKey } from '../memo';
import { contrast, readableOn } from './contrast';
import { type Meets, nearestOnAll } from './nearest';
import { mixed, moved } from './oklch';
import { RECIPES } from './recipes';

/** Ratios of WCAG 2.2: text (1.4.3) and parts of controls (1.4.11). */
export const TEXT_RATIO = 4.5;
export const CONTROL_RATIO = 3;

const WHITE: HexColor = '#ffffff';
const BLACK: HexColor = '#000000';
const INK: HexColor = '#26322d';
const EVENING_INK: HexColor = '#f3f1ea';
/** The glass of a lit lamp, always outlined in the text's colour. */
const LAMP: HexColor = '#f4b94a';
export const NO_RING = 'transparent';

/** Every colour of a widget, and what the header runs into. `ring` may be `transparent`; all others are `#rrggbb`. */
export type Colours = Readonly<Record<Colour, string>>;

/** What a palette follows from. */
export type Coloured = Pick<Look, 'name' | 'brand' | 'second' | 'headerTo' | 'own'>;

/** Text on a ground, or on all points of one: white where it reads, else ink, else the better of white and black. */
export function textOn(...grounds: readonly HexColor[]): HexColor {
  const worst = (text: HexColor): number => Math.min(...grounds.map((ground) => contrast(text, ground)));
  const ours = [WHITE, INK].find((text) => worst(text) >= TEXT_RATIO);
  if (ours !== undefined) return ours;
  if (grounds.length === 1) return readableOn(grounds[0] ?? WHITE, [WHITE, BLACK]);
  return worst(WHITE) > worst(BLACK) ? WHITE : BLACK;
}

/** Points of a gradient at which it is judged: in sRGB a channel changes by 8 of 255 at most from one to the next. */
const POINTS = 33;

/** The grounds of the header: one, or points of the way from one colour to another. */
export function headerGrounds(header: HexColor, headerTo: HexColor | null): readonly HexColor[] {
  if (headerTo === null || headerTo === header) return [header];
  return Array.from({ length: POINTS }, (_, at) => mixed(header, headerTo, at / (POINTS - 1)));
}

/** Palettes that were asked for last, by what they are made of as JSON; one takes some milliseconds. */
const paletteFrom = memoByKey(200, (asked: string): Colours => {
  const [coloured, scheme] = JSON.parse(asked) as [Coloured, Scheme];
  const set = coloured.own[scheme];
  return complete(coloured, scheme, (colour, derived) => set[colour] ?? derived);
});

/**
 * The palette of a look in OKLCH: derived from the brand colour, but for what is set by hand; what follows
 * from a colour that was set follows from that one, so that it can still be read on it.
 */
export function paletteOf({ name, brand, second, headerTo, own }: Coloured, scheme: Scheme): Colours {
  return paletteFrom(JSON.stringify([{ name, brand, second, headerTo, own }, scheme]));
}

/** The same, as if nothing were set by hand. */
export function derivedPalette(look: Coloured, scheme: Scheme): Colours {
  return paletteOf({ ...look, own: { day: {}, evening: {} } }, scheme);
}

function complete(
  { name, brand, second, headerTo }: Coloured,
  scheme: Scheme,
  take: (colour: Colour, derived: HexColor) => HexColor,
): Colours {
  const main = RECIPES[name][scheme](brand, second);
  const text = (color: HexColor, ...grounds: readonly HexColor[]): HexColor =>
    fitting(color, grounds, TEXT_RATIO);
  const control = (color: HexColor, ...grounds: readonly HexColor[]): HexColor =>
    fitting(color, grounds, CONTROL_RATIO);
  const launcher = take('launcher', main.launcher);
  const onLauncher = take('onLauncher', textOn(launcher));
  const header = take('header', main.header);
  const onHeader = take('onHeader', textOn(...headerGrounds(header, headerTo)));
  const ground = take('ground', main.ground);
  const field = take('field', main.field);
  const responder = take('responder', main.responder);
  const visitor = take('visitor', main.visitor);
  const button = take('button', main.isButtonText ? text(main.button, ground) : main.button);
  const onButton = take('onButton', textOn(button));
  const link = take('link', text(brand, ground, field, responder));
  const isDark = contrast(ground, WHITE) > contrast(ground, BLACK);
  const against = isDark ? ground : WHITE;
  const ring = isDark ? EVENING_INK : INK;
  return {
    launcher,
    onLauncher,
    launcherHover: take('launcherHover', away(launcher, onLauncher, 0.04)),
    launcherPressed: take('launcherPressed', away(launcher, onLauncher, 0.09)),
    ring: take('ring', contrast(launcher, against) < CONTROL_RATIO ? ring : NO_RING),
    lamp: take('lamp', LAMP),
    header,
    onHeader,
    ground,
    field,
    ink: take('ink', text(main.ink, ground, field)),
    shade: take('shade', text(main.shade, ground, field)),
    rail: take('rail', main.rail),
    edge: take('edge', control(main.edge, ground, field)),
    responder,
    onResponder: take('onResponder', inkOn(main.ink, responder)),
    visitor,
    onVisitor: take('onVisitor', inkOn(main.ink, visitor)),
    accent: take('accent', main.accent),
    link,
    focus: take('focus', control(link, ground, field)),
    button,
    onButton,
    buttonHover: take('buttonHover', away(button, onButton, 0.04)),
    buttonPressed: take('buttonPressed', away(button, onButton, 0.09)),
    error: take('error', text(main.error, ground, field)),
  };
}

/** The look's own ink where it reads, else what reads. */
function inkOn(ink: HexColor, ground: HexColor): HexColor {
  return contrast(ink, ground) >= TEXT_RATIO ? ink : textOn(ground);
}

/** The colour, or the nearest one of its hue that passes on all grounds; else white or black, whichever is read better. */
function fitting(color: HexColor, grounds: readonly HexColor[], needs: number): HexColor {
  const meets = [...new Set(grounds)].map((ground): Meets => ({ color: ground, needs }));
  return nearestOnAll(color, meets) ?? textOn(...grounds);
}

/** Under the pointer and pressed a ground moves away from the text on it, so that it only gets easier to read. */
function away(color: HexColor, text: HexColor, by: number): HexColor {
  return moved(color, contrast(text, BLACK) > contrast(text, WHITE) ? -by : by);
}
