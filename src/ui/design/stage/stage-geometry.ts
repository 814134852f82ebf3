import type { Visitor } from '../../../core/model/circumstances';
import type { Corner } from '../../../core/model/design';
import type { Px } from '../../../core/model/units';

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
/** The window's 500 px, its offset of 20, and a little air below the stage edge. */
const LOW_PX = 520;

/**
 * *Near*: the page at 1:1, cropped to the widget's corner; the window hangs just below the stage edge. A stage too low for
 * the window is a low page, on which the window is lower too. *Whole*: the page scaled to fit under it.
 */
export function stageView(
  stage: { width: Px; height: Px },
  corner: Corner,
  distance: 'near' | 'whole',
  isWindowOpen: boolean,
  device: Visitor['device'] = 'desktop',
  lift: Px = 0,
): StageView {
  if (device !== 'desktop') return held(stage, SIZES[device], corner, distance);
  if (distance === 'whole') {
    const scale = Math.min(stage.width / 1280, (stage.height - AWNING_PX) / 800);
    return {
      pageWidth: 1280,
      pageHeight: 800,
      scale,
      left: (stage.width - 1280 * scale) / 2,
      top: AWNING_PX,
    };
  }
  const pageWidth = Math.max(1280, stage.width);
  const isLow = isWindowOpen && stage.height < LOW_PX;
  const pageHeight = isLow ? stage.height - AWNING_PX : Math.max(800, stage.height);
  const left = corner.endsWith('right') ? stage.width - pageWidth : 0;
  if (corner.startsWith('middle'))
    return {
      pageWidth,
      pageHeight,
      scale: 1,
      left,
      top: isLow ? AWNING_PX : (stage.height + AWNING_PX - pageHeight) / 2,
    };
  // The window still hangs just below the stage edge where it stands higher on the page.
  const below = isWindowOpen && !isLow && corner.startsWith('lower') ? AWNING_PX + lift : 0;
  const top = !isLow && corner.startsWith('lower') ? stage.height - pageHeight + below : AWNING_PX;
  return { pageWidth, pageHeight, scale: 1, left, top };
}

/** Between a device and the stage's edge. */
const BESIDE_PX = 48;
const SIZES = { phone: { width: 390, height: 844 }, tablet: { width: 820, height: 1180 } } as const;

/**
 * A device that is held in the hand stands on the widget's side of the stage, away from the signposts; near, at true size,
 * as much of it as there is room for, at the end where the widget is.
 */
function held(
  stage: { width: Px; height: Px },
  page: { width: Px; height: Px },
  corner: Corner,
  distance: 'near' | 'whole',
): StageView {
  const room = stage.height - AWNING_PX;
  const scale = distance === 'near' ? 1 : Math.min(1, stage.width / page.width, room / page.height);
  const height = distance === 'near' ? Math.min(page.height, Math.max(room, 480)) : page.height;
  const free = stage.width - page.width * scale;
  const far = Math.max(free / 2, free - BESIDE_PX);
  const left = corner.endsWith('right') ? far : free - far;
  const isFar = distance === 'near' && !corner.startsWith('upper');
  const top = !isFar
    ? AWNING_PX
    : corner.startsWith('lower')
      ? stage.height - height
      : (stage.height + AWNING_PX - height) / 2;
  return { pageWidth: page.width, pageHeight: height, scale, left, top };
}

/** [T9] Right-to-left mirrors the corner. */
export function mirrored(corner: Corner, dir: 'ltr' | 'rtl'): Corner {
  if (dir === 'ltr') return corner;
  return (
    corner.endsWith('right') ? corner.replace('right', 'left') : corner.replace('left', 'right')
  ) as Corner;
}
