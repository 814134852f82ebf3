import type { BarsByDevice } from '../model/page-bars';
import type { Bars } from '../model/page-bars';
import type { Visitor } from '../model/circumstances';
import type { Place } from '../model/design';
import { SETTINGS } from '../model/settings';
import type { Px } from '../model/units';
import type { PageDevice } from '../model/page-bars';
import { cornerFor, isMiddle, offsetsFor } from './place';

/** A box in px of the screen. */
export interface Box {
  readonly left: Px;
  readonly top: Px;
  readonly right: Px;
  readonly bottom: Px;
}

/** Higher ones are no bars. */
export const BAR_PX_MAX = 400;

/** Whether a bar is marked on any device. */
export function hasBars({ desktop, phone }: BarsByDevice): boolean {
  return [desktop, phone].some(({ upper, lower }) => upper > 0 || lower > 0);
}

/** What can lie over a bar. On phones the window is the whole screen, and is meant to be. */
export type CoveredPart = 'launcher' | 'window' | 'invitation';

export interface MeasuredScreen {
  readonly name: 'computer' | 'large-text' | 'phone' | 'small-phone';
  readonly width: Px;
  readonly height: Px;
  readonly device: Visitor['device'];
  /** Whose bars are there. */
  readonly bars: PageDevice;
}

/** Where it is looked whether something is covered. Text at 200 % leaves a quarter of the screen. */
export const MEASURED_SCREENS: readonly MeasuredScreen[] = [
  { name: 'computer', width: 1280, height: 800, device: 'desktop', bars: 'desktop' },
  { name: 'large-text', width: 640, height: 400, device: 'phone', bars: 'desktop' },
  { name: 'phone', width: 390, height: 844, device: 'phone', bars: 'phone' },
  { name: 'small-phone', width: 320, height: 480, device: 'phone', bars: 'phone' },
];

/** Less is a shadow or a border. */
export const MEETS_PX = 4;
/** What is moved clear of a bar stands so far from it. */
const AIR_PX = 12;

export interface Covering {
  readonly screen: MeasuredScreen['name'];
  readonly part: CoveredPart;
  readonly bar: keyof Bars;
  /** How deep it reaches over the bar, in px. */
  readonly by: Px;
}

/** What lies over a bar by more than 4 px on a screen; bars are as wide as it. */
export function coveringsOn(
  screen: MeasuredScreen,
  boxes: Readonly<Partial<Record<CoveredPart, Box>>>,
  bars: BarsByDevice,
): Covering[] {
  const { upper, lower } = bars[screen.bars];
  const spans = { upper: [0, upper], lower: [screen.height - lower, screen.height] } as const;
  return (Object.entries(boxes) as [CoveredPart, Box][]).flatMap(([part, box]) =>
    (['upper', 'lower'] as const).flatMap((bar): Covering[] => {
      const [top, bottom] = spans[bar];
      const by = Math.min(box.bottom, bottom) - Math.max(box.top, top);
      return by > MEETS_PX && box.right > 0 && box.left < screen.width
        ? [{ screen: screen.name, part, bar, by: Math.round(by) }]
        : [];
    }),
  );
}

/** A place that is clear of the bars at its own edge, on every device; as it is where it is clear already. */
export function clearOf(place: Place, bars: BarsByDevice): Place {
  const lifted = (isPhone: boolean, barsThere: Bars): Px => {
    const corner = cornerFor(place, isPhone);
    const [offset, lift] = offsetsFor(place, isPhone);
    const bar = barsThere[corner.startsWith('lower') ? 'lower' : 'upper'];
    if (isMiddle(corner) || bar === 0 || offset + lift >= bar) return lift;
    return Math.min(SETTINGS.lift.most, bar + AIR_PX - offset);
  };
  return {
    ...place,
    lift: lifted(false, bars.desktop),
    // With large text a computer has as little room as a phone, and its own bars.
    phoneLift: lifted(true, {
      upper: Math.max(bars.phone.upper, bars.desktop.upper),
      lower: Math.max(bars.phone.lower, bars.desktop.lower),
    }),
  };
}
