import { instantOf } from '../hours/wall';
import type { Zone } from '../hours/zone';
import type { EpochMs } from '../model/units';
import { type Result, fail, ok } from '../result';

/** [L6] A period as its owner set it: what the clock of the site reads at both ends. */
export interface WallPeriod {
  /** `YYYY-MM-DDTHH:MM`. */
  readonly from: string;
  /** Null: for good. */
  readonly until: string | null;
}

/** Half-open; null: for good. */
export interface Period {
  readonly from: EpochMs;
  readonly until: EpochMs | null;
}

/** What is wrong, and at which end. */
export interface PeriodFault {
  readonly at: 'from' | 'until';
  readonly code: 'no-date' | 'ends-before-it-begins';
}

/** The instants of a period in the site's zone, half-open; what is no date, or ends before it begins, is told by its end. */
export function periodOf(zone: Zone, { from, until }: WallPeriod): Result<Period, PeriodFault> {
  const begins = instantOf(zone, from);
  const ends = until === null ? null : instantOf(zone, until);
  if (begins === null) return fail({ at: 'from', code: 'no-date' });
  if (until !== null && ends === null) return fail({ at: 'until', code: 'no-date' });
  if (ends !== null && ends <= begins) return fail({ at: 'until', code: 'ends-before-it-begins' });
  return ok({ from: begins, until: ends });
}
