import { useEffect, useState } from 'react';
import { cornerOf } from '../../core/look/place';
import type { Widget } from '../../core/model/design';
import type { HexColor } from '../../core/model/units';
import type { Backdrop } from '../design/use-page-pictures';
import { mainColours } from './main-colours';

/** As many main colours of the page behind something are judged. */
const MOST = 5;
/** Less is an edge, or a speck. */
const SHARE_MIN = 0.02;
/** The page as it is judged: the first screen of it on a computer. */
const SCREEN = { width: 1280, height: 800 };
/** Beside the launcher its surroundings count too. */
const AROUND_PX = 24;

/** The main colours of the owner's page under the launcher; null: there is no picture, or it cannot be read. */
export function usePageColours(backdrop: Backdrop, { place, launcher }: Widget): readonly HexColor[] | null {
  const address = backdrop.kind === 'picture' ? backdrop.address : null;
  const { x, y } = cornerOf(place, { ...SCREEN, launcher: { width: launcher.size, height: launcher.size }, isPhone: false });
  const [found, setFound] = useState<{ readonly asked: string; readonly colours: readonly HexColor[] } | null>(null);
  const asked = address === null ? null : [address, x, y, launcher.size].join(' ');
  useEffect(() => {
    if (address === null || asked === null) return;
    const stop = new AbortController();
    readPart(address, { x, y, size: launcher.size }, stop.signal).then(
      (colours) => setFound({ asked, colours }),
      () => undefined,
    );
    return () => stop.abort();
  }, [asked, address, x, y, launcher.size]);
  return found !== null && found.asked === asked && found.colours.length > 0 ? found.colours : null;
}

async function readPart(
  address: string,
  { x, y, size }: { readonly x: number; readonly y: number; readonly size: number },
  signal: AbortSignal,
): Promise<readonly HexColor[]> {
  const height = await heightOf(address);
  const within = (value: number, most: number): number => Math.min(1, Math.max(0, value / most));
  const part = {
    left: within(x - AROUND_PX, SCREEN.width),
    right: within(x + size + AROUND_PX, SCREEN.width),
    top: within(y - AROUND_PX, height),
    bottom: within(y + size + AROUND_PX, height),
  };
  const found = await mainColours(address, MOST, part, signal);
  return found.filter(({ share }) => share >= SHARE_MIN).map(({ color }) => color);
}

/** How high a picture of the page is where it is 1280 px wide. */
async function heightOf(address: string): Promise<number> {
  const picture = new Image();
  picture.src = address;
  await picture.decode();
  return (picture.naturalHeight / picture.naturalWidth) * SCREEN.width;
}
