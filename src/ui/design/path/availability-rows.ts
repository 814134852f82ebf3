import type { Behaviour, TeamState, WidgetState } from '../../../core/model/moment';
import type { PublishedSite } from '../../../core/wire/published-site';
import type { Widget } from '../../../core/model/design';
import type { AvailabilityRow } from './AvailabilityCard';
import { PATH_WORDS } from '../../wording/screens/path';

const BEHAVIOUR_WORDS: Readonly<Record<Behaviour, string>> = {
  chat: PATH_WORDS.atTheDoor,
  queue: PATH_WORDS.inLine,
  note: PATH_WORDS.nobodyHome,
  answers: PATH_WORDS.answersOnly,
  'out-of-sight': 'hidden',
};
const SHORT: Readonly<Record<WidgetState, string>> = {
  in: 'answering',
  nearby: 'nearby',
  busy: 'busy',
  nobody: 'nobody',
  closed: 'closed',
};

const STATES: readonly WidgetState[] = ['in', 'nearby', 'busy', 'nobody', 'closed'];

/** A team of a widget, as it stands in these circumstances. */
export interface TeamRow {
  readonly id: string;
  readonly name: string;
  readonly state: TeamState;
  /** Where a visitor who asks for it gets. */
  readonly leadsTo: string;
}

/** The teams that answer in a widget, in their order; empty where there is only one: it is what the widget's state says. */
export function teamRows(
  { teams, behaviours }: Widget,
  { pointer }: PublishedSite,
  nameOfTeam: (id: string) => string,
): TeamRow[] {
  if (teams.length < 2) return [];
  return teams.map((id) => {
    const state = pointer.teams[id] ?? 'nobody';
    return { id, name: nameOfTeam(id), state, leadsTo: BEHAVIOUR_WORDS[behaviours[state]] };
  });
}

/** Beyond four, teams fold into one line. */
export const TEAMS_SHOWN = 4;

/** `7 teams: 2 answering` */
export function foldedTeams(rows: readonly Pick<TeamRow, 'state'>[]): string {
  return PATH_WORDS.teamsAnswering(rows.length, rows.filter(({ state }) => state === 'in').length);
}

/** The rows of *Who can answer?*: every state this widget can be in, where it leads, and which one holds. At rest there is no room for *nearby* unless it holds. */
export function availabilityRows(widget: Widget, now: WidgetState, areAll = false): AvailabilityRow[] {
  const states: readonly WidgetState[] = STATES.filter(
    (state) =>
      (state !== 'closed' || widget.calendarId !== null) &&
      (state !== 'nearby' || now === 'nearby' || areAll),
  );
  return states.map((state) => ({
    state,
    words: SHORT[state],
    leadsTo: BEHAVIOUR_WORDS[widget.behaviours[state]],
    isNow: state === now,
  }));
}
