import { hoursOf } from '../../core/hours/hours-now';
import { bestOf } from '../../core/context/presence';
import { isOpenAt } from '../../core/hours/hours';
import type { Widget } from '../../core/model/design';
import type { TeamState, WidgetState } from '../../core/model/moment';
import type { EpochMs } from '../../core/model/units';
import type { KnownSite } from './known-sites';

/** [S3], [S8] State of a widget as the server sees it now: closed by its hours, else the best of its teams. */
export function widgetStateAt(
  { facts, overrides }: Pick<KnownSite, 'facts' | 'overrides'>,
  { widget, states }: { readonly widget: Widget | undefined; readonly states: TeamStates },
  at: EpochMs,
): WidgetState {
  const best = bestOf((widget?.teams ?? []).map((id) => states[id] ?? 'nobody'));
  const calendar = widget?.calendarId ?? null;
  if (calendar === null || facts === null) return best;
  const held = Object.fromEntries(Object.entries(overrides).filter(([, { until }]) => until > at));
  const hours = hoursOf({ facts, pointer: { overrides: held } }, calendar);
  return hours === null || isOpenAt(hours, at) ? best : 'closed';
}

type TeamStates = Readonly<Record<string, TeamState>>;
