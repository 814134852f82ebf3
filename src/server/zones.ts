import packed from 'moment-timezone/data/packed/latest.json';
import { type ZoneTable, readZones } from '../formats/zone-data';

/** The one pinned source of offsets ([H16]); each zone is unpacked when it is asked for. */
export const ZONE_TABLE: ZoneTable = readZones(packed);
