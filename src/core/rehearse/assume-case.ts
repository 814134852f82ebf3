import { compileSite } from '../decide/compile-site';
import { decide } from '../decide/decide';
import { type HoursNow, hoursAt, hoursOf } from '../hours/hours-now';
import { whyNow } from '../hours/why-now';
import type { ClosedBy } from '../hours/why';
import { TEAM_STATES } from '../model/moment';
import { DAY_MS, type EpochMs, type Locale } from '../model/units';
import type { CaseCondition } from '../model/case-condition';
import type { PublishedSite } from '../wire/published-site';
import { readerOf } from '../decide/reader';
import { holds, type Reader } from '../words/format-text';
import { previewAt } from './preview-at';
import type { DrawnMoment } from '../model/moment';
import { type Assumptions, assumedSite, assumedVisitor } from './assumptions';

interface CaseScene {
  /** The site as it is, whatever is assumed of its people. */
  readonly site: PublishedSite;
  readonly widgetKey: string;
  readonly calendarId: string | null;
  /** Ids of the teams that can be asked for there. */
  readonly teams: readonly string[];
  readonly moment: DrawnMoment;
  readonly locales: readonly Locale[];
  readonly now: EpochMs;
}

/** So far ahead the hours are looked through for an instant that closes for another reason: a yearly holiday comes once in it. */
const AHEAD_MS = 367 * DAY_MS;
/** Hours that change more often than eleven times a day are looked through less far. */
const CHANGES_MAX = 4000;

/**
 * The circumstances nearest to those assumed in which a case is heard at a moment: all of `when` holds, nothing of
 * `before` does. As little as possible is assumed anew, the visitor first, then which team they ask for, who is in, and the time. Null: none.
 */
export function assumeCase(
  scene: CaseScene,
  when: readonly CaseCondition[],
  before: readonly (readonly CaseCondition[])[],
  assumptions: Assumptions,
): Assumptions | null {
  const isRead = (reader: Reader): boolean =>
    when.every((one) => holds(one, reader)) &&
    !before.some((other) => other.every((one) => holds(one, reader)));
  const visits = unique([assumptions.visit, 'first', 'returning'] as const);
  const locales = unique([assumptions.locale, ...scene.locales]);
  const asked = unique([assumptions.asks, ...(scene.teams.length > 1 ? scene.teams : [])]);
  const whos = unique([assumptions.who, null, ...TEAM_STATES]);
  for (const at of timesOf(scene, assumptions))
    for (const who of whos) {
      const site = assumedSite(scene.site, { who });
      for (const asks of asked)
        for (const visit of visits) {
          const reader = readerAt({ ...scene, site }, { ...assumptions, at, who, asks, visit });
          if (reader === null) continue;
          const locale = locales.find((one) => isRead({ ...reader, locale: one }));
          if (locale !== undefined) return { ...assumptions, at, who, asks, visit, locale };
        }
    }
  return null;
}

/** Who hears the words at a moment as it is assumed; null: nobody gets there, or another widget shows. */
function readerAt({ site, widgetKey, moment, now }: CaseScene, assumptions: Assumptions): Reader | null {
  const previewState = previewAt(site, assumedVisitor(assumptions, now), moment);
  if (previewState.needs !== null) return null;
  const decision = decide(previewState.site, previewState.circumstances);
  const widget = compileSite(site).widget(widgetKey);
  if (widget === undefined || decision.widget !== widgetKey || decision.moment !== moment) return null;
  return readerOf(
    { site: previewState.site, widget, decision, circumstances: previewState.circumstances },
    () => 0,
  );
}

/** The time that is assumed, now, and the first instant of each other way in which the hours can stand. */
function timesOf({ site, calendarId, now }: CaseScene, { at }: Assumptions): (EpochMs | null)[] {
  const hours = hoursOf(site, calendarId);
  if (hours === null) return unique([at, null]);
  const found = new Map<ClosedBy | 'open', EpochMs>();
  let instant: EpochMs | null = now;
  for (let count = 0; instant !== null && count < CHANGES_MAX; count++) {
    const { closedBy, changesAt }: HoursNow = hoursAt(hours, instant, whyNow);
    if (!found.has(closedBy ?? 'open')) found.set(closedBy ?? 'open', instant);
    instant = changesAt > now + AHEAD_MS ? null : changesAt;
  }
  return unique([at, null, ...found.values()]);
}

function unique<T>(values: readonly T[]): T[] {
  return [...new Set(values)];
}
