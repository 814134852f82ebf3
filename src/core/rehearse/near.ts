import { decide } from '../decide/decide';
import type { Circumstances } from '../model/circumstances';
import type { WidgetState } from '../model/moment';
import type { PublishedSite } from '../wire/published-site';
import { firstInvited } from './first-invited';
import { type Nearness, reach } from './reach';

/** How near each moment is, and which invitation comes first, as far as it is known. */
export interface Near {
  readonly moments: Readonly<Record<string, Nearness>>;
  readonly invitation: string | null;
  /** What it was worked out for: circumstances that have changed since make it worth nothing. */
  readonly base: Circumstances;
  readonly shown: string | null;
  readonly state: WidgetState;
}

/** [M9] The search is the longest work of the screen, so it may follow a little later, from a worker. */
export function nearOf(site: PublishedSite, base: Circumstances): Near {
  const reached = reach(site, base);
  const { widget: shown, state } = decide(site, base);
  return {
    moments: Object.fromEntries(reached.map(({ moment, nearness }) => [moment, nearness])),
    invitation: firstInvited(site, base, reached),
    base,
    shown,
    state,
  };
}
