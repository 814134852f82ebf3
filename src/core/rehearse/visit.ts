import type { Circumstances } from '../model/circumstances';
import type { Moment } from '../model/moment';
import type { EpochMs } from '../model/units';
import type { PublishedSite } from '../wire/published-site';

/** What came of it. */
export type Seen =
  | { readonly at: EpochMs; readonly kind: 'moment'; readonly moment: Moment }
  | { readonly at: EpochMs; readonly kind: 'invited' | 'withdrawn'; readonly id: string }
  /** The launcher came by itself, after its delay. */
  | { readonly at: EpochMs; readonly kind: 'launcher' };

/** A tab on the way: the site as it is told, the circumstances, what was seen, and whether the window is open by itself. */
export interface VisitSimulation {
  readonly site: PublishedSite;
  readonly circumstances: Circumstances;
  readonly seen: readonly Seen[];
  readonly openedByItselfAt: EpochMs | null;
  /** When the page was loaded that the tab is on: the launcher's delay counts from then. */
  readonly loadedAt: EpochMs;
}
