import { hoursOf } from '../../core/hours/hours-now';
import { bestOf } from '../../core/context/presence';
import { isOpenAt } from '../../core/hours/hours';
import type { Widget } from '../../core/model/design';
import type { TeamState, WidgetState } from '../../core/model/moment';
import type { EpochMs } from '../../core/model/units';
import { listOverrides } from './calendars.repository';
import type { Db, Tx } from '../db/open';
import type { FactsCache } from './facts-cache';
import { readFacts } from './facts';

/** [S3], [S8] State of a widget as the server sees it now: closed by its hours, else the best of its teams. */
export async function widgetStateAt(
  { db, facts: cache }: { readonly db: Db | Tx; readonly facts: FactsCache },
  siteId: string,
  {
    widget,
    states,
  }: { readonly widget: Widget | undefined; readonly states: Readonly<Record<string, TeamState>> },
  at: EpochMs,
): Promise<WidgetState> {
  const best = bestOf((widget?.teams ?? []).map((id) => states[id] ?? 'nobody'));
  const calendar = widget?.calendarId ?? null;
  if (calendar === null) return best;
  const [facts, overrides] = await Promise.all([readFacts(db, cache, siteId), listOverrides(db, siteId, at)]);
  if (facts === null) return best;
  const hours = hoursOf({ facts, pointer: { overrides } }, calendar);
  return hours === null || isOpenAt(hours, at) ? best : 'closed';
}
