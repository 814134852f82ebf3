import type { Design } from '../../core/model/design';
import type { Overview } from '../../core/wire/desk';
import type { ChangeContext } from '../wording/changes';
import { teamName } from '../wording/states';
import { PUBLISHING_WORDS } from '../wording/screens/publishing';

/** Names for what changes between two designs speak of; a widget is named where there are several. */
export function changeContext(
  overview: Pick<Overview, 'teams' | 'calendars'>,
  before: Design | null,
  after: Design,
): ChangeContext {
  const widgets = [...after.widgets, ...(before?.widgets ?? [])];
  const isAlone = new Set(widgets.map(({ id }) => id)).size === 1;
  return {
    teamName: (id) => teamName(overview.teams.find((team) => team.id === id)),
    calendarName: (id) => overview.calendars[id] ?? PUBLISHING_WORDS.goneHours,
    widgetName: (id) => (isAlone ? null : (widgets.find((one) => one.id === id)?.name ?? null)),
  };
}
