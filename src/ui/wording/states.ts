import type { Role } from '../../core/model/role';
import type { WidgetState } from '../../core/model/moment';
import type { TeamNow } from '../../core/wire/desk';

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

/** A team's public name, in English where it has one. */
export function teamName(team: Pick<TeamNow, 'name'> | undefined): string {
  return team === undefined ? 'Nobody' : (team.name['en'] ?? Object.values(team.name)[0] ?? 'Team');
}
