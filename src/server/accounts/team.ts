import type { Role } from '../../core/model/role';
import type { Locale } from '../../core/model/units';
import type { Actor } from '../actor';
import { insertPerson } from './persons.repository';
import { CHATS_AT_ONCE, insertMember } from './sites.repository';
import {
  type Team,
  deleteTeam,
  insertTeam,
  insertTeamMember,
  listTeams,
  writePositions,
  writeTeamName,
} from '../facts/teams.repository';
import { inTransaction } from '../db/transaction';
import { newId } from '../ids';
import type { State } from '../state';
import { writeFacts } from '../facts/facts';

type Names = Readonly<Record<Locale, string>>;

/** A person who answers on a site, with an account of their own. Gives their id. */
export async function addMember(
  state: Pick<State, 'db' | 'passwords'>,
  { siteId, at }: Actor,
  asked: { mail: string; name: string; password: string; role: Role; locale: Locale },
): Promise<string> {
  const passwordHash = await state.passwords.hash(asked.password);
  const id = newId(at);
  await inTransaction(state.db, async (tx) => {
    await insertPerson(
      tx,
      { id, mail: asked.mail.toLowerCase(), name: asked.name },
      passwordHash,
      asked.locale,
      at,
    );
    await insertMember(tx, siteId, id, asked.role, CHATS_AT_ONCE);
  });
  return id;
}

/** A team and its people; visitors learn its name at once. */
export async function addTeam(
  state: Pick<State, 'db'>,
  actor: Actor,
  asked: { key: string; name: Names; position: number; personIds: readonly string[] },
): Promise<Team> {
  const team: Team = { id: newId(actor.at), key: asked.key, name: asked.name };
  await inTransaction(state.db, async (tx) => {
    await insertTeam(tx, actor.siteId, team, asked.position);
    for (const personId of asked.personIds) await insertTeamMember(tx, actor.siteId, team.id, personId);
    await writeFacts(tx, actor.siteId, actor.personId, actor.at, `team ${asked.key} added`);
  });
  return team;
}

/** Another name for a team; visitors learn it at once. */
export async function renameTeam(
  state: Pick<State, 'db'>,
  actor: Actor,
  teamId: string,
  key: string,
  name: Names,
): Promise<void> {
  await inTransaction(state.db, async (tx) => {
    await writeTeamName(tx, actor.siteId, teamId, key, name);
    await writeFacts(tx, actor.siteId, actor.personId, actor.at, `team renamed to ${key}`);
  });
}

/** Puts somebody into a team. */
export async function joinTeam(
  state: Pick<State, 'db'>,
  { siteId }: Actor,
  teamId: string,
  personId: string,
): Promise<void> {
  await inTransaction(state.db, (tx) => insertTeamMember(tx, siteId, teamId, personId));
}

/** In which order teams are listed, and asked where a widget asks several. */
export async function orderTeams(
  state: Pick<State, 'db'>,
  { siteId, personId, at }: Actor,
  teamIds: readonly string[],
): Promise<void> {
  await inTransaction(state.db, async (tx) => {
    await writePositions(tx, siteId, teamIds);
    await writeFacts(tx, siteId, personId, at, 'teams put in order');
  });
}

/** What was asked of it is for everybody from then on. */
export async function removeTeam(
  state: Pick<State, 'db'>,
  { siteId, personId, at }: Actor,
  teamId: string,
): Promise<void> {
  await inTransaction(state.db, async (tx) => {
    await deleteTeam(tx, siteId, teamId);
    const left = await listTeams(tx, siteId);
    await writePositions(
      tx,
      siteId,
      left.map(({ id }) => id),
    );
    await writeFacts(tx, siteId, personId, at, 'team removed');
  });
}
