import { cornerFor, isMiddle, offsetsFor } from '../../core/look/place';
import type { Place } from '../../core/model/design';

const CORNER_WORDS: Readonly<Record<string, string>> = {
  'lower-right': 'lower right',
  'lower-left': 'lower left',
  'upper-right': 'upper right',
  'upper-left': 'upper left',
  'middle-right': 'middle of the right edge',
  'middle-left': 'middle of the left edge',
};

/** Where a launcher stands: `lower right, 20 px from the side, 96 px from below`. */
export function placeWords(place: Place, isPhone: boolean): string {
  const corner = cornerFor(place, isPhone);
  const [side, lift] = offsetsFor(place, isPhone);
  if (isMiddle(corner)) {
    const moved = lift === 0 ? '' : `, ${Math.abs(lift)} px ${lift < 0 ? 'higher' : 'lower'}`;
    return `${cornerWords(corner)}, ${side} px from the side${moved}`;
  }
  const edge = Math.max(0, side + lift);
  if (edge === side) return `${cornerWords(corner)}, ${side} px from both edges`;
  return `${cornerWords(corner)}, ${side} px from the side, ${edge} px from ${corner.startsWith('lower') ? 'below' : 'above'}`;
}

/** The words for a corner. */
export function cornerWords(corner: string): string {
  return CORNER_WORDS[corner] ?? corner;
}
