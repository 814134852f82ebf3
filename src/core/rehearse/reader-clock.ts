import { zoneOf } from '../hours/hours-now';
import { offsetAt } from '../hours/zone';
import { memoByKey } from '../memo';
import { type EpochMs, MINUTE_MS } from '../model/units';
import type { PublishedSite } from '../wire/published-site';

/** The offset from UTC of a reader's clock at an instant, in minutes ([T8]). */
export type MinutesEast = (instant: EpochMs) => number;

/** The clock of a reader who is assumed to live in a zone; null: the site's own. Zones of elsewhere come from the runtime's data. */
export function readerClock(site: Pick<PublishedSite, 'facts'>, zone: string | null): MinutesEast {
  if (zone !== null && zone !== site.facts.zone) return clockOfZone(zone);
  const own = zoneOf(site, site.facts.zone);
  return (instant) => offsetAt(own, instant) / MINUTE_MS;
}

const ZONES_MAX = 20;

const clockOfZone = memoByKey(ZONES_MAX, (zone: string): MinutesEast => {
  const clock = new Intl.DateTimeFormat('en', { timeZone: zone, timeZoneName: 'longOffset' });
  return (instant) => {
    const name = clock.formatToParts(instant).find(({ type }) => type === 'timeZoneName')?.value ?? '';
    return minutesIn(name);
  };
});

/** `GMT+05:30` is 330, `GMT` alone is 0; seconds of times long past are left out. */
function minutesIn(name: string): number {
  const [, sign, hours, minutes] = /([+-])(\d\d):(\d\d)/.exec(name) ?? [];
  if (sign === undefined) return 0;
  return (sign === '-' ? -1 : 1) * (Number(hours) * 60 + Number(minutes));
}
