import { decide } from '../core/decide/decide';
import type { Circumstances, Visitor } from '../core/model/circumstances';
import type { PublishedSite } from '../core/wire/published-site';
import type { VisitorEntry } from '../core/wire/talk';
import { addSheet, buildFrame, setFont } from './frame';
import { paintStill } from './panel/paint-still';
import { deviceOf } from './surroundings';
import { voiceOf } from './voice';

/** What a tile shows: a published site, made-up circumstances, and what was said so far. */
export interface Feed {
  readonly site: PublishedSite;
  readonly circumstances: Circumstances;
  readonly entries: readonly VisitorEntry[];
  readonly scheme: 'day' | 'evening';
  /** Null or absent: by its size. */
  readonly device?: Visitor['device'];
  readonly width: number;
  readonly height: number;
  readonly font: string;
}

export interface Tile {
  /** The shadow root, for finding where a text stands (`data-say`). */
  readonly root: ShadowRoot;
  update(feed: Feed): void;
  unmount(): void;
}

/** A tile is its own viewport, and lies among others. */
const TILE_CSS =
  ':host { position: absolute !important; contain: strict !important; z-index: auto !important; } .root[data-still] .launcher { animation: none; }';

/**
 * The real runtime in a tile: the same `decide`, the same frame, the same panel, fed with made-up circumstances. It
 * has no timers, listens to nothing, asks nobody.
 */
export function mount(place: HTMLElement, first: Feed): Tile {
  let feed = first;
  const host = document.createElement('sunny-porch');
  const root = host.attachShadow({ mode: 'open' });
  place.append(host);
  const frame = buildFrame({
    root,
    now: () => feed.circumstances.now,
    wakeAt: () => () => undefined,
    width: () => feed.width,
    device: () => feed.device ?? deviceOf(feed.width, feed.height),
    scheme: () => feed.scheme,
  });
  addSheet(root, TILE_CSS);
  frame.root.setAttribute('data-still', '');
  const update = (next: Feed): void => {
    feed = next;
    const { site, circumstances } = next;
    const decision = decide(site, circumstances);
    const widget = site.design.widgets.find((one) => one.key === decision.widget);
    frame.root.hidden = widget === undefined;
    if (widget === undefined) return;
    setFont(frame.root, next.font);
    const heard = { site, widget, decision, circumstances };
    const voice = voiceOf(heard);
    frame.paint(heard, voice);
    paintStill(root, frame.place, { heard, voice, entries: next.entries });
  };
  update(first);
  return { root, update, unmount: () => host.remove() };
}
