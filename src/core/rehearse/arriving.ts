import { EMPTY_MEMORY } from '../decide/memory';
import { type Happening, remember } from '../decide/remember';
import { type Circumstances, UNKNOWN_VISITOR, pageViewAt } from '../model/circumstances';
import type { EpochMs } from '../model/units';

/** A visitor who has just come to a page, for the first time, and may be remembered; the server was heard this instant. */
export function arrivingAt(address: string, now: EpochMs): Circumstances {
  const came: Happening = { kind: 'page-view', at: now, address, referrer: null, campaign: null };
  const memory = remember(remember(EMPTY_MEMORY, came, 'kept'), { kind: 'seen', at: now }, 'kept');
  return {
    now,
    heardAt: now,
    isLit: true,
    page: pageViewAt(address, now),
    forcedWidget: null,
    visitor: { ...UNKNOWN_VISITOR, visit: 'first' },
    level: 'kept',
    memory,
    moment: null,
    isWindowOpen: false,
    invited: null,
    conversation: null,
    unread: 0,
    asksAgain: false,
  };
}
