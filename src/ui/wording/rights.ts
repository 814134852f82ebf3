import type { RightsChange } from '../../core/wire/desk';
import { ROLE_WORDS } from './states';

function teamsOf(teams: RightsChange['teams']): string {
  if (teams === null) return '';
  return teams.length === 0 ? ', in no team' : `, ${teams.join(' and ')}`;
}

/** One change of rights as a sentence: who did what to whom. */
export function rightsWords({ kind, by, person, role, teams }: RightsChange): string {
  const who = person ?? 'somebody';
  const does = role === null ? '' : ROLE_WORDS[role];
  const words: Readonly<Record<RightsChange['kind'], string>> = {
    'link-made': `${by} made a link to join (${does}${teamsOf(teams)}).`,
    'link-withdrawn': `${by} took back a link.`,
    joined: `${who} joined (${does}${teamsOf(teams)}).`,
    'role-set': `${by} changed what ${who} does: ${does}.`,
    'teams-set': `${by} changed the teams of ${who}: ${teams === null || teams.length === 0 ? 'none' : teams.join(', ')}.`,
    removed: `${by} removed ${who}.`,
  };
  return words[kind];
}
