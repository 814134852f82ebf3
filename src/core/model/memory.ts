import { type EpochMs, HOUR_MS, MINUTE_MS } from './units';
import type { PageClock } from './page-clock';

/** What a browser keeps of a visitor under one key, at most 4 KB ([V7], [V8]). */
export interface Memory {
  readonly v: 1;
  /** Only once they have written. */
  readonly token: string | null;
  /** Of what was said to them, the last that was before their eyes; null: it is not known, and all counts as seen. */
  readonly seenId: number | null;
  /** Until when the launcher stays put away; null: it does not. */
  readonly putAwayUntil: EpochMs | null;
  /** Until when all invitations rest after a *No, thanks* ([I7]). */
  readonly restUntil: EpochMs | null;
  /** The visit that goes on, or went on last; kept at level *kept* only, like all that follows. */
  readonly visit: VisitRecord | null;
  /** Beginnings of the visits before it, newest first. */
  readonly before: readonly EpochMs[];
  /** By invitation: the visit it was last shown in, how often in all, and when last ([I11]). */
  readonly counts: Readonly<Record<string, readonly [visit: number, total: number, at: EpochMs]>>;
  /** Pages of the visit, oldest first ([V9]). */
  readonly trail: readonly (readonly [address: string, at: EpochMs])[];
  /** Replies to form fields that are filled in again next time. */
  readonly replies: Readonly<Record<string, string>>;
}

export interface VisitRecord {
  readonly number: number;
  readonly startedAt: EpochMs;
  /** When it was last known that a tab was visible, or stopped to be. */
  readonly lastAt: EpochMs;
  /** Visible time up to `lastAt`. */
  readonly doneMs: number;
  /** Tabs that are visible now ([V2], [V4]). */
  readonly tabs: number;
  readonly pages: number;
  /** Of its first page ([V5]). */
  readonly referrer: string | null;
  readonly campaign: string | null;
  /** Invitations shown in it, and when the last one left the screen ([I6]). */
  readonly shown: number;
  readonly leftAt: EpochMs | null;
}

export const EMPTY_MEMORY: Memory = {
  v: 1,
  token: null,
  seenId: null,
  putAwayUntil: null,
  restUntil: null,
  visit: null,
  before: [],
  counts: {},
  trail: [],
  replies: {},
};

/** [V2] A visit ends when for so long no tab was visible. */
export const VISIT_REST_MS = 30 * MINUTE_MS;
/** A tab that died without a word would keep its visit for ever. */
const SILENT_TAB_MS = 4 * HOUR_MS;
export const MEMORY_UNITS_MAX = 4096;
export const TRAIL_MAX = 50;
export const EARLIER_VISITS_MAX = 30;

/** [V4] The visit's clock: it runs while any tab is visible, and two visible tabs do not count twice. */
export function visitClock({ doneMs, tabs, lastAt }: VisitRecord): PageClock {
  return { doneMs, since: tabs > 0 ? lastAt : null };
}

/** [V2] Whether a visit goes on at an instant. */
export function goesOn(visit: VisitRecord, now: EpochMs): boolean {
  return now - visit.lastAt < (visit.tabs > 0 ? SILENT_TAB_MS : VISIT_REST_MS);
}
