import type { HeaderPicture } from '../model/look';
import type { HexColor } from '../model/units';
import { contrast, luminance } from './contrast';
import { mixed } from './oklch';

const TEXT_RATIO = 4.5;
const STEPS = 100;
type Bounds = Pick<HeaderPicture, 'darkest' | 'lightest'>;

/**
 * How much of the header's colour, 0–1, must lie over a picture for its words to be read on every pixel. A picture is
 * known by the bounds of its pixels, channel by channel; a mixture is bounded by the mixtures of the bounds, and so is
 * its luminance. 1 where nothing less will do.
 */
export function shadeOver(picture: Bounds, header: HexColor, text: HexColor): number {
  for (let step = 0; step < STEPS; step++)
    if (
      groundsUnder(picture, header, text, step / STEPS).every(
        (ground) => contrast(text, ground) >= TEXT_RATIO,
      )
    )
      return step / STEPS;
  return 1;
}

/** The grounds on which the words of a header are read worst, over its picture. */
export function shaded(picture: Bounds, header: HexColor, text: HexColor): readonly HexColor[] {
  return groundsUnder(picture, header, text, shadeOver(picture, header, text));
}

/** The bounds of the mixture; and the text's own colour where it may occur between them. */
function groundsUnder(
  { darkest, lightest }: Bounds,
  header: HexColor,
  text: HexColor,
  share: number,
): readonly HexColor[] {
  const [low, high] = [mixed(darkest, header, share), mixed(lightest, header, share)];
  const isBetween = luminance(low) < luminance(text) && luminance(text) < luminance(high);
  return isBetween ? [low, high, text] : [low, high];
}
