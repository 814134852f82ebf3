import type { Corner, Place } from '../model/design';
import { SETTINGS } from '../model/settings';
import type { Px } from '../model/units';
import type { WireWidget } from '../wire/design-file';

/** A page, and the launcher on it, in px of the page. */
export interface Ground {
  readonly width: Px;
  readonly height: Px;
  readonly launcher: { readonly width: Px; readonly height: Px };
  /** Which offset holds there. */
  readonly isPhone: boolean;
}

/** So near to where it would stand by itself it stands there: dragged by hand nobody hits a pixel. */
export const SNAP_PX = 12;

/**
 * The place that puts the launcher's upper left corner nearest to a point: in the corner of its quarter of the page,
 * off the edges by whole px, within the bounds of the settings. With `snaps`, a place that is nearly in the corner is.
 */
export function placeAt(place: Place, { x, y }: { readonly x: Px; readonly y: Px }, ground: Ground, snaps: boolean): Place {
  const { launcher, isPhone } = ground;
  const isRight = x + launcher.width / 2 >= ground.width / 2;
  const isLower = y + launcher.height / 2 >= ground.height / 2;
  const corner: Corner = `${isLower ? 'lower' : 'upper'}-${isRight ? 'right' : 'left'}`;
  const name = isPhone ? 'phoneOffset' : 'offset';
  const { least, most, ours } = SETTINGS[name];
  const fromSide = isRight ? ground.width - launcher.width - x : x;
  const fromEdge = isLower ? ground.height - launcher.height - y : y;
  const offset = within(snaps && Math.abs(fromSide - (ours ?? 0)) <= SNAP_PX ? (ours ?? 0) : fromSide, least, most);
  const lift = within(snaps && Math.abs(fromEdge - offset) <= SNAP_PX ? 0 : fromEdge - offset, -offset, SETTINGS.lift.most);
  return { ...place, corner, [name]: offset, lift };
}

/** Where a place puts the launcher's upper left corner. */
export function cornerOf({ corner, offset, phoneOffset, lift }: Place, { width, height, launcher, isPhone }: Ground): { x: Px; y: Px } {
  const side = isPhone ? phoneOffset : offset;
  const edge = Math.max(0, side + lift);
  return {
    x: corner.endsWith('right') ? width - launcher.width - side : side,
    y: corner.startsWith('lower') ? height - launcher.height - edge : edge,
  };
}

/** As pages get it: never over an edge, neither on phones nor on larger screens. */
export function toWirePlace({ corner, offset, phoneOffset, lift }: Place): WireWidget['place'] {
  const held = Math.max(lift, -Math.min(offset, phoneOffset));
  return { corner, offset, phoneOffset, ...(held === 0 ? {} : { lift: held }) };
}

function within(value: number, least: number, most: number): number {
  return Math.min(most, Math.max(least, Math.round(value)));
}
