import type { EpochMs } from '../core/model/units';

/** Who does something, on which site, and when. */
export interface Actor {
  readonly siteId: string;
  readonly personId: string;
  readonly at: EpochMs;
}
