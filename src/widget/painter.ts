import type { PaintedText } from '../core/decide/reader';
import type { WireWidget } from '../core/wire/design-file';
import { type Frame, buildFrame, setFont } from './frame';
import { formatTextFor } from './format-text';
import { inBackground } from './guard';
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
  const { host, surroundings, base, startedAt, look, prepare, open } = port;
  let cancelArrival: Off | undefined;
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
