import type { Circumstances } from '../model/circumstances';
import type { PublishedSite } from '../wire/published-site';
import type { ReachabilityResult } from './reachability-of';

/** What the worker is asked, and what it finds; `turn` tells the last question from older ones. */
export interface ReachabilityAsked {
  readonly turn: number;
  readonly site: PublishedSite;
  readonly base: Circumstances;
}
export interface ReachabilityFound {
  readonly turn: number;
  readonly reachability: ReachabilityResult;
}
