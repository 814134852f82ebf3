import { nearOf } from '../core/rehearse/near';
import type { NearAsked, NearFound } from '../core/rehearse/protocol';

const scope = self as unknown as {
  onmessage: ((event: MessageEvent<NearAsked>) => void) | null;
  postMessage(found: NearFound): void;
};

/** Only what was asked last is worked out: whoever flips through situations waits for none but the one they stop at. */
let latest: NearAsked | null = null;
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
  if (asked !== null) scope.postMessage({ turn: asked.turn, near: nearOf(asked.site, asked.base) });
}
