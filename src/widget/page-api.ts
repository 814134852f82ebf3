import { guarded, inBackground } from './guard';
import { listen } from './surroundings';

/** What the page may call; calls before the guest stands wait in `q`. */
export interface CallQueue {
  readonly q: [name: string, value: unknown][];
  call(name: string, value: unknown): void;
}

/** A queue at `window.SunnyPorch`, with what the page called before the script came; null where one stands there already. */
export function pageQueue(): CallQueue | null {
  const here = window as unknown as { SunnyPorch?: { isHere?: true; q?: ArrayLike<unknown>[] } };
  if (here.SunnyPorch?.isHere) return null;
  const q = (here.SunnyPorch?.q ?? []).map((call): [string, unknown] => [String(call[0]), call[1]]);
  const queue: CallQueue = { q, call: (name, value) => void q.push([name, value]) };
  here.SunnyPorch = Object.assign((name: string, value: unknown) => queue.call(name, value), {
    isHere: true as const,
  });
  return queue;
}

/** The page hears of it by an event of its window. */
export function tell(name: string, detail: object): void {
  window.dispatchEvent(new CustomEvent(`sunnyporch:${name}`, { detail }));
}

export interface PageEvents {
  look(): void;
  askIfStale(): Promise<void>;
  onTurn(isVisible: boolean): void;
  /** The page says that it shows another address, or came back from the cache. */
  moveTo(address: string): void;
  onClick(event: MouseEvent): void;
}

/** Listens to all that may be an occasion to decide anew. */
export function listenToPage({ look, askIfStale, onTurn, moveTo, onClick }: PageEvents): void {
  /** Another page view may have begun, whatever the server says then ([P17]). */
  const route = (): void => {
    look();
    inBackground(askIfStale());
  };
  listen(document, 'visibilitychange', () => {
    const isVisible = document.visibilityState === 'visible';
    onTurn(isVisible);
    if (isVisible) inBackground(askIfStale());
  });
  listen(window, 'pagehide', () => onTurn(false));
  listen(window, 'pageshow', (event) => (event as PageTransitionEvent).persisted && moveTo(location.href));
  listen(document, 'click', onClick as (event: Event) => void);
  for (const kind of ['resize', 'storage']) listen(window, kind, look);
  const { navigation = window } = window as { navigation?: EventTarget };
  for (const kind of ['popstate', 'hashchange']) listen(window, kind, route);
  listen(navigation, 'currententrychange', route);
}

/** From here on calls are carried out at once, those that waited first. */
export function answerCalls(queue: CallQueue, call: CallQueue['call']): void {
  queue.call = guarded(call);
  for (const [name, value] of queue.q.splice(0)) queue.call(name, value);
}
