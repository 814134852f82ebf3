import { compileSite } from '../core/decide/compile-site';
import { decided } from '../core/rehearse/decided';
import type { Circumstances, Visitor } from '../core/model/circumstances';
import type { PublishedSite } from '../core/wire/published-site';
import type { VisitorEntry } from '../core/wire/talk';
import { EXTRAS_CSS } from './extras/extras-style';
import { addSheet, buildFrame, setFont } from './frame';
import { askFonts } from './panel/fonts';
import { paintStill } from './panel/paint-still';
import { type Surroundings, deviceMinutesEast, deviceOf } from './surroundings';
import type { PaintedText } from '../core/decide/reader';
import { type FormatText, formatTextFor } from './format-text';

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
  /** The launcher has not come yet. */
  readonly hasNoLauncher?: boolean;
  /** The clock its reader lives by; absent: this device's. */
  readonly minutesEast?: Surroundings['minutesEast'] | undefined;
  /** Address below which the site's pictures are. */
  readonly base: string;
}

export interface Tile {
  /** The shadow root, for finding where a text stands (`data-say`). */
  readonly root: ShadowRoot;
  /** Whether anything had to be painted anew. */
  update(feed: Feed): boolean;
  unmount(): void;
}

/** What was drawn last: all of its look, and every text it asked for with what it got. */
interface Drawn {
  readonly look: string;
  readonly said: readonly Said[];
}
type Said = readonly [key: Parameters<FormatText>[0], values: Parameters<FormatText>[1], words: string];

function saysTheSame(said: readonly Said[], formatText: FormatText): boolean {
  return said.every(([key, values, words]) => formatText(key, values) === words);
}

/** Everything but the words that a picture is made of: where it is equal, so is the picture. */
function lookOf({ site, circumstances, entries, ...how }: Feed, { widget, decision }: PaintedText): string {
  const { state, isStateKnown, closedBy, moment, isCountOnly, lines } = decision;
  const {
    key,
    teams,
    calendar,
    place,
    launcher,
    scheme,
    palette,
    measures,
    forms,
    talks,
    style,
    fonts,
    logo,
    headerPicture,
    css,
    window,
    zIndex,
  } = widget;
  const { now, isWindowOpen, invited, conversation, unread, visitor, page } = circumstances;
  const { locale, dir, siteName } = site.design;
  return JSON.stringify([
    [state, isStateKnown, closedBy, moment, isCountOnly, lines],
    [key, teams, calendar, place, launcher, scheme, palette, measures, forms, talks],
    [style, fonts, logo, headerPicture, css, window, zIndex],
    [now, isWindowOpen, invited, conversation, unread, visitor, page.address, entries],
    [
      locale,
      dir,
      siteName,
      site.facts.teams,
      how.scheme,
      how.device,
      how.width,
      how.height,
      how.font,
      how.base,
      how.hasNoLauncher,
    ],
  ]);
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
  const device = () => feed.device ?? deviceOf(feed.width, feed.height);
  const surroundings: Surroundings = {
    root,
    now: () => feed.circumstances.now,
    wakeAt: () => () => undefined,
    width: () => feed.width,
    device,
    kind: device,
    scheme: () => feed.scheme,
    minutesEast: (instant) => (feed.minutesEast ?? deviceMinutesEast)(instant),
  };
  const frame = buildFrame(surroundings, first.base);
  frame.addExtras(EXTRAS_CSS);
  addSheet(root, TILE_CSS);
  frame.root.setAttribute('data-still', '');
  let drawn: Drawn | null = null;
  const update = (next: Feed): boolean => {
    feed = next;
    const { site, circumstances } = next;
    const decision = decided(site, circumstances);
    const widget = compileSite(site).widget(decision.widget);
    frame.root.hidden = widget === undefined;
    if (widget === undefined) {
      drawn = null;
      return true;
    }
    const painted = { site, widget, decision, circumstances };
    const formatText = formatTextFor(painted, surroundings);
    const look = lookOf(next, painted);
    if (drawn !== null && drawn.look === look && saysTheSame(drawn.said, formatText)) return false;
    const said: Said[] = [];
    const listening: FormatText = (key, values) => {
      const words = formatText(key, values);
      said.push([key, values, words]);
      return words;
    };
    askFonts(widget.fonts?.load ?? [], next.base);
    setFont(frame.root, next.font);
    frame.paint(painted, listening);
    if (next.hasNoLauncher === true) frame.launcher.hidden = true;
    paintStill(root, frame.place, { painted, formatText: listening, entries: next.entries, base: next.base });
    drawn = { look, said };
    return true;
  };
  update(first);
  return { root, update, unmount: () => host.remove() };
}
