import { useEffect, useState } from 'react';
import type { OnPage } from '../../../core/look/on-page';
import { cornerOf } from '../../../core/look/place';
import type { Widget } from '../../../core/model/design';
import type { HexColor } from '../../../core/model/units';
import { type ColourShare, mainColours } from './main-colours';

/** As many main colours of the page behind something are judged. */
const MOST = 5;
/** Less is an edge, or a speck. */
const SHARE_MIN = 0.02;
/** The page as it is judged: the first screen of it on a computer. */
const SCREEN = { width: 1280, height: 800 };
/** Beside the launcher its surroundings count too. */
const AROUND_PX = 24;
/** An invitation of two lines, and its distance from the launcher. */
const CARD = { width: 320, height: 140, gap: 12 };

export type PageColours = Readonly<Record<OnPage, readonly HexColor[]>>;

/** From the picture of the owner's page on larger screens, whatever stands on the stage: the main colours of the page under launcher and invitation; null: there is no picture, or it cannot be read. */
export function usePageColours(address: string | null, widget: Widget): PageColours | null {
  const boxes = JSON.stringify(pageBoxes(widget));
  const [found, setFound] = useState<{ readonly asked: string; readonly colours: PageColours } | null>(null);
  const asked = address === null ? null : `${address} ${boxes}`;
  useEffect(() => {
    if (address === null || asked === null) return;
    pageColours(address, JSON.parse(boxes) as PageBoxes).then(
      (colours) => setFound({ asked, colours }),
      () => undefined,
    );
  }, [asked, address, boxes]);
  return found !== null && found.asked === asked && found.colours.launcher.length > 0 ? found.colours : null;
}

export type PageBoxes = Readonly<Record<OnPage, Edges>>;

/** Where launcher and invitation stand on the first screen of a page, on a computer. */
export function pageBoxes({ place, launcher }: Pick<Widget, 'place' | 'launcher'>): PageBoxes {
  const { x, y } = cornerOf(place, {
    ...SCREEN,
    launcher: { width: launcher.size, height: launcher.size },
    isPhone: false,
  });
  const isUpper = place.corner.startsWith('upper');
  const isRight = place.corner.endsWith('right');
  return {
    launcher: [x - AROUND_PX, y - AROUND_PX, x + launcher.size + AROUND_PX, y + launcher.size + AROUND_PX],
    invitation: cardAt(
      isRight ? x + launcher.size - CARD.width : x,
      isUpper ? y + launcher.size + CARD.gap : y - CARD.gap - CARD.height,
    ),
  };
}

type Edges = readonly [left: number, top: number, right: number, bottom: number];

function cardAt(left: number, top: number): Edges {
  return [left, top, left + CARD.width, top + CARD.height];
}

/** The main colours of a page's picture under each of the boxes, worked out once for the panel and the findings. Throws where it cannot be read. */
export function pageColours(address: string, boxes: PageBoxes): Promise<PageColours> {
  const key = `${address} ${JSON.stringify(boxes)}`;
  const known = READ.get(key) ?? readParts(address, boxes);
  READ.delete(key);
  READ.set(key, known); // the newest last
  known.catch(() => READ.delete(key));
  const [oldest] = READ.keys();
  if (READ.size > READ_MAX && oldest !== undefined) READ.delete(oldest);
  return known;
}

/** By the picture's address, which names its content, and the boxes. */
const READ = new Map<string, Promise<PageColours>>();
const READ_MAX = 24;

async function readParts(address: string, boxes: PageBoxes): Promise<PageColours> {
  const height = await heightOf(address);
  const within = (value: number, most: number): number => Math.min(1, Math.max(0, value / most));
  const read = async ([left, top, right, bottom]: Edges): Promise<readonly HexColor[]> => {
    const part: ColourShare = {
      left: within(left, SCREEN.width),
      right: within(right, SCREEN.width),
      top: within(top, height),
      bottom: within(bottom, height),
    };
    const found = await mainColours(address, MOST, part);
    return found.filter(({ share }) => share >= SHARE_MIN).map(({ color }) => color);
  };
  return { launcher: await read(boxes.launcher), invitation: await read(boxes.invitation) };
}

/** How high a picture of the page is where it is 1280 px wide. */
async function heightOf(address: string): Promise<number> {
  const picture = new Image();
  picture.src = address;
  await picture.decode();
  return (picture.naturalHeight / picture.naturalWidth) * SCREEN.width;
}
