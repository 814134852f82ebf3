import type { HoursNow } from '../../core/hours/hours-now';
import type { Zone } from '../../core/hours/zone';
import type { EpochMs } from '../../core/model/units';
import type { Role } from '../../core/model/role';
import type { WidgetState } from '../../core/model/moment';
import type { TeamNow } from '../../core/wire/desk';
import { untilWords } from './times';

/** How people are: one word for each state, everywhere. */
export const STATE_WORDS: Readonly<Record<WidgetState, string>> = {
  in: 'answering',
  nearby: 'nearby',
  busy: 'all busy',
  nobody: 'nobody answering',
  closed: 'closed',
};

/** The same at the beginning of a line. */
export function stateTitle(state: WidgetState): string {
  const word = STATE_WORDS[state];
  return word.charAt(0).toUpperCase() + word.slice(1);
}

/** The same within a sentence: *while* …, *only while* …. */
export const STATE_CLAUSES: Readonly<Record<WidgetState, string>> = {
  in: 'somebody is answering',
  nearby: 'somebody is nearby',
  busy: 'all are busy',
  nobody: 'nobody is answering',
  closed: 'closed',
};

/** Opening hours as they stand, by the site's clock: `Open until 01:00`, `Closed until Wed 17:30`. */
export function openUntilWords(
  zone: Zone,
  now: EpochMs,
  { isOpen, changesAt, opensAt }: Pick<HoursNow, 'isOpen' | 'changesAt' | 'opensAt'>,
): string {
  const until = isOpen ? changesAt : opensAt;
  const word = isOpen ? 'Open' : 'Closed';
  return until === null || until === Infinity ? word : `${word} until ${untilWords(zone, now, until)}`;
}

/** *While* …: the same of one team; null: of whoever answers. */
export function whileWords(team: string | null, state: WidgetState): string {
  if (team === null) return STATE_CLAUSES[state];
  const words: Readonly<Record<WidgetState, string>> = {
    in: `${team} is answering`,
    nearby: `${team} is nearby`,
    busy: `${team} is all busy`,
    nobody: `nobody at ${team} is answering`,
    closed: `${team} is closed`,
  };
  return words[state];
}

/** The same for a state that a later program may have written: it is said as it is. */
export function stateClause(state: string): string {
  return (STATE_CLAUSES as Readonly<Record<string, string>>)[state] ?? state;
}

/** What somebody does on a site. */
export const ROLE_WORDS: Readonly<Record<Role, string>> = {
  owner: 'Owner',
  designer: 'Designs and answers',
  responder: 'Answers',
};

/** What each role comes to, where one is chosen. */
export const ROLE_HELP: Readonly<Record<Role, string>> = {
  responder: 'Reads conversations and answers them. Cannot change the widget.',
  designer: 'Also changes the widget and publishes it.',
  owner: 'Everything, also people and the site’s settings.',
};

/** A team's public name, in English where it has one. */
export function teamName(team: Pick<TeamNow, 'name'> | undefined): string {
  return team === undefined ? 'Nobody' : (team.name['en'] ?? Object.values(team.name)[0] ?? 'Team');
}
