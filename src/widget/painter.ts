import type { PaintedText } from '../core/decide/reader';
import type { WireWidget } from '../core/wire/design-file';
import { type Frame, buildFrame, setFont } from './frame';
import { formatTextFor } from './format-text';
import { inBackground } from './guard';
import type { ExtrasModule } from './port';
import { pageFont } from './page-surroundings';
import { type Off, type Surroundings, listen } from './surroundings';

export interface PainterPort {
  readonly host: HTMLElement;
  readonly surroundings: Surroundings;
  /** Address of the site's visitor endpoints, without a final slash. */
  readonly base: string;
  /** When the page view began, in ms of the page's monotonic clock. */
  readonly startedAt: number;
  look(): void;
  prepare(): Promise<unknown>;
  open(): Promise<void>;
  fetchModule<T>(name: string): Promise<T>;
}

/** What the usual sheet does not draw. */
function needsExtras({ launcher, style }: WireWidget): boolean {
  return launcher.form !== 'lamp' || style?.includes('arrival') === true;
}

/** The launcher on the page, and the frame that the window stands in. */
export interface Painter {
  /** Null until a widget was painted. */
  readonly frame: Frame | null;
  /** The widget that stands on the page. */
  readonly widget: WireWidget | undefined;
  /** Paints the launcher of a decision, or takes it away where no widget was chosen. */
  paint(painted: Omit<PaintedText, 'widget'>, widget: WireWidget | undefined): void;
}

export function painterOn(port: PainterPort): Painter {
  const { host, surroundings, base, startedAt, look, prepare, open, fetchModule } = port;
  let cancelArrival: Off | undefined;
  let extras: 'not-asked' | 'come' | 'known' = 'not-asked';
  /** Where they cannot be had, the launcher stands in its usual form. */
  const fetchExtras = async ({ addExtras }: Frame): Promise<void> => {
    extras = 'come';
    try {
      addExtras((await fetchModule<ExtrasModule>('extras.js')).EXTRAS_CSS);
    } finally {
      extras = 'known';
      look();
    }
  };
  const firstFrame = (): Frame => {
    const made = buildFrame(surroundings, base);
    for (const kind of ['pointerenter', 'focus', 'touchstart'])
      listen(made.launcher, kind, () => inBackground(prepare()), { passive: true });
    listen(made.launcher, 'click', () => inBackground(open()));
    return made;
  };
  const state = {
    frame: null as Frame | null,
    widget: undefined as WireWidget | undefined,
    paint: (chosen: Omit<PaintedText, 'widget'>, widget: WireWidget | undefined): void => {
      cancelArrival?.();
      state.widget = widget;
      if (widget === undefined) return host.remove();
      const frame = (state.frame ??= firstFrame());
      if (extras === 'not-asked' && needsExtras(widget)) inBackground(fetchExtras(frame));
      if (extras === 'come') return;
      const { isWindowOpen, invited, unread } = chosen.circumstances;
      const arrivesIn = startedAt + (widget.launcher.delay ?? 0) * 1000 - performance.now();
      const isAwaited = isWindowOpen || invited !== null || unread > 0;
      if (arrivesIn > 0 && !isAwaited)
        cancelArrival = surroundings.wakeAt(surroundings.now() + arrivesIn, look);
      else if (!host.isConnected) document.documentElement.append(host);
      setFont(frame.root, pageFont());
      const painted = { ...chosen, widget };
      frame.paint(painted, formatTextFor(painted, surroundings));
    },
  };
  return state;
}
