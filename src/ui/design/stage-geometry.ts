import type { Corner } from '../../core/model/design';
import type { Px } from '../../core/model/units';

/** Where the page stands behind the stage's opening. */
export interface StageView {
  readonly pageWidth: Px;
  readonly pageHeight: Px;
  readonly scale: number;
  /** Of the page's upper left corner, from the stage's. */
  readonly left: Px;
  readonly top: Px;
}

export const AWNING_PX = 14;
/** The window's 500 px, its offset of 20, and a little air below the awning. */
const LOW_PX = 520;

/**
 * *Near*: the page at 1:1, cropped to the widget's corner; the window hangs just below the awning. A stage too low for
 * the window is a low page, on which the window is lower too. *Whole*: the page scaled to fit under it.
 */
export function stageView(stage: { width: Px; height: Px }, corner: Corner, distance: 'near' | 'whole', isWindowOpen: boolean): StageView {
  if (distance === 'whole') {
    const scale = Math.min(stage.width / 1280, (stage.height - AWNING_PX) / 800);
    return { pageWidth: 1280, pageHeight: 800, scale, left: (stage.width - 1280 * scale) / 2, top: AWNING_PX };
  }
  const pageWidth = Math.max(1280, stage.width);
  const isLow = isWindowOpen && stage.height < LOW_PX;
  const pageHeight = isLow ? stage.height - AWNING_PX : Math.max(800, stage.height);
  const left = corner.endsWith('right') ? stage.width - pageWidth : 0;
  const below = isWindowOpen && !isLow && corner.startsWith('lower') ? AWNING_PX : 0;
  const top = !isLow && corner.startsWith('lower') ? stage.height - pageHeight + below : AWNING_PX;
  return { pageWidth, pageHeight, scale: 1, left, top };
}
