import { decide } from '../decide/decide';
import type { Circumstances } from '../model/circumstances';
import type { WidgetState } from '../model/moment';
import type { PublishedSite } from '../wire/published-site';
import { firstInvited } from './first-invited';
import { type Reachability, findReachability } from './find-reachability';

/** How near each moment is, and which invitation comes first, as far as it is known. */
export interface ReachabilityResult {
  readonly moments: Readonly<Record<string, Reachability>>;
  readonly invitation: string | null;
  /** What it was worked out for: circumstances that have changed since make it worth nothing. */
  readonly base: Circumstances;
  readonly shown: string | null;
  readonly state: WidgetState;
}

/** [M9] The search is the longest work of the screen, so it may follow a little later, from a worker. */
export function reachabilityOf(site: PublishedSite, base: Circumstances): ReachabilityResult {
  const reached = findReachability(site, base);
  const { widget: shown, state } = decide(site, base);
  return {
    moments: Object.fromEntries(reached.map(({ moment, reachability }) => [moment, reachability])),
    invitation: firstInvited(site, base, reached),
    base,
    shown,
    state,
  };
}
