import { memoByObject } from '../memo';
import type { EpochDay } from '../model/calendar';
import { DAY_MS, type EpochMs } from '../model/units';
import type { WireCalendar } from '../wire/facts-file';
import {
  type DayPlan,
  type Hours,
  type Layer,
  REACH_DAYS,
  SOUGHT_DAYS,
  localDayOf,
  planOf,
  spansOfDay,
} from './hours';
import { spanOfWall } from './zone';

/** Why it is closed ([H15]). */
export type ClosedBy = 'override' | 'break' | 'holiday' | 'exception' | 'import' | 'outside';

export interface HoursVerdict {
  readonly isOpen: boolean;
  readonly layer: Layer | 'override';
  /** Place in the calendar's list of that layer; -1 where it has none. */
  readonly rule: number;
  /** Null while open. */
  readonly closedBy: ClosedBy | null;
}

/** [H15] What decided at an instant: layer and rule, and why it is closed. */
export function whyAt(hours: Hours, instant: EpochMs): HoursVerdict {
  const { calendar, zone, override } = hours;
  if (override !== null && instant < override.until)
    return {
      isOpen: override.isOpen,
      layer: 'override',
      rule: -1,
      closedBy: override.isOpen ? null : 'override',
    };
  const day = localDayOf(zone, instant);
  for (let one = day + REACH_DAYS; one >= day - REACH_DAYS; one--) {
    if (!spansOfDay(hours, one).some(({ from, until }) => from <= instant && instant < until)) continue;
    const { layer, rule } = planOf(calendar, one);
    return { isOpen: true, layer, rule, closedBy: null };
  }
  const { layer, rule } = planOf(calendar, day);
  const between = [day, day - 1].find((one) => isBetweenSpans(hours, one, instant));
  if (between !== undefined)
    return { isOpen: false, ...layerOf(planOf(calendar, between)), closedBy: 'break' };
  if (isInClosing(hours, instant, day))
    return { isOpen: false, layer: 'import', rule: -1, closedBy: 'import' };
  const closedBy = layer === 'week' || layer === 'season' ? 'outside' : layer;
  return { isOpen: false, layer, rule, closedBy };
}

function layerOf({ layer, rule }: DayPlan): Pick<HoursVerdict, 'layer' | 'rule'> {
  return { layer, rule };
}

/** [H15] A break has a run of the same source date before and after it. */
function isBetweenSpans(hours: Hours, day: EpochDay, instant: EpochMs): boolean {
  const spans = spansOfDay(hours, day);
  return spans.some(({ until }) => until <= instant) && spans.some(({ from }) => from > instant);
}

/** Whether it would be open but for a closing that was imported. */
function isInClosing(hours: Hours, instant: EpochMs, day: EpochDay): boolean {
  const seconds = instant / 1000;
  if (!hours.calendar.closings.some(([from, to]) => from <= seconds && seconds < to)) return false;
  const bare = withoutAnyClosing(hours);
  return [day - 1, day].some((one) =>
    spansOfDay(bare, one).some(({ from, until }) => from <= instant && instant < until),
  );
}

/** One calendar for each, so that its spans are worked out once. */
const bareCalendar = /* @__PURE__ */ memoByObject((calendar: WireCalendar): WireCalendar => ({
  ...calendar,
  closings: [],
}));

/** The same hours without imported closings. */
function withoutAnyClosing({ calendar, zone }: Hours): Hours {
  return { calendar: bareCalendar(calendar), zone, override: null };
}

/**
 * The first instant in (instant, until) at which the reason for being closed is another one ([H15]): a date's beginning,
 * or the edge of a closing. `until` where there is none. Asked only while it is closed from `instant` to `until`.
 */
export function whyChangesAt(hours: Hours, instant: EpochMs, until: EpochMs): EpochMs {
  const { calendar, zone } = hours;
  const now = whyAt(hours, instant);
  const bare = withoutAnyClosing(hours);
  const edges = calendar.closings.flatMap(([from, to]) => [from * 1000, to * 1000]);
  const today = localDayOf(zone, instant);
  for (let day = today; day <= today + SOUGHT_DAYS; day++) {
    const begins = spanOfWall(zone, day * DAY_MS, (day + 1) * DAY_MS)?.from ?? Infinity;
    if (begins >= until) break;
    const spans = edges.length === 0 ? [] : spansOfDay(bare, day);
    const found = [begins, ...spans.flatMap((span) => [span.from, span.until]), ...edges]
      .filter(
        (at) => at > instant && at < until && at < begins + 2 * DAY_MS && isOtherWhy(now, whyAt(hours, at)),
      )
      .sort((a, b) => a - b)[0];
    if (found !== undefined) return found;
  }
  return until;
}

function isOtherWhy(a: HoursVerdict, b: HoursVerdict): boolean {
  return a.closedBy !== b.closedBy || a.rule !== b.rule;
}
