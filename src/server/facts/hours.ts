import type { Actor } from '../actor';
import { faultsOf } from '../../core/hours/compile';
import type { Calendar, Override } from '../../core/model/calendar';
import { DAY_MS } from '../../core/model/units';
import { type Result, fail, ok } from '../../core/result';
import { deleteOverride, listCalendars, writeCalendar, writeOverride } from './calendars.repository';
import { inTransaction } from '../db/transaction';
import type { State } from '../state';
import { ZONE_TABLE } from './zones';
import { writeFacts } from './facts';
import { tellNews } from './presence';

/** [H12] An override ends within so long. */
export const OVERRIDE_MAX_MS = 31 * DAY_MS;

/** Saves opening hours; visitors go by them at once ([L1]). What cannot stand is refused, both names told ([H8], [H10]). */
export async function saveCalendar(
  state: Pick<State, 'db' | 'hub'>,
  actor: Actor,
  calendar: Calendar,
): Promise<Result<null>> {
  if (ZONE_TABLE.offsetsOf(calendar.zone, actor.at, actor.at + DAY_MS) === null)
    return fail({ zone: `No zone is called "${calendar.zone}". Nothing was changed.` });
  const faults = faultsOf(calendar);
  if (faults.length > 0)
    return fail(
      Object.fromEntries(
        faults.map(({ code, ids }) => [ids.join('+'), `${code}: ${ids.join(', ')}. Nothing was changed.`]),
      ),
    );
  await inTransaction(state.db, async (tx) => {
    await writeCalendar(tx, actor.siteId, calendar, actor.personId, actor.at);
    await writeFacts(tx, actor.siteId, actor.personId, actor.at, `hours of ${calendar.name}`);
  });
  tellNews(state, actor.siteId);
  return ok(null);
}

/** [H12] Open or closed by hand, for a while; null takes it back. It is in the pointer from now. */
export async function setOverride(
  state: Pick<State, 'db' | 'hub'>,
  actor: Actor,
  calendarId: string,
  override: Override | null,
): Promise<Result<null>> {
  if (override !== null && (override.until <= actor.at || override.until > actor.at + OVERRIDE_MAX_MS))
    return fail({ until: 'Choose an end within the next 31 days. Nothing was changed.' });
  const known = (await listCalendars(state.db, actor.siteId)).some(({ id }) => id === calendarId);
  if (!known) return fail({ calendar: 'There are no such hours any more. Nothing was changed.' });
  await inTransaction(state.db, (tx) =>
    override === null
      ? deleteOverride(tx, actor.siteId, calendarId)
      : writeOverride(tx, actor.siteId, calendarId, override, actor.personId, actor.at),
  );
  tellNews(state, actor.siteId);
  return ok(null);
}
