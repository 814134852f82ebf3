import { decide } from '../decide/decide';
import { type HoursNow, hoursAt, hoursOf } from '../decide/hours-now';
import { whyNow } from '../decide/why-now';
import type { ClosedBy } from '../hours/why';
import { TEAM_STATES } from '../model/moment';
import type { EpochMs, Locale } from '../model/units';
import type { CaseCondition } from '../wire/design-file';
import type { PublishedSite } from '../wire/published-site';
import { hearerOf } from '../words/hearer';
import { holds, type Hearer } from '../words/say';
import { type DrawnMoment, standAt } from './stand-at';
import { type Supposed, supposedSite, supposedVisitor } from './suppose';

interface Stand {
  /** The site as it is, whatever is supposed of its people. */
  readonly site: PublishedSite;
  readonly widgetKey: string;
  readonly calendarId: string | null;
  /** Ids of the teams that can be asked for there. */
  readonly teams: readonly string[];
  readonly moment: DrawnMoment;
  readonly locales: readonly Locale[];
  readonly now: EpochMs;
}

/** So many changes of the hours ahead are looked through for one that closes for another reason: about a year of evenings. */
const CHANGES_MAX = 800;

/**
 * The circumstances nearest to those supposed in which a case is heard at a moment: all of `when` holds, nothing of
 * `before` does. As little as possible is supposed anew, the visitor first, then which team they ask for, who is in, and the time. Null: none.
 */
export function supposeCase(
  stand: Stand,
  when: readonly CaseCondition[],
  before: readonly (readonly CaseCondition[])[],
  supposed: Supposed,
): Supposed | null {
  const hears = (hearer: Hearer): boolean =>
    when.every((one) => holds(one, hearer)) &&
    !before.some((other) => other.every((one) => holds(one, hearer)));
  const visits = unique([supposed.visit, 'first', 'returning'] as const);
  const locales = unique([supposed.locale, ...stand.locales]);
  const asked = unique([supposed.asks, ...(stand.teams.length > 1 ? stand.teams : [])]);
  const whos = unique([supposed.who, null, ...TEAM_STATES]);
  for (const at of timesOf(stand, supposed))
    for (const who of whos) {
      const site = supposedSite(stand.site, { who });
      for (const asks of asked)
        for (const visit of visits) {
          const hearer = hearerAt({ ...stand, site }, { ...supposed, at, who, asks, visit });
          if (hearer === null) continue;
          const locale = locales.find((one) => hears({ ...hearer, locale: one }));
          if (locale !== undefined) return { ...supposed, at, who, asks, visit, locale };
        }
    }
  return null;
}

/** Who hears the words at a moment as it is supposed; null: nobody gets there, or another widget shows. */
function hearerAt({ site, widgetKey, moment, now }: Stand, supposed: Supposed): Hearer | null {
  const standpoint = standAt(site, supposedVisitor(supposed, now), moment);
  if (standpoint.needs !== null) return null;
  const decision = decide(standpoint.site, standpoint.circumstances);
  const widget = site.design.widgets.find(({ key }) => key === widgetKey);
  if (widget === undefined || decision.widget !== widgetKey || decision.moment !== moment) return null;
  return hearerOf({ site: standpoint.site, widget, decision, circumstances: standpoint.circumstances }, 0);
}

/** The time that is supposed, now, and the first instant of each other way in which the hours can stand. */
function timesOf({ site, calendarId, now }: Stand, { at }: Supposed): (EpochMs | null)[] {
  const hours = hoursOf(site, calendarId);
  if (hours === null) return unique([at, null]);
  const found = new Map<ClosedBy | 'open', EpochMs>();
  let instant: EpochMs | null = now;
  for (let count = 0; instant !== null && count < CHANGES_MAX; count++) {
    const { closedBy, changesAt }: HoursNow = hoursAt(hours, instant, whyNow);
    if (!found.has(closedBy ?? 'open')) found.set(closedBy ?? 'open', instant);
    instant = changesAt === Infinity ? null : changesAt;
  }
  return unique([at, null, ...found.values()]);
}

function unique<T>(values: readonly T[]): T[] {
  return [...new Set(values)];
}
