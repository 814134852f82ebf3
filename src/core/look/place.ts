import type { Corner, Place } from '../model/design';
import { SETTINGS } from '../model/settings';
import type { Px } from '../model/units';
import type { WireWidget } from '../wire/design-file';

/** A page, and the launcher on it, in px of the page. */
export interface PlaceGround {
  readonly width: Px;
  readonly height: Px;
  readonly launcher: { readonly width: Px; readonly height: Px };
  /** Which offsets hold there. */
  readonly isPhone: boolean;
}

/** So near to where it would stand by itself it stands there: dragged by hand nobody hits a pixel. */
export const SNAP_PX = 12;

/**
 * The place that puts the launcher's upper left corner nearest to a point: in the corner of its quarter of the page, or in
 * the middle of an edge, off the edges by whole px, within the bounds of the settings. With `snaps`, a place that is
 * nearly in the corner, or nearly in the middle, is.
 */
export function placeAt(
  place: Place,
  { x, y }: { readonly x: Px; readonly y: Px },
  ground: PlaceGround,
  snaps: boolean,
): Place {
  const { launcher, isPhone } = ground;
  const isRight = x + launcher.width / 2 >= ground.width / 2;
  const side = isRight ? 'right' : 'left';
  const [offsetName, liftName] = namesFor(isPhone);
  const { least, most, defaultValue } = SETTINGS[offsetName];
  const fromSide = isRight ? ground.width - launcher.width - x : x;
  const offset = within(
    snaps && Math.abs(fromSide - (defaultValue ?? 0)) <= SNAP_PX ? (defaultValue ?? 0) : fromSide,
    least,
    most,
  );
  const fromMiddle = y - (ground.height - launcher.height) / 2;
  const seen = cornerFor(place, isPhone);
  if (snaps ? Math.abs(fromMiddle) <= SNAP_PX : isMiddle(seen)) {
    const lift = snaps ? 0 : within(fromMiddle, SETTINGS.lift.least, SETTINGS.lift.most);
    return { ...inCorner(place, `middle-${side}`, isPhone), [offsetName]: offset, [liftName]: lift };
  }
  const isLower = y + launcher.height / 2 >= ground.height / 2;
  const fromEdge = isLower ? ground.height - launcher.height - y : y;
  const lift = within(
    snaps && Math.abs(fromEdge - offset) <= SNAP_PX ? 0 : fromEdge - offset,
    -offset,
    SETTINGS.lift.most,
  );
  return {
    ...inCorner(place, `${isLower ? 'lower' : 'upper'}-${side}`, isPhone),
    [offsetName]: offset,
    [liftName]: lift,
  };
}

/** On phones a corner is theirs alone, unless it is that of larger screens. */
export function inCorner(place: Place, corner: Corner, isPhone: boolean): Place {
  if (!isPhone) return { ...place, corner };
  return { ...place, phoneCorner: corner === place.corner ? null : corner };
}

/** The corner that holds on phones, or on larger screens. */
export function cornerFor(
  { corner, phoneCorner }: Pick<Place, 'corner' | 'phoneCorner'>,
  isPhone: boolean,
): Corner {
  return isPhone ? (phoneCorner ?? corner) : corner;
}

/** Where a place puts the launcher's upper left corner. */
export function cornerOf(place: Place, { width, height, launcher, isPhone }: PlaceGround): { x: Px; y: Px } {
  const corner = cornerFor(place, isPhone);
  const [offset, lift] = offsetsFor(place, isPhone);
  const x = corner.endsWith('right') ? width - launcher.width - offset : offset;
  if (isMiddle(corner)) return { x, y: (height - launcher.height) / 2 + lift };
  const edge = Math.max(0, offset + lift);
  return { x, y: corner.startsWith('lower') ? height - launcher.height - edge : edge };
}

export function isMiddle(corner: Corner): boolean {
  return corner.startsWith('middle');
}

/** From the side, and further from the upper or lower edge than that. */
export function offsetsFor(place: Place, isPhone: boolean): readonly [offset: Px, lift: Px] {
  const [offset, lift] = namesFor(isPhone);
  return [place[offset], place[lift]];
}

function namesFor(isPhone: boolean) {
  return isPhone ? (['phoneOffset', 'phoneLift'] as const) : (['offset', 'lift'] as const);
}

/** As pages get it: never over an edge, neither on phones nor on larger screens; what is usual is left out. */
export function toWirePlace(place: Place): Pick<WireWidget, 'place' | 'window' | 'zIndex'> {
  const { corner, phoneCorner, offset, phoneOffset, layer, windowWidth, windowHeight } = place;
  const held = (isPhone: boolean): Px => {
    const [from, lift] = offsetsFor(place, isPhone);
    return isMiddle(cornerFor(place, isPhone)) ? lift : Math.max(lift, -from);
  };
  const [lift, phoneLift] = [held(false), held(true)];
  const isUsual =
    windowWidth === SETTINGS.windowWidth.defaultValue && windowHeight === SETTINGS.windowHeight.defaultValue;
  return {
    place: {
      corner,
      ...(phoneCorner === null || phoneCorner === corner ? {} : { phoneCorner }),
      offset,
      phoneOffset,
      ...(lift === 0 ? {} : { lift }),
      ...(phoneLift === lift ? {} : { phoneLift }),
    },
    ...(isUsual ? {} : { window: [windowWidth, windowHeight] }),
    ...(layer === SETTINGS.layer.defaultValue ? {} : { zIndex: layer }),
  };
}

function within(value: number, least: number, most: number): number {
  return Math.min(most, Math.max(least, Math.round(value)));
}
