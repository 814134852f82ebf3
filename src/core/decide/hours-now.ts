import type { Override } from '../model/calendar';
import type { EpochMs } from '../model/units';
import { type ClosedBy, type Hours, isOpenAt, nextChange, nextOpening, whyAt, whyChangesAt } from '../hours/hours';
import { type Zone, toZone } from '../hours/zone';
import type { WireCalendar } from '../wire/facts-file';
import type { PublishedSite } from '../wire/published-site';

/** How hours stand, from the instant asked until time alone may change any of it. */
export interface HoursNow {
  readonly isOpen: boolean;
  /** Null while open. */
  readonly closedBy: ClosedBy | null;
  /** End of what holds, open or closed; Infinity: no change in the next year ([H13]). */
  readonly changesAt: EpochMs;
  /** The next opening while closed; null: none is known ([H14]). */
  readonly opensAt: EpochMs | null;
  /** Name of the holiday, or the reason of the override, that closed it; null: it has none. */
  readonly name: string | null;
}

const ZONES = new WeakMap<readonly number[], Zone>();

/** A zone's offsets by its name; UTC where the facts do not hold them ([D6]). */
export function zoneOf({ facts }: Pick<PublishedSite, 'facts'>, name: string | undefined): Zone {
  const pairs = facts.zones[name ?? ''] ?? NO_PAIRS;
  let zone = ZONES.get(pairs);
  if (zone === undefined) ZONES.set(pairs, (zone = toZone(pairs)));
  return zone;
}
const NO_PAIRS: readonly number[] = [];

/** The hours a widget goes by; null where it names no calendar, or one that is gone ([D6]). */
export function hoursOf(
  site: Pick<PublishedSite, 'facts'> & { readonly pointer: Pick<PublishedSite['pointer'], 'overrides'> },
  calendarId: string | null,
): Hours | null {
  const calendar = site.facts.calendars[calendarId ?? ''];
  if (calendar === undefined || calendarId === null) return null;
  return { calendar, zone: zoneOf(site, calendar.zone), override: site.pointer.overrides[calendarId] ?? null };
}

/** Worked out once, and kept until it may change: a page asks often, its calendar changes seldom. */
const KEPT = new WeakMap<
  WireCalendar,
  { readonly zone: Zone; readonly override: Override | null; readonly from: EpochMs; readonly now: HoursNow }
>();

/** How hours stand at an instant. */
export function hoursAt(hours: Hours, instant: EpochMs): HoursNow {
  const { calendar, zone, override } = hours;
  const kept = KEPT.get(calendar);
  if (kept !== undefined && kept.override === override && kept.zone === zone && kept.from <= instant && instant < kept.now.changesAt)
    return kept.now;
  const now = workOut(hours, instant);
  KEPT.set(calendar, { zone, override, from: instant, now });
  return now;
}

function workOut(hours: Hours, instant: EpochMs): HoursNow {
  const changesAt = nextChange(hours, instant) ?? Infinity;
  if (isOpenAt(hours, instant)) return { isOpen: true, closedBy: null, changesAt, opensAt: null, name: null };
  const { override } = hours;
  const { closedBy, rule } = whyAt(hours, instant);
  const byHand = override !== null && instant < override.until;
  const ends = byHand ? Math.min(override.until, changesAt) : changesAt;
  return {
    isOpen: false,
    closedBy,
    changesAt: byHand ? ends : whyChangesAt(hours, instant, ends),
    opensAt: nextOpening(hours, instant),
    name: (byHand ? override.reason : closedBy === 'holiday' ? hours.calendar.exceptions[rule]?.[5] : null) || null,
  };
}
