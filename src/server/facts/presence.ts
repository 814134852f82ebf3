import { type TeamState } from '../../core/model/moment';
import { teamStateOf } from '../../core/context/team-state';
import { listMembersIn } from './teams.repository';
import type { Db, Tx } from '../db/open';
import type { KnownSite } from './known-sites';
import type { State } from '../state';

export const siteChannel = (siteId: string): string => `site:${siteId}`;
export const deskChannel = (siteId: string): string => `desk:${siteId}`;
export const visitorChannel = (siteId: string, visitorId: string): string => `visitor:${siteId}:${visitorId}`;

/**
 * [S1] Each team as its people are now: *in* with room, *busy* where everybody in is at their limit, else *nobody*.
 * Only who answers pings counts ([S2]).
 */
export async function teamStates(
  state: Pick<State, 'db' | 'board' | 'sites'>,
  siteId: string,
): Promise<Record<string, TeamState>> {
  return teamStatesOf(state, await state.sites.get(siteId));
}

/** The same of a site that is known, also within a transaction. */
export async function teamStatesOf(
  { db, board }: { readonly db: Db | Tx; readonly board: State['board'] },
  { site, teams }: Pick<KnownSite, 'site' | 'teams'>,
): Promise<Record<string, TeamState>> {
  const members = await listMembersIn(db, site.id);
  const there = members.filter(({ personId }) => board.isThere(personId));
  return Object.fromEntries(
    teams.map(({ id }): [string, TeamState] => {
      const people = there.filter(({ teamId }) => teamId === id);
      return [id, teamStateOf(people.map(({ freeSlots }) => ({ presence: 'in', freeSlots })))];
    }),
  );
}

/** [S7] Something published or told by hand has changed: open windows read the pointer anew. */
export function tellNews({ hub }: Pick<State, 'hub'>, siteId: string): void {
  hub.send(siteChannel(siteId), { name: 'news', data: {} });
}

/** Tells open windows and desks how the teams stand. */
export async function tellTeams(state: State, siteId: string): Promise<void> {
  const { hub, clock } = state;
  const teams = await teamStates(state, siteId);
  hub.send(siteChannel(siteId), { name: 'teams', data: { teams, now: clock.now() } });
  hub.send(deskChannel(siteId), { name: 'teams', data: { teams } });
}
