'use client';

import { createContext, useContext, useEffect, useLayoutEffect, useMemo, useRef } from 'react';
import { type Feed, type Tile, mount } from '../../../widget/preview';

/** Address below which the site's pictures are, as pages get them. */
export const PicturesAt = createContext('');

/** The clock that visitors in tiles live by; undefined: this device's. */
export const ReaderClock = createContext<Feed['minutesEast']>(undefined);

interface WidgetTileProps {
  readonly feed: Omit<Feed, 'base' | 'minutesEast'>;
  /** Drawn at this scale; 1 is true size. */
  readonly scale?: number;
  /** Called after each painting, with the shadow root the texts stand in. */
  readonly onPainted?: (root: ShadowRoot) => void;
}

/** The real runtime in a box. Decorative to a screen reader: what it says is said beside it. */
export function WidgetTile({ feed: shown, scale = 1, onPainted }: WidgetTileProps) {
  const base = useContext(PicturesAt);
  const minutesEast = useContext(ReaderClock);
  const feed = useMemo((): Feed => ({ ...shown, base, minutesEast }), [shown, base, minutesEast]);
  const place = useRef<HTMLDivElement>(null);
  const tile = useRef<Tile | null>(null);
  useEffect(
    () => () => {
      tile.current?.unmount();
      tile.current = null;
    },
    [],
  );
  useLayoutEffect(() => {
    if (place.current === null) return;
    if (tile.current === null) tile.current = mount(place.current, feed);
    else if (!tile.current.update(feed)) return;
    onPainted?.(tile.current.root);
  }, [feed, onPainted]);
  return (
    <div
      style={{
        width: feed.width * scale,
        height: feed.height * scale,
        position: 'relative',
        overflow: 'hidden',
        flex: 'none',
      }}
      aria-hidden
      inert
    >
      <div
        ref={place}
        style={{
          width: feed.width,
          height: feed.height,
          transform: scale === 1 ? undefined : `scale(${scale})`,
          transformOrigin: '0 0',
          position: 'relative',
        }}
      />
    </div>
  );
}
