import type { Role } from '../../core/model/role';
import type { TeamState } from '../../core/model/moment';
import type { TeamNow } from '../../core/wire/desk';

/** The word that stands with the lamp. */
export const STATE_WORDS: Readonly<Record<TeamState, string>> = {
  in: 'Somebody is in',
  nearby: 'Somebody is nearby',
  busy: 'Everybody is busy',
  nobody: 'Nobody is in',
};

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
