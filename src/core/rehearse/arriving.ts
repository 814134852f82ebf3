import { EMPTY_MEMORY } from '../model/memory';
import { type MemoryEvent, remember } from '../decide/remember';
import { type Circumstances, UNKNOWN_VISITOR, pageViewAt } from '../model/circumstances';
import { DAY_MS, type EpochMs } from '../model/units';

/** A returning visitor was here so long ago, once. */
const BEFORE_MS = 3 * DAY_MS;

/** A visitor who has just come to a page and may be remembered; the server was heard this instant. */
export function arrivingAt(
  address: string,
  now: EpochMs,
  visit: 'first' | 'returning' = 'first',
): Circumstances {
  const came = (at: EpochMs): MemoryEvent => ({
    kind: 'page-view',
    at,
    address,
    referrer: null,
    campaign: null,
  });
  const before = visit === 'first' ? EMPTY_MEMORY : remember(EMPTY_MEMORY, came(now - BEFORE_MS), 'kept');
  const memory = remember(remember(before, came(now), 'kept'), { kind: 'seen', at: now }, 'kept');
  return {
    now,
    heardAt: now,
    isLit: true,
    page: pageViewAt(address, now),
    forcedWidget: null,
    visitor: { ...UNKNOWN_VISITOR, visit },
    level: 'kept',
    memory,
    moment: null,
    isWindowOpen: false,
    invited: null,
    conversation: null,
    unread: 0,
    asksAgain: false,
    asksFor: null,
  };
}
