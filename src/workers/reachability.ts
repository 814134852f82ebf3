import { reachabilityOf } from '../core/rehearse/reachability-of';
import type { ReachabilityAsked, ReachabilityFound } from '../core/rehearse/protocol';

const scope = self as unknown as {
  onmessage: ((event: MessageEvent<ReachabilityAsked>) => void) | null;
  postMessage(found: ReachabilityFound): void;
};

/** Only what was asked last is worked out: whoever flips through situations waits for none but the one they stop at. */
let latest: ReachabilityAsked | null = null;
let isBusy = false;

scope.onmessage = ({ data }) => {
  latest = data;
  if (isBusy) return;
  isBusy = true;
  setTimeout(work, 0);
};

function work(): void {
  isBusy = false;
  const asked = latest;
  latest = null;
  if (asked !== null)
    scope.postMessage({ turn: asked.turn, reachability: reachabilityOf(asked.site, asked.base) });
}
