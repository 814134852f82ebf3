import type { EpochMs } from './units';

/** [V3] A clock that runs while something can be seen: what it had, and since when it runs; null: it stands. */
export interface PageClock {
  readonly doneMs: number;
  readonly since: EpochMs | null;
}

/** What a clock shows at an instant, in ms. An instant before its start adds nothing. */
export function elapsedAt({ doneMs, since }: PageClock, now: EpochMs): number {
  return since === null ? doneMs : doneMs + Math.max(0, now - since);
}

/** When a clock will show `ms`; null where it stands ([A5]). */
export function reachesAt({ doneMs, since }: PageClock, ms: number): EpochMs | null {
  return since === null ? null : since + ms - doneMs;
}

/** A clock that begins now; it stands where nothing can be seen. */
export function startedAt(now: EpochMs, runs: boolean): PageClock {
  return { doneMs: 0, since: runs ? now : null };
}

/** The clock stopped, or let run again. */
export function turned(clock: PageClock, runs: boolean, now: EpochMs): PageClock {
  return { doneMs: elapsedAt(clock, now), since: runs ? now : null };
}
