import { memoByObject } from '../memo';
import type { EpochMs } from '../model/units';
import { type Hours, isOpenAt, nextChange, nextOpening } from './hours';
import type { ClosedBy } from './why';
import { type Zone, toZone } from './zone';
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

const zoneFrom = /* @__PURE__ */ memoByObject(toZone);

/** A zone's offsets by its name; UTC where the facts do not hold them ([D6]). */
export function zoneOf({ facts }: Pick<PublishedSite, 'facts'>, name: string | undefined): Zone {
  return zoneFrom(facts.zones[name ?? ''] ?? NO_PAIRS);
}
const NO_PAIRS: readonly number[] = [];

/** The hours a widget goes by; null where it names no calendar, or one that is gone ([D6]). */
export function hoursOf(
  site: Pick<PublishedSite, 'facts'> & { readonly pointer: Pick<PublishedSite['pointer'], 'overrides'> },
  calendarId: string | null,
): Hours | null {
  const calendar = site.facts.calendars[calendarId ?? ''];
  if (calendar === undefined || calendarId === null) return null;
  return {
    calendar,
    zone: zoneOf(site, calendar.zone),
    override: site.pointer.overrides[calendarId] ?? null,
  };
}

/** Why it is closed, by what name, and until when that is the reason; the window brings it, and the application has it. */
export type WhyNow = (
  hours: Hours,
  instant: EpochMs,
  until: EpochMs,
) => Pick<HoursNow, 'closedBy' | 'name' | 'changesAt'>;

/** Worked out once, and kept until it may change: a page asks often, its calendar changes seldom. */
const keptOf = /* @__PURE__ */ memoByObject<WireCalendar, { last: Kept | null }>(() => ({ last: null }));

interface Kept {
  readonly hours: Hours;
  readonly why: WhyNow | undefined;
  readonly from: EpochMs;
  readonly now: HoursNow;
}

/** How hours stand at an instant. Without `why` it is told whether and until when, not why. */
export function hoursAt(hours: Hours, instant: EpochMs, why?: WhyNow): HoursNow {
  const kept = keptOf(hours.calendar);
  const { last } = kept;
  const isSame =
    last !== null &&
    last.why === why &&
    last.hours.override === hours.override &&
    last.hours.zone === hours.zone;
  if (isSame && last.from <= instant && instant < last.now.changesAt) return last.now;
  const now = workOut(hours, instant, why);
  kept.last = { hours, why, from: instant, now };
  return now;
}

function workOut(hours: Hours, instant: EpochMs, why?: WhyNow): HoursNow {
  const isOpen = isOpenAt(hours, instant);
  const { override } = hours;
  const byHand = !isOpen && override !== null && instant < override.until ? override.until : Infinity;
  const changesAt = Math.min(byHand, nextChange(hours, instant) ?? Infinity);
  const now = {
    isOpen,
    closedBy: null,
    changesAt,
    opensAt: isOpen ? null : nextOpening(hours, instant),
    name: null,
  };
  return isOpen || why === undefined ? now : { ...now, ...why(hours, instant, changesAt) };
}
