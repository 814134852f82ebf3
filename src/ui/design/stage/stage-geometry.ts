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

/** What stands open on the page, in px of the page. */
export interface StagedWindow {
  readonly height: Px;
  /** From the edge of its corner. */
  readonly offset: Px;
}

/** Between the window and the stage's edge. */
const AIR_PX = 12;
/** A text is edited where it stands down to this scale; below, it could not be read well. */
export const EDITED_FROM = 0.9;

/**
 * *Near*: the page at true size, cropped to the widget's corner. A window is always whole: where the stage is too low for it
 * and its distance from the page's edge, the page is drawn somewhat smaller; where that would be too small to edit, the
 * distance is cropped instead. *Whole*: the page scaled to fit.
 */
export function stageView(
  stage: { width: Px; height: Px },
  corner: Corner,
  distance: 'near' | 'whole',
  open: StagedWindow | null,
  device: Visitor['device'] = 'desktop',
): StageView {
  if (device !== 'desktop') return held(stage, SIZES[device], corner, distance);
  if (distance === 'whole') {
    const scale = Math.min(stage.width / 1280, stage.height / 800);
    return { pageWidth: 1280, pageHeight: 800, scale, left: (stage.width - 1280 * scale) / 2, top: 0 };
  }
  const isMiddle = corner.startsWith('middle');
  const offset = isMiddle ? AIR_PX : (open?.offset ?? 0);
  const [all, alone] = [offset + (open?.height ?? 0) + AIR_PX, (open?.height ?? 0) + 2 * AIR_PX];
  const fits = open === null ? 1 : Math.min(1, stage.height / all);
  const scale = fits >= EDITED_FROM ? fits : Math.min(1, Math.max(stage.height / alone, 0.1));
  const pageWidth = Math.max(1280, stage.width / scale);
  const pageHeight = Math.max(800, stage.height / scale, offset + (open?.height ?? 0) + 32);
  const left = corner.endsWith('right') ? stage.width - pageWidth * scale : 0;
  if (isMiddle) return { pageWidth, pageHeight, scale, left, top: (stage.height - pageHeight * scale) / 2 };
  // Cropped: the window's far edge stands just inside of the stage.
  const cropped = fits >= EDITED_FROM ? 0 : (offset + (open?.height ?? 0) + AIR_PX) * scale - stage.height;
  const top = corner.startsWith('lower') ? stage.height - pageHeight * scale + cropped : 0 - cropped;
  return { pageWidth, pageHeight, scale, left, top };
}

/** Between a device and the stage's edge. */
const BESIDE_PX = 48;
const SIZES = { phone: { width: 390, height: 844 }, tablet: { width: 820, height: 1180 } } as const;

/**
 * A device that is held in the hand stands on the widget's side of the stage, away from the tools; near, at true size,
 * as much of it as there is room for, at the end where the widget is: a low device, whose window is as low.
 */
function held(
  stage: { width: Px; height: Px },
  page: { width: Px; height: Px },
  corner: Corner,
  distance: 'near' | 'whole',
): StageView {
  const room = stage.height;
  const scale = distance === 'near' ? 1 : Math.min(1, stage.width / page.width, room / page.height);
  const height = distance === 'near' ? Math.min(page.height, Math.max(room, 480)) : page.height;
  const free = stage.width - page.width * scale;
  const far = Math.max(free / 2, free - BESIDE_PX);
  const left = corner.endsWith('right') ? far : free - far;
  const isFar = distance === 'near' && !corner.startsWith('upper');
  const spare = stage.height - height;
  const top = !isFar ? 0 : corner.startsWith('lower') ? spare : spare / 2;
  return { pageWidth: page.width, pageHeight: height, scale, left, top };
}

/** [T9] Right-to-left mirrors the corner. */
export function mirrored(corner: Corner, dir: 'ltr' | 'rtl'): Corner {
  if (dir === 'ltr') return corner;
  return (
    corner.endsWith('right') ? corner.replace('right', 'left') : corner.replace('left', 'right')
  ) as Corner;
}
