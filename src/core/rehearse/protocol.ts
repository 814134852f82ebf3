import type { Circumstances } from '../model/circumstances';
import type { PublishedSite } from '../wire/published-site';
import type { Near } from './near';

/** What the worker is asked, and what it finds; `turn` tells the last question from older ones. */
export interface NearAsked {
  readonly turn: number;
  readonly site: PublishedSite;
  readonly base: Circumstances;
}
export interface NearFound {
  readonly turn: number;
  readonly near: Near;
}
