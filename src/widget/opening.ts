import type { WireWidget } from '../core/wire/design-file';
import { guarded, inBackground } from './guard';
import type { MountedPanel, VisitRuntime } from './port';

export interface OpeningPort {
  importPanel(): Promise<MountedPanel>;
  askIfStale(): Promise<void>;
  look(): void;
  /** What waited for the visitor has been before their eyes. */
  sawAll(): void;
  runtime(): VisitRuntime | null;
  launcher(): HTMLElement | undefined;
  tell(name: string, detail: object): void;
}

/** The window: fetched once it is likely to be wanted, opened and closed. */
export interface Opening {
  readonly isOpen: boolean;
  /** The panel, once it has been fetched. */
  readonly panel: MountedPanel | null;
  fetchPanel(): Promise<MountedPanel>;
  /** Somebody points at the launcher: what opening needs is fetched. */
  prepare(): Promise<unknown>;
  open(openRequest?: string): Promise<void>;
  /** Opens it without the focus, as an invitation does ([I10]). */
  openQuietly(): void;
  close(): void;
  /** A link or button of the page's opens the window; its value may name a team, and a first question. */
  openFrom(event: MouseEvent, widget: WireWidget | undefined): void;
}

export function openingWith(port: OpeningPort): Opening {
  const { importPanel, askIfStale, look, sawAll, runtime, launcher, tell } = port;
  let comes: Promise<MountedPanel> | null = null;
  /** What of the page's own opened the window: the focus goes back there. */
  let opener: HTMLElement | null = null;

  /** The next hover or click tries again ([L9]). */
  const fetchPanel = (): Promise<MountedPanel> =>
    (comes ??= importPanel().then(
      (mounted) => {
        state.panel = mounted;
        return mounted;
      },
      (error: unknown) => {
        comes = null;
        throw error;
      },
    ));
  const prepare = (): Promise<unknown> => Promise.all([fetchPanel(), askIfStale()]);
  const openQuietly = (): void => {
    state.isOpen = true;
    sawAll();
    look();
  };
  const open = async (openRequest?: string): Promise<void> => {
    await prepare();
    if (openRequest) state.panel?.openRequest(openRequest);
    runtime()?.opened();
    openQuietly();
    state.panel?.focus();
    tell('opened', {});
  };
  const state = {
    isOpen: false,
    panel: null as MountedPanel | null,
    fetchPanel,
    prepare,
    open,
    openQuietly,
    close: () => {
      state.isOpen = false;
      runtime()?.closed();
      look();
      (opener ?? launcher())?.focus();
      opener = null;
      tell('closed', {});
    },
    openFrom: guarded((event: MouseEvent, widget: WireWidget | undefined): void => {
      if (widget === undefined || event.defaultPrevented || event.ctrlKey || event.metaKey) return;
      const at = event.target as Element;
      const from = at.closest<HTMLElement>('[data-porch-open]') ?? nearest(at, widget.launcher.element);
      if (from === null) return;
      event.preventDefault();
      opener = from;
      inBackground(open(from.dataset.porchOpen));
    }),
  };
  return state;
}

/** A selector that this browser cannot read finds nothing. */
function nearest(at: Element, selector: string | undefined): HTMLElement | null {
  try {
    return selector ? at.closest<HTMLElement>(selector) : null;
  } catch {
    return null; // not a selector
  }
}
