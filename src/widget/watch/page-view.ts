import { elapsedAt, turned } from '../../core/decide/clock';
import type { Memory } from '../../core/decide/memory';
import { type Origin, originOf } from '../../core/decide/origin';
import type { Happening } from '../../core/decide/remember';
import { type PageView, pageViewAt } from '../../core/model/circumstances';
import type { EpochMs } from '../../core/model/units';
import { isNewPageView } from '../../core/pages/route';

/** The page view that goes on ([V1]), and what is remembered of it. */
export interface View {
  read(): PageView;
  /** Puts in what was heard. */
  put(change: Partial<PageView>): void;
  /** Whether the address has changed to another page since ([P17], [P18]); a new page view has then begun. */
  hasMoved(): boolean;
  /** A new page view of the address the page says it shows, until the location really changes. */
  setAddress(address: string): void;
  /** The page comes into view, or goes out of it. */
  turn(isVisible: boolean): void;
  /** Somebody did something; false: so soon after the last time that nothing changes. */
  wasActive(): boolean;
  /** Of the visit's first page, where visits are remembered ([V5]). */
  origin(): Origin;
}

/** Activity is told to the second: conditions count in seconds. */
const ACTIVE_MS = 1000;

export function viewOf(memory: () => Memory, happen: (happening: Happening) => void, now: () => EpochMs): View {
  const own = originOf(location.href, document.referrer);
  let located = location.href;
  let view = pageViewAt(located, now());
  let isTold = false; // whether the visit counts this tab as visible

  const turn = (isVisible: boolean): void => {
    if (view.isVisible !== isVisible)
      view = { ...view, isVisible, clock: turned(view.clock, isVisible, now()), idle: turned(view.idle, isVisible, now()) };
    if (isVisible !== isTold) happen({ kind: isVisible ? 'seen' : 'hidden', at: now() });
    isTold = isVisible;
  };
  const begin = (address: string): void => {
    view = pageViewAt(address, now());
    happen({ kind: 'page-view', at: now(), address, ...own });
    turn(document.visibilityState === 'visible');
  };
  begin(located);
  return {
    read: () => view,
    put: (change) => {
      view = { ...view, ...change };
    },
    hasMoved: () => {
      const [from, to] = [located, location.href];
      if (from === to) return false;
      located = to;
      if (isNewPageView(from, to)) begin(to);
      else view = { ...view, address: to };
      return isNewPageView(from, to);
    },
    setAddress: (address) => {
      located = location.href;
      begin(new URL(address, located).href);
    },
    turn,
    wasActive: () => {
      if (elapsedAt(view.idle, now()) < ACTIVE_MS) return false;
      view = { ...view, idle: { doneMs: 0, since: view.isVisible ? now() : null } };
      return true;
    },
    origin: () => memory().visit ?? own,
  };
}
