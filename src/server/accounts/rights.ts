import type { Role } from '../../core/model/role';
import type { Actor } from '../actor';
import type { Tx } from '../db/open';
import { inTransaction } from '../db/transaction';
import { deleteTeamMember, insertTeamMember, listTeams } from '../facts/teams.repository';
import type { HubEvent } from '../live/hub';
import type { State } from '../state';
import { deleteJoinLinksOf } from './join-links.repository';
import { listOwnerIds, markRemoved, writeRole } from './members.repository';
import { logRightsChange } from './rights-log.repository';
import { findRole } from './sites.repository';
import { namesOf } from './team-names';

/** Why nothing was changed. */
export type RightsRefusal = 'nobody' | 'last-owner';

/** Streams that a person has opened on a site. */
export const memberChannel = (siteId: string, personId: string): string => `member:${siteId}:${personId}`;

/** What a person may do on a site has changed; null: they have no part in it any more. */
export const rightsEvent = (role: Role | null): HubEvent => ({ name: 'rights', data: { role } });

/** Of which questions a person is told, or how, has changed. */
export const ALERTS_EVENT: HubEvent = { name: 'alerts', data: {} };

/** The person's screens learn it at once. Links they have made end where they are no owner any more. */
export async function setRole(
  state: Pick<State, 'db' | 'hub'>,
  actor: Actor,
  personId: string,
  role: Role,
): Promise<RightsRefusal | null> {
  const { siteId, at } = actor;
  const refusal = await inTransaction(state.db, async (tx) => {
    const before = await findRole(tx, siteId, personId);
    if (before === null) return 'nobody';
    if (role !== 'owner' && (await isLastOwner(tx, siteId, personId))) return 'last-owner';
    if (before === role) return null;
    await writeRole(tx, siteId, personId, role);
    if (role !== 'owner') await deleteJoinLinksOf(tx, siteId, { madeBy: personId, at });
    await logRightsChange(tx, actor, { kind: 'role-set', personId, role });
    return null;
  });
  if (refusal === null) state.hub.send(memberChannel(siteId, personId), rightsEvent(role));
  return refusal;
}

/** What the person is told of changes with it, at once. */
export async function setTeams(
  state: Pick<State, 'db' | 'hub'>,
  actor: Actor,
  personId: string,
  teamIds: readonly string[],
): Promise<RightsRefusal | null> {
  const { siteId } = actor;
  const refusal = await inTransaction(state.db, async (tx) => {
    if ((await findRole(tx, siteId, personId)) === null) return 'nobody';
    const teams = await listTeams(tx, siteId);
    for (const { id } of teams) {
      await deleteTeamMember(tx, siteId, id, personId);
      if (teamIds.includes(id)) await insertTeamMember(tx, siteId, id, personId);
    }
    const names = await namesOf(tx, siteId, teamIds);
    await logRightsChange(tx, actor, { kind: 'teams-set', personId, teams: names });
    return null;
  });
  if (refusal === null) state.hub.send(memberChannel(siteId, personId), ALERTS_EVENT);
  return refusal;
}

/** Access and open streams end at once; what they have written stays. */
export async function removeMember(
  state: Pick<State, 'db' | 'hub'>,
  actor: Actor,
  personId: string,
): Promise<RightsRefusal | null> {
  const { siteId, at } = actor;
  const refusal = await inTransaction(state.db, async (tx) => {
    if ((await findRole(tx, siteId, personId)) === null) return 'nobody';
    if (await isLastOwner(tx, siteId, personId)) return 'last-owner';
    for (const { id } of await listTeams(tx, siteId)) await deleteTeamMember(tx, siteId, id, personId);
    await markRemoved(tx, siteId, personId, at);
    await deleteJoinLinksOf(tx, siteId, { madeBy: personId, at });
    await logRightsChange(tx, actor, { kind: 'removed', personId });
    return null;
  });
  if (refusal === null) state.hub.end(memberChannel(siteId, personId), rightsEvent(null));
  return refusal;
}

async function isLastOwner(tx: Tx, siteId: string, personId: string): Promise<boolean> {
  const owners = await listOwnerIds(tx, siteId);
  return owners.length === 1 && owners[0] === personId;
}
