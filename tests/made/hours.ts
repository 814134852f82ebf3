import { createRequire } from 'node:module';
import type { PackedZones } from '../../src/formats/zone-data';
import { readZones } from '../../src/formats/zone-data';
import { toWireCalendar } from '../../src/core/hours/compile';
import { parseDay } from '../../src/core/hours/days';
import type { Hours } from '../../src/core/hours/hours';
import { toZone } from '../../src/core/hours/zone';
import type { Calendar, EpochDay, Interval, Override, Week } from '../../src/core/model/calendar';

export const ZONES = readZones(
  createRequire(import.meta.url)('moment-timezone/data/packed/latest.json') as PackedZones,
);
export const AZORES = 'Atlantic/Azores';

export function day(text: string): EpochDay {
  const read = parseDay(text);
  if (read === null) throw new Error(`Expected a date, got "${text}".`);
  return read;
}

/** `17:30-20:00` or `17:30-01:00` (past midnight), several by a space. */
export function times(text: string): Interval[] {
  const minutes = (clock: string): number => Number(clock.slice(0, 2)) * 60 + Number(clock.slice(3));
  return text.split(' ').map((one) => {
    const [from = '', to = ''] = one.split('-');
    return { from: minutes(from), to: minutes(to) > minutes(from) ? minutes(to) : minutes(to) + 1440 };
  });
}

const CLOSED: Week = [[], [], [], [], [], [], []];
export const everyDay = (text: string): Week => CLOSED.map(() => times(text));

export function calendar(change: Partial<Calendar>): Calendar {
  return {
    id: 'night',
    name: 'Night desk',
    zone: AZORES,
    week: CLOSED,
    seasons: [],
    exceptions: [],
    closings: [],
    ...change,
  };
}

/** Hours ready to be asked, from 2000 to 2038. */
export function hours(change: Partial<Calendar>, override: Override | null = null): Hours {
  const made = toWireCalendar(calendar(change));
  if (!made.ok)
    throw new Error(`Expected a calendar that can be published, got ${JSON.stringify(made.errors)}.`);
  const offsets = ZONES.offsetsOf(made.value.zone, Date.UTC(2000, 0, 1), Date.UTC(2038, 0, 1));
  if (offsets === null) throw new Error(`Expected a zone, got "${made.value.zone}".`);
  return { calendar: made.value, zone: toZone(offsets), override };
}

/** An instant by its UTC text, and back. */
export const at = (text: string): number => Date.parse(text.endsWith('Z') ? text : `${text}Z`);
export const utc = (instant: number | null): string | null =>
  instant === null ? null : new Date(instant).toISOString().slice(0, 16) + 'Z';
