import type { Circumstances } from '../model/circumstances';
import { TEAM_STATES, type TeamState, type WidgetState } from '../model/moment';
import { type EpochMs, MINUTE_MS, SECOND_MS } from '../model/units';
import type { WireWidget } from '../wire/design-file';
import type { PublishedSite } from '../wire/published-site';
import { type HoursNow, type WhyNow, hoursAt, hoursOf } from '../hours/hours-now';

/** [S6] How long a word about people is fresh, and how long it is held. */
export const FRESH_MS = 15 * SECOND_MS;
export const HELD_MS = 3 * MINUTE_MS;

export interface Presence {
  readonly state: WidgetState;
  readonly isKnown: boolean;
  /** What was told last, however long ago: invitations wait by it, and a fresh word decides ([I3], [S6]). */
  readonly lastReport: WidgetState;
  /** Words inside an open window may tell of people: only on a word that is fresh. */
  readonly isFresh: boolean;
  /** Null: it goes by who is in. */
  readonly hours: HoursNow | null;
  /** Somebody would be told to be there on a word that is no longer fresh: the pointer is to be asked first. */
  readonly wantsFresh: boolean;
  /** When time alone may change any of it; Infinity: never. */
  readonly next: EpochMs;
}

/**
 * State of a widget ([S3]): closed by its hours, else the best of its teams; *nobody* where nothing was heard for three
 * minutes, and where a dark lamp would be lit on a word older than 15 s ([S6]).
 */
export function stateOf(
  site: PublishedSite,
  widget: WireWidget,
  circumstances: Circumstances,
  why?: WhyNow,
): Presence {
  const { now, heardAt, isLit, isWindowOpen } = circumstances;
  const own = hoursOf(site, widget.calendar);
  const hours = own && hoursAt(own, now, why);
  const changes = hours?.changesAt ?? Infinity;
  if (hours !== null && !hours.isOpen)
    return {
      state: 'closed',
      isKnown: true,
      lastReport: 'closed',
      isFresh: true,
      hours,
      wantsFresh: false,
      next: changes,
    };
  const lastReport = bestOf(widget.teams.map((id) => site.pointer.teams[id] ?? 'nobody'));
  const heard = heardAt ?? -Infinity;
  const speaksOfPeople = now < heard + HELD_MS && lastReport !== 'nobody';
  const isFresh = now < heard + FRESH_MS;
  const wouldLight = speaksOfPeople && !isLit && !isFresh;
  // That nobody is in needs no fresh word: it is what would be said without one.
  const isKnown = lastReport === 'nobody' ? heardAt !== null : speaksOfPeople && !wouldLight;
  const state = isKnown ? lastReport : 'nobody';
  const minds = speaksOfPeople && (isWindowOpen || !isLit); // freshness
  return {
    state,
    isKnown,
    lastReport: heardAt === null ? 'nobody' : lastReport,
    isFresh: isFresh || !isWindowOpen || state === 'nobody',
    hours,
    wantsFresh: minds && !isFresh,
    next: Math.min(
      changes,
      speaksOfPeople ? heard + HELD_MS : Infinity,
      minds && isFresh ? heard + FRESH_MS : Infinity,
    ),
  };
}

/** [S3] in > nearby > busy > nobody; no team at all is nobody. */
export function bestOf(states: readonly TeamState[]): TeamState {
  return TEAM_STATES.find((state) => states.includes(state)) ?? 'nobody';
}
