import type { Overview } from '../../core/wire/desk';
import { periodAt, versionInForce } from '../../core/publish/in-force';
import { findFace } from '../accounts/members.repository';
import { mayOpenSites } from '../accounts/opening-sites';
import { listDomains } from '../accounts/sites.repository';
import { findAlerts } from '../accounts/persons.repository';
import type { Member } from '../accounts/who';
import { listPublications } from '../designs/publications.repository';
import { findLastingDesign, findNewestNumber } from '../designs/versions.repository';
import type { State } from '../state';
import { listCalendars, listOverrides } from './calendars.repository';
import { readFacts } from './facts';
import { teamStates } from './presence';
import { findPresenceChoice, listTeamIdsOf, listTeams } from './teams.repository';

/** What the frame around every screen shows. */
export async function overviewOf(
  state: State,
  { site, person }: Pick<Member, 'site' | 'person'>,
): Promise<Overview> {
  const at = state.clock.now();
  const [
    teams,
    states,
    choice,
    lasting,
    newestVersion,
    publications,
    facts,
    overrides,
    calendars,
    face,
    mayOpen,
    domains,
    alerts,
    teamIds,
  ] = await Promise.all([
    listTeams(state.db, site.id),
    teamStates(state, site.id),
    findPresenceChoice(state.db, site.id, person.id),
    findLastingDesign(state.db, site.id),
    findNewestNumber(state.db, site.id),
    listPublications(state.db, site.id, at),
    readFacts(state.db, state.facts, site.id),
    listOverrides(state.db, site.id, at),
    listCalendars(state.db, site.id),
    findFace(state.db, site.id, person.id),
    mayOpenSites(state, person.id),
    listDomains(state.db, site.id),
    findAlerts(state.db, person.id),
    listTeamIdsOf(state.db, site.id, person.id),
  ]);
  return {
    teams: teams.map((team) => ({ ...team, state: states[team.id] ?? 'nobody' })),
    you: { name: person.name, face },
    calendars: Object.fromEntries(calendars.map(({ id, name }) => [id, name])),
    presenceChoice: choice,
    alerts,
    teamIds,
    hasAddresses: domains.length > 1 || domains.some((one) => one.includes('*')),
    mayOpenSites: mayOpen,
    publishedDesign: lasting,
    newestVersion,
    pausedAt: site.pausedAt,
    periodUntil: periodAt(publications, at)?.until ?? null,
    version: versionInForce(publications, at),
    facts,
    overrides,
    now: at,
  };
}
