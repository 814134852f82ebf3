import type { ColoursAsked, ColoursFound, MainColour } from '../../../core/look/protocol';
import { startColoursWorker } from './start-colours-worker';
import { LOOK_PANEL_WORDS } from '../../wording/screens/look-panel';

/** Part of a picture, as shares of its width and height, 0–1. */
export interface ColourShare {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}
const WHOLE: ColourShare = { left: 0, top: 0, right: 1, bottom: 1 };
/** Longer sides are read smaller: main colours do not change with size. */
const SIDE_MAX = 160;
const SECONDS_MAX = 10;

/** The main colours of a picture, or of a part of it, worked out in a worker; the largest first. Throws where it cannot be read. */
export async function mainColours(
  address: string,
  most: number,
  part: ColourShare = WHOLE,
  signal?: AbortSignal,
): Promise<readonly MainColour[]> {
  const response = await fetch(address, { signal: signal ?? AbortSignal.timeout(SECONDS_MAX * 1000) });
  if (!response.ok) throw new Error(`The picture could not be read: ${response.status}.`);
  const picture = await createImageBitmap(await response.blob());
  const [left, top] = [part.left * picture.width, part.top * picture.height];
  const [across, down] = [
    Math.max(1, (part.right - part.left) * picture.width),
    Math.max(1, (part.bottom - part.top) * picture.height),
  ];
  const share = Math.min(1, SIDE_MAX / Math.max(across, down));
  const [width, height] = [Math.max(1, Math.round(across * share)), Math.max(1, Math.round(down * share))];
  const canvas = document.createElement('canvas');
  Object.assign(canvas, { width, height });
  const pen = canvas.getContext('2d', { willReadFrequently: true });
  if (pen === null) throw new Error('This browser cannot read pictures.');
  pen.drawImage(picture, left, top, across, down, 0, 0, width, height);
  picture.close();
  return askWorker(
    { turn: 1, pixels: pen.getImageData(0, 0, width, height).data, width, height, most },
    signal,
  );
}

function askWorker(asked: ColoursAsked, signal?: AbortSignal): Promise<readonly MainColour[]> {
  const worker = startColoursWorker();
  return new Promise<readonly MainColour[]>((resolve, reject) => {
    const late = setTimeout(() => reject(new Error(LOOK_PANEL_WORDS.itTookTooLong)), SECONDS_MAX * 1000);
    signal?.addEventListener('abort', () => {
      clearTimeout(late);
      reject(new Error(LOOK_PANEL_WORDS.stopped));
    });
    worker.onmessage = ({ data }: MessageEvent<ColoursFound>) => {
      clearTimeout(late);
      resolve(data.colours);
    };
    worker.onerror = () => reject(new Error(LOOK_PANEL_WORDS.theSearchForColoursFailed));
    worker.postMessage(asked);
  }).finally(() => worker.terminate());
}
