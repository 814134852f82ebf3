import type { Moment } from '../../core/model/moment';
import type { EpochMs } from '../../core/model/units';

/** What a visitor sees, and where, as their browser told it last. */
export interface Whereabouts {
  readonly moment: Moment;
  /** Address of the page without its scheme, since when; null: it may not be known ([V9]). */
  readonly page: readonly [address: string, since: EpochMs] | null;
  /** Since when no page of the site is open any more that hears us; null: one is. */
  readonly goneMs: EpochMs | null;
}

/** Where visitors are. In memory only: after a restart it is known again as soon as their pages have said so. */
export interface WhereaboutsBoard {
  get(siteId: string, visitorId: string): Whereabouts | null;
  set(siteId: string, visitorId: string, whereabouts: Whereabouts): void;
  forget(siteId: string, visitorId: string): void;
}

/** So many are kept; whoever has not been heard of for longest goes first. */
const KEPT_MAX = 10_000;

export function makeWhereabouts(): WhereaboutsBoard {
  const kept = new Map<string, Whereabouts>();
  const keyOf = (siteId: string, visitorId: string): string => `${siteId}:${visitorId}`;
  return {
    get: (siteId, visitorId) => kept.get(keyOf(siteId, visitorId)) ?? null,
    set: (siteId, visitorId, whereabouts) => {
      const key = keyOf(siteId, visitorId);
      kept.delete(key);
      kept.set(key, whereabouts);
      const [oldest] = kept.keys();
      if (kept.size > KEPT_MAX && oldest !== undefined) kept.delete(oldest);
    },
    forget: (siteId, visitorId) => void kept.delete(keyOf(siteId, visitorId)),
  };
}
