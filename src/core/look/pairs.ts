import type { Colour, HeaderPicture, Look, OwnColours, Scheme } from '../model/look';
import type { HexColor } from '../model/units';
import { contrast } from './contrast';
import { type Sight, seenBy } from './deficiency';
import { nearestOnAll } from './nearest';
import { CONTROL_RATIO, type Colours, TEXT_RATIO, headerGrounds, paletteOf } from './palette';
import { shaded } from './scrim';

/** Two colours that meet in the widget: names of the palette, and the ratio that WCAG 2.2 asks of them. */
export interface Pair {
  readonly text: Colour;
  readonly ground: Colour;
  readonly needs: number;
}

const text = (name: Colour, ...grounds: Colour[]): Pair[] =>
  grounds.map((ground) => ({ text: name, ground, needs: TEXT_RATIO }));
const control = (name: Colour, ...grounds: Colour[]): Pair[] =>
  grounds.map((ground) => ({ text: name, ground, needs: CONTROL_RATIO }));

/** Every pair that meets on screen: which text on which ground, and the parts of controls against what is around them. */
export const PAIRS: readonly Pair[] = [
  ...text('onHeader', 'header'),
  ...text('onLauncher', 'launcher', 'launcherHover', 'launcherPressed'),
  ...text('onResponder', 'responder'),
  ...text('onVisitor', 'visitor'),
  ...text('ink', 'ground', 'field'),
  ...text('shade', 'ground', 'field'),
  ...text('link', 'ground', 'field', 'responder'),
  ...text('onButton', 'button', 'buttonHover', 'buttonPressed'),
  ...text('error', 'ground', 'field'),
  ...control('edge', 'ground', 'field'),
  ...control('focus', 'ground', 'field'),
];

/** Colours that are read; the others are seen as lines. */
export const TEXTS: ReadonlySet<Colour> = new Set(
  PAIRS.filter(({ needs }) => needs === TEXT_RATIO).map(({ text }) => text),
);

/** What is judged: the colours, and what lies under the header's words. */
export interface Judged {
  readonly colours: Colours;
  readonly headerTo: HexColor | null;
  /** Null: the header has no picture. */
  readonly headerPicture: HeaderPicture | null;
}

export interface JudgedPair extends Pair {
  /** The two colours where they are hardest to tell apart. */
  readonly front: HexColor;
  readonly back: HexColor;
  readonly ratio: number;
  readonly passes: boolean;
}

/** The schemes in which visitors can see a look: both, unless it is fixed to one. */
export function shownSchemes({ scheme }: Pick<Look, 'scheme'>): readonly Scheme[] {
  return scheme === 'visitor' ? ['day', 'evening'] : [scheme];
}

/** What a look shows in a scheme. */
export function judgedOf(look: Look, scheme: Scheme): Judged {
  return {
    colours: paletteOf(look, scheme),
    headerTo: look.headerTo,
    headerPicture: look.header === 'picture' ? look.headerPicture : null,
  };
}

/** The same as somebody sees it who sees fewer colours; null: with all of them. */
export function withSight(judged: Judged, sight: Sight | null): Judged {
  if (sight === null) return judged;
  const seen = (color: string): string => (color.startsWith('#') ? seenBy(sight, color) : color);
  const { colours, headerTo, headerPicture } = judged;
  return {
    colours: Object.fromEntries(
      Object.entries(colours).map(([name, color]) => [name, seen(color)]),
    ) as Colours,
    headerTo: headerTo === null ? null : seen(headerTo),
    headerPicture:
      headerPicture === null
        ? null
        : { ...headerPicture, darkest: seen(headerPicture.darkest), lightest: seen(headerPicture.lightest) },
  };
}

/** Every pair with its contrast; a gradient, and a picture under its shade, at the worst point. */
export function judgePairs(judged: Judged): JudgedPair[] {
  return PAIRS.map((pair) => judgePair(judged, pair));
}

function judgePair(judged: Judged, pair: Pair): JudgedPair {
  const front = judged.colours[pair.text];
  const worst = groundsOf(judged, pair.ground)
    .map((back) => ({ back, ratio: contrast(front, back) }))
    .reduce((least, one) => (one.ratio < least.ratio ? one : least));
  return { ...pair, front, ...worst, passes: worst.ratio >= pair.needs };
}

function groundsOf({ colours, headerTo, headerPicture }: Judged, ground: Colour): readonly HexColor[] {
  if (ground !== 'header') return [colours[ground]];
  const grounds = headerGrounds(colours.header, headerTo);
  return headerPicture === null ? grounds : shaded(headerPicture, colours.header, colours.onHeader);
}

/** What mends a pair: one colour instead of another; by hand from then on. */
export interface Mend {
  readonly colour: Colour | 'headerTo';
  readonly from: HexColor;
  readonly to: HexColor;
}

/**
 * The nearest colour, by ΔE in OKLab with its hue kept, that makes a pair pass and spoils none that passes: of the text,
 * else of the ground. Null: it passes, or no single colour mends it.
 */
export function mendOf(look: Look, scheme: Scheme, pair: Pair): Mend | null {
  const judged = judgedOf(look, scheme);
  if (judgePair(judged, pair).passes) return null;
  const before = judgePairs(judged);
  const spoilsNone = (tried: Look): boolean => {
    const after = judgePairs(judgedOf(tried, scheme));
    return (
      after.every((one, at) => one.passes || !before[at]?.passes) &&
      judgePair(judgedOf(tried, scheme), pair).passes
    );
  };
  // One colour for all that it meets, before one for this pair alone.
  for (const colour of [pair.text, pair.ground])
    for (const meets of [meetingsOf(judged, colour, null), meetingsOf(judged, colour, pair)]) {
      const from = judged.colours[colour];
      const to = nearestOnAll(from, meets);
      if (to !== null && to !== from && spoilsNone(withOwn(look, scheme, colour, to)))
        return { colour, from, to };
    }
  if (pair.ground !== 'header' || look.headerTo === null) return null;
  const front = { color: judged.colours[pair.text], needs: pair.needs };
  const to = nearestOnAll(look.headerTo, [front]);
  return to !== null && spoilsNone({ ...look, headerTo: to })
    ? { colour: 'headerTo', from: look.headerTo, to }
    : null;
}

/** What a colour meets and passes with already, and the pair that is to be mended; null: everything that it meets. */
function meetingsOf(judged: Judged, colour: Colour, pair: Pair | null) {
  return PAIRS.flatMap((one) => {
    if (one.text !== colour && one.ground !== colour) return [];
    const isMeant = pair === null || (one.text === pair.text && one.ground === pair.ground);
    if (!isMeant && !judgePair(judged, one).passes) return [];
    const others = one.text === colour ? groundsOf(judged, one.ground) : [judged.colours[one.text]];
    return others.map((color) => ({ color, needs: one.needs }));
  });
}

/** A look with one colour set by hand; null: derived again. */
export function withOwn(look: Look, scheme: Scheme, colour: Colour, value: HexColor | null): Look {
  const others = Object.entries(look.own[scheme]).filter(([name]) => name !== colour);
  const own: OwnColours = Object.fromEntries(value === null ? others : [...others, [colour, value]]);
  return { ...look, own: { ...look.own, [scheme]: own } };
}
