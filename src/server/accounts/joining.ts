import { LIMITS } from '../../core/limits';
import type { Role } from '../../core/model/role';
import { DAY_MS, type EpochMs } from '../../core/model/units';
import { type Result, fail, ok } from '../../core/result';
import type { Actor } from '../actor';
import type { Tx } from '../db/open';
import { inTransaction } from '../db/transaction';
import { insertTeamMember, listTeams } from '../facts/teams.repository';
import { hashOf, newId, newSecret } from '../ids';
import type { State } from '../state';
import {
  type FoundJoinLink,
  deleteJoinLink,
  deleteJoinLinksOf,
  findJoinLink,
  insertJoinLink,
  listJoinLinks,
} from './join-links.repository';
import { findPersonByMail, insertPerson } from './persons.repository';
import { logRightsChange } from './rights-log.repository';
import { CHATS_AT_ONCE, findRole, getSite, insertMember } from './sites.repository';
import { namesOf } from './team-names';

/** A link ends after seven days, or when one person has used it. */
const LINK_MS = 7 * DAY_MS;
const GONE = 'This link does not work any more: it was used, taken back, or is more than seven days old.';

/** Makes a link for one colleague; gives its secret, which is kept nowhere. Null: so many are open that one must end first. */
export async function makeJoinLink(
  state: Pick<State, 'db'>,
  actor: Actor,
  { role, teamIds }: { readonly role: Role; readonly teamIds: readonly string[] },
): Promise<string | null> {
  const { siteId, personId, at } = actor;
  const secret = newSecret();
  return inTransaction(state.db, async (tx) => {
    await deleteJoinLinksOf(tx, siteId, { madeBy: null, at });
    if ((await listJoinLinks(tx, siteId, at)).length >= LIMITS.joinLinks) return null;
    const teams = await knownTeams(tx, siteId, teamIds);
    await insertJoinLink(tx, siteId, {
      ...{ id: newId(at), role, teamIds: teams, expiresAt: at + LINK_MS },
      ...{ secretHash: hashOf(secret), madeBy: personId, madeAt: at },
    });
    const names = await namesOf(tx, siteId, teams);
    await logRightsChange(tx, actor, { kind: 'link-made', personId: null, role, teams: names });
    return secret;
  });
}

/** Whether it was there. */
export async function withdrawJoinLink(state: Pick<State, 'db'>, actor: Actor, id: string): Promise<boolean> {
  return inTransaction(state.db, async (tx) => {
    const wasThere = await deleteJoinLink(tx, actor.siteId, id);
    if (wasThere) await logRightsChange(tx, actor, { kind: 'link-withdrawn', personId: null });
    return wasThere;
  });
}

/** What whoever opens a link is told before they join. Null: it does not work any more. */
export async function readJoinLink(
  { db, clock }: Pick<State, 'db' | 'clock'>,
  secret: string,
): Promise<(FoundJoinLink & { readonly siteName: string; readonly siteKey: string }) | null> {
  const link = await findJoinLink(db, hashOf(secret), clock.now());
  if (link === null) return null;
  const { name, key } = await getSite(db, link.siteId);
  return { ...link, siteName: name, siteKey: key };
}

/** Who joins: somebody who has an account here, or a new one. */
export type Joiner =
  | { readonly personId: string }
  | { readonly name: string; readonly mail: string; readonly passwordHash: string; readonly locale: string };

export interface Joined {
  readonly personId: string;
  readonly siteId: string;
  readonly siteKey: string;
}

/** Uses a link up. Of two who use it at once one joins. */
export async function joinByLink(
  state: Pick<State, 'db'>,
  secret: string,
  joiner: Joiner,
  at: EpochMs,
): Promise<Result<Joined>> {
  return inTransaction(state.db, async (tx) => {
    const link = await findJoinLink(tx, hashOf(secret), at);
    if (link === null) return fail({ '': GONE });
    const { siteId, role } = link;
    const { key: siteKey } = await getSite(tx, siteId);
    const isKnown = 'personId' in joiner;
    if (isKnown && (await findRole(tx, siteId, joiner.personId)) !== null)
      return fail({ '': 'You answer on this site already. The link is still good for somebody else.' });
    if (!isKnown && (await findPersonByMail(tx, joiner.mail)) !== null)
      return fail({
        mail: 'There is an account with this address. Sign in with it, then open the link again.',
      });
    const personId = isKnown ? joiner.personId : await insertNew(tx, joiner, at);
    await insertMember(tx, siteId, personId, role, CHATS_AT_ONCE);
    const teams = await knownTeams(tx, siteId, link.teamIds);
    for (const team of teams) await insertTeamMember(tx, siteId, team, personId);
    await deleteJoinLink(tx, siteId, link.id);
    await logRightsChange(
      tx,
      { siteId, personId, at },
      { kind: 'joined', personId, role, teams: await namesOf(tx, siteId, teams) },
    );
    return ok({ personId, siteId, siteKey });
  });
}

async function insertNew(
  tx: Tx,
  { name, mail, passwordHash, locale }: Exclude<Joiner, { personId: string }>,
  at: EpochMs,
): Promise<string> {
  const id = newId(at);
  await insertPerson(tx, { id, mail, name }, passwordHash, locale, at);
  return id;
}

/** A team that is not there, or not any more, is left out. */
async function knownTeams(tx: Tx, siteId: string, teamIds: readonly string[]): Promise<string[]> {
  return (await listTeams(tx, siteId)).map(({ id }) => id).filter((id) => teamIds.includes(id));
}
