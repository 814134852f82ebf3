import type { Calendar, Override } from '../../core/model/calendar';
import type { EpochMs } from '../../core/model/units';
import type { Db } from '../db/open';

type Parts = Pick<Calendar, 'week' | 'seasons' | 'exceptions' | 'closings'>;

/** Every calendar of a site, by id. */
export async function listCalendars(db: Db, siteId: string): Promise<Calendar[]> {
  const rows = await db
    .selectFrom('calendar')
    .select(['id', 'name', 'zone', 'calendar_json'])
    .where('site_id', '=', siteId)
    .orderBy('id')
    .execute();
  return rows.map(({ id, name, zone, calendar_json }) => ({
    id,
    name,
    zone,
    ...(JSON.parse(calendar_json) as Parts),
  }));
}

/** Writes a calendar, new or again. */
export async function writeCalendar(
  db: Db,
  siteId: string,
  calendar: Calendar,
  personId: string,
  at: EpochMs,
): Promise<void> {
  const { id, name, zone, week, seasons, exceptions, closings } = calendar;
  const values = {
    name,
    zone,
    calendar_json: JSON.stringify({ week, seasons, exceptions, closings }),
    changed_ms: at,
    changed_by: personId,
  };
  await db
    .insertInto('calendar')
    .values({ site_id: siteId, id, revision: 1, ...values })
    .onConflict((on) =>
      on
        .columns(['site_id', 'id'])
        .doUpdateSet(({ eb, ref }) => ({ ...values, revision: eb(ref('calendar.revision'), '+', 1) })),
    )
    .execute();
}

/** [H12] Overrides that still hold at an instant, by calendar. */
export async function listOverrides(db: Db, siteId: string, at: EpochMs): Promise<Record<string, Override>> {
  const rows = await db
    .selectFrom('calendar_override')
    .select(['calendar_id', 'is_open', 'until_ms', 'reason'])
    .where('site_id', '=', siteId)
    .where('until_ms', '>', at)
    .orderBy('calendar_id')
    .execute();
  return Object.fromEntries(
    rows.map((row) => [
      row.calendar_id,
      { isOpen: row.is_open === 1, until: row.until_ms, reason: row.reason },
    ]),
  );
}

/** [H12] A new override replaces the one that stands. */
export async function writeOverride(
  db: Db,
  siteId: string,
  calendarId: string,
  override: Override,
  personId: string,
  at: EpochMs,
): Promise<void> {
  const values = {
    is_open: override.isOpen ? 1 : 0,
    set_ms: at,
    until_ms: override.until,
    reason: override.reason,
    set_by: personId,
  };
  await db
    .insertInto('calendar_override')
    .values({ site_id: siteId, calendar_id: calendarId, ...values })
    .onConflict((on) => on.columns(['site_id', 'calendar_id']).doUpdateSet(values))
    .execute();
}

/** The calendar goes by its own hours again. */
export async function deleteOverride(db: Db, siteId: string, calendarId: string): Promise<void> {
  await db
    .deleteFrom('calendar_override')
    .where('site_id', '=', siteId)
    .where('calendar_id', '=', calendarId)
    .execute();
}
