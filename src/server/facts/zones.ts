import packed from 'moment-timezone/data/packed/latest.json';
import { type Zone, toZone } from '../../core/hours/zone';
import { DAY_MS, type EpochMs } from '../../core/model/units';
import { type ZoneTable, readZones } from '../../formats/zone-data';

/** The one pinned source of offsets ([H16]); each zone is unpacked when it is asked for. */
export const ZONE_TABLE: ZoneTable = readZones(packed);

/** The clock of a zone, for some years around an instant. */
export function zoneOfSite(name: string, at: EpochMs): Zone {
  return toZone(ZONE_TABLE.offsetsOf(name, at - 400 * DAY_MS, at + 4000 * DAY_MS) ?? []);
}
