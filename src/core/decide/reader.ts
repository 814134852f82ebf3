import type { Decision } from './decision';
import { zoneOf } from '../hours/hours-now';
import type { Circumstances } from '../model/circumstances';
import { DAY_MS, type EpochMs, MINUTE_MS } from '../model/units';
import type { WireWidget } from '../wire/design-file';
import type { PublishedSite } from '../wire/published-site';
import type { Reader } from '../words/format-text';

/** What is said, and to whom. */
export interface PaintedText {
  readonly site: PublishedSite;
  readonly widget: WireWidget;
  readonly decision: Decision;
  readonly circumstances: Circumstances;
}

/**
 * Who hears a widget's words ([T4], [T8]). Times of the site are those of the widget's calendar, else of the site itself;
 * `minutesEast` is the reader's own offset from UTC at an instant.
 */
export function readerOf(
  { site, widget, decision, circumstances }: PaintedText,
  minutesEast: (instant: EpochMs) => number,
): Reader {
  const zone = site.facts.calendars[widget.calendar ?? '']?.zone ?? site.facts.zone;
  return {
    state: decision.isStateFresh ? decision.state : null,
    closedBy: decision.closedBy,
    sendsLetters: site.facts.sendsLetters === true,
    visit: circumstances.visitor.visit,
    locale: site.design.locale,
    team: circumstances.conversation?.teamId ?? circumstances.asksFor ?? widget.teams[0] ?? null,
    zone: zoneOf(site, zone),
    place: placeOf(site, zone),
    minutesEast,
    today: Math.floor((circumstances.now + minutesEast(circumstances.now) * MINUTE_MS) / DAY_MS),
  };
}

/** The place whose clock it is: as the site calls it in the reader's language, else the zone's city; UTC where no zone is known. */
function placeOf({ facts, design }: PublishedSite, zone: string | undefined): string {
  const own = zone === facts.zone ? facts.places?.[design.locale] : undefined;
  return own ?? cityOf(zone ?? 'UTC');
}

/** A zone by the last part of its name, which is a city nearly always. */
export function cityOf(zone: string): string {
  return zone.slice(zone.lastIndexOf('/') + 1).replaceAll('_', ' ');
}
