import { type SilencePort, type SilenceWatch, watchSilence } from '../../core/wire/silence';

/** One event of the desk's stream as it came: its name and its data, still as text. */
export interface DeskStreamEvent {
  readonly name: string;
  readonly data: string;
}

export interface StreamHearer {
  hear(event: DeskStreamEvent): void;
  connected(isOpen: boolean): void;
}

/** What tabs of one browser tell each other. */
type Told =
  | { readonly kind: 'event'; readonly event: DeskStreamEvent }
  /** `isAnew`: it was opened or lost just now; else how it stands, for a tab that has come. */
  | { readonly kind: 'connected'; readonly isOpen: boolean; readonly isAnew: boolean }
  | { readonly kind: 'hello' };

const RETRY_MS = [1000, 3000, 10_000, 30_000] as const;

/**
 * The desk's stream, once per browser however many tabs are open: a browser keeps six connections to a server, and
 * seven streams would leave none for anything else. Whichever tab holds the lock keeps the stream and tells the others;
 * when it is closed the next one goes on. Tabs of somebody else (`who`) in the same browser have a stream of their own. `only`
 * hears what one tab alone must answer; what it gives is heard by all. Gives what stops it.
 */
export function shareStream(
  address: string,
  who: string,
  names: readonly string[],
  hearer: StreamHearer,
  only: (event: DeskStreamEvent) => Promise<DeskStreamEvent | null>,
): () => void {
  if (!('locks' in navigator) || !('BroadcastChannel' in globalThis))
    return keepStream(address, names, hearer, only);
  const name = `sunny-porch:${address}:${who}`;
  const channel = new BroadcastChannel(name);
  const stopped = new AbortController();
  let stopStream: (() => void) | null = null;
  let isOpen = false;
  /** What this tab was told last, while another one keeps the stream. */
  let lastTold: boolean | null = null;
  /** The newest of each name that says how things stand; for tabs that come later. */
  const lasting = new Map<string, DeskStreamEvent>();
  channel.onmessage = ({ data: told }: MessageEvent<Told>) => {
    if (told.kind === 'hello') {
      if (stopStream === null) return;
      tell({ kind: 'connected', isOpen, isAnew: false });
      for (const event of lasting.values()) tell({ kind: 'event', event });
    } else if (stopStream === null) {
      if (told.kind === 'event') hearer.hear(told.event);
      else if (told.isAnew || told.isOpen !== lastTold) hearer.connected((lastTold = told.isOpen));
    }
  };
  const tell = (told: Told): void => channel.postMessage(told);
  const held = navigator.locks.request(name, { signal: stopped.signal }, () => {
    return new Promise<void>((release) => {
      const own: StreamHearer = {
        hear: (event) => {
          if (LASTING_EVENTS.has(event.name)) lasting.set(event.name, event);
          hearer.hear(event);
          tell({ kind: 'event', event });
        },
        connected: (value) => {
          isOpen = value;
          hearer.connected(value);
          tell({ kind: 'connected', isOpen: value, isAnew: true });
        },
      };
      stopStream = keepStream(address, names, own, only);
      stopped.signal.addEventListener('abort', () => release());
    });
  });
  held.catch(() => undefined); // it was stopped before it was its turn
  tell({ kind: 'hello' });
  return () => {
    stopped.abort();
    stopStream?.();
    channel.close();
  };
}

/** Events that say how things stand, whenever they were sent. */
const LASTING_EVENTS: ReadonlySet<string> = new Set(['teams']);

/** The stream of this tab's own; one that the server refused is asked for again, later and later, and one that has died without a sign at once. */
function keepStream(
  address: string,
  names: readonly string[],
  hearer: StreamHearer,
  only: (event: DeskStreamEvent) => Promise<DeskStreamEvent | null>,
): () => void {
  const tab = newTabId();
  let source: EventSource | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let tries = 0;
  let watch: SilenceWatch | null = null;
  const leave = (): void => {
    watch?.stop();
    source?.close();
  };
  const open = (): void => {
    leave();
    const own = (source = new EventSource(`${address}?tab=${tab}`));
    const watched = watchSilence(PAGE, () => {
      hearer.connected(false);
      open();
    });
    watch = watched;
    const { heard } = watched;
    own.addEventListener('open', () => {
      tries = 0;
      heard();
      hearer.connected(true);
    });
    own.addEventListener('error', () => {
      hearer.connected(false);
      if (own.readyState !== EventSource.CLOSED) return; // the browser tries again by itself
      leave();
      timer = setTimeout(open, RETRY_MS[Math.min(tries++, RETRY_MS.length - 1)]);
    });
    own.addEventListener('beat', heard);
    for (const name of names)
      own.addEventListener(name, (event) => {
        heard();
        const told = { name, data: (event as MessageEvent<string>).data };
        hearer.hear(told);
        void only(told).then((more) => more !== null && source === own && hearer.hear(more));
      });
  };
  open();
  return () => {
    clearTimeout(timer);
    leave();
  };
}

/** Time as this page has it, and when it wakes. */
const PAGE: SilencePort = {
  now: () => performance.now(),
  wakeAt: (instant, call) => {
    const waits = setTimeout(call, Math.max(0, instant - performance.now()));
    return () => clearTimeout(waits);
  },
  onWake: (call) => {
    const stop = new AbortController();
    const { signal } = stop;
    document.addEventListener('visibilitychange', () => document.hidden || call(), { signal });
    addEventListener('pageshow', call, { signal });
    addEventListener('online', call, { signal });
    return () => stop.abort();
  },
};

/** Names this tab's stream to the server, which closes the one that the tab had before. */
function newTabId(): string {
  return Array.from(crypto.getRandomValues(new Uint8Array(26)), (byte) => (byte & 31).toString(32)).join('');
}
