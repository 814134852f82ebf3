import { elapsedAt, turned } from '../../core/model/page-clock';
import type { Memory } from '../../core/model/memory';
import { type Origin, originOf } from '../../core/decide/origin';
import type { MemoryEvent } from '../../core/decide/remember';
import { type PageView, pageViewAt } from '../../core/model/circumstances';
import type { EpochMs } from '../../core/model/units';
import { isNewPageView } from '../../core/pages/route';

/** The page view that goes on ([V1]), and what is remembered of it. */
export interface View {
  read(): PageView;
  /** Puts in what was heard. */
  put(change: Partial<Omit<PageView, 'clock' | 'idle' | 'leftAt'>>): void;
  /** An invitation has left the screen now. */
  left(): void;
  /** Whether the address has changed to another page since ([P17], [P18]); a new page view has then begun. */
  hasMoved(): boolean;
  /** A new page view of the address the page says it shows, until the location really changes. */
  setAddress(address: string): void;
  /** Another level may keep more: the page view that goes on is told from the beginning. */
  tellAnew(): void;
  /** The page comes into view, or goes out of it. */
  turn(isVisible: boolean): void;
  /** Somebody did something; false: so soon after the last time that nothing changes. */
  wasActive(): boolean;
  /** Of the visit's first page, where visits are remembered ([V5]). */
  origin(): Origin;
}

export interface ViewPort {
  memory(): Memory;
  rememberEvent(event: MemoryEvent): void;
  now(): EpochMs;
  /** When the page view began that the visit runtime came into, in ms of the page's monotonic clock ([V1]). */
  readonly startedAt: number;
}

/** Activity is told to the second: conditions count in seconds. */
const ACTIVE_MS = 1000;

/**
 * Clocks go by monotonic time, which no answer of the server sets anew; they are told in the server's ([V3]): what has
 * passed stays what it was when the clock is corrected, and what passed while the machine slept is not counted.
 */
export function viewOf({ memory, rememberEvent, now, startedAt }: ViewPort): View {
  const passed = (): number => Math.round(performance.now());
  const own = originOf(location.href, document.referrer);
  let located = location.href;
  let view = pageViewAt(located, passed());
  let told: { view: PageView; ahead: number; as: PageView } | null = null;

  /** The view with its times in the server's; the same object while nothing has changed. */
  const read = (): PageView => {
    const ahead = now() - passed();
    if (told?.view === view && Math.abs(told.ahead - ahead) < 2) return told.as;
    const moved = (instant: number | null): number | null => (instant === null ? null : instant + ahead);
    const clocks = {
      clock: { ...view.clock, since: moved(view.clock.since) },
      idle: { ...view.idle, since: moved(view.idle.since) },
    };
    told = { view, ahead, as: { ...view, ...clocks, leftAt: moved(view.leftAt) } };
    return told.as;
  };
  let isTold = false; // whether the visit counts this tab as visible

  const turn = (isVisible: boolean): void => {
    if (view.isVisible !== isVisible)
      view = {
        ...view,
        isVisible,
        clock: turned(view.clock, isVisible, passed()),
        idle: turned(view.idle, isVisible, passed()),
      };
    if (isVisible !== isTold) rememberEvent({ kind: isVisible ? 'seen' : 'hidden', at: now() });
    isTold = isVisible;
  };
  const tellPage = (): void => rememberEvent({ kind: 'page-view', at: now(), address: view.address, ...own });
  const begin = (address: string, at = passed()): void => {
    view = pageViewAt(address, at);
    tellPage();
    turn(document.visibilityState === 'visible');
  };
  begin(located, startedAt);
  return {
    read,
    put: (change) => {
      view = { ...view, ...change };
    },
    left: () => {
      view = { ...view, leftAt: passed() };
    },
    hasMoved: () => {
      const from = located;
      located = location.href;
      if (from === located) return false;
      const isNew = isNewPageView(from, located);
      if (isNew) begin(located);
      else view = { ...view, address: located };
      return isNew;
    },
    setAddress: (address) => {
      located = location.href;
      begin(new URL(address, located).href);
    },
    tellAnew: () => {
      tellPage();
      isTold = false;
      turn(view.isVisible);
    },
    turn,
    wasActive: () => {
      if (elapsedAt(view.idle, passed()) < ACTIVE_MS) return false;
      view = { ...view, idle: { doneMs: 0, since: view.isVisible ? passed() : null } };
      return true;
    },
    origin: () => memory().visit ?? own,
  };
}
