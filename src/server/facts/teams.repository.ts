import type { Locale } from '../../core/model/units';
import { keptQuery } from '../db/kept-query';
import type { Db } from '../db/open';

export interface Team {
  readonly id: string;
  readonly key: string;
  /** Public names by locale. */
  readonly name: Readonly<Record<Locale, string>>;
}

/** A member of a team who said to be in, with what is left of their limit ([S1]). */
export interface MemberIn {
  readonly teamId: string;
  readonly personId: string;
  readonly freeSlots: number;
}

export async function insertTeam(db: Db, siteId: string, team: Team, position: number): Promise<void> {
  await db
    .insertInto('team')
    .values({
      site_id: siteId,
      id: team.id,
      key: team.key,
      name_json: JSON.stringify(team.name),
      calendar_id: null,
      mail_to_json: '[]',
      position,
    })
    .execute();
}

export async function insertTeamMember(
  db: Db,
  siteId: string,
  teamId: string,
  personId: string,
): Promise<void> {
  await db
    .insertInto('team_member')
    .values({ site_id: siteId, team_id: teamId, person_id: personId })
    .execute();
}

export async function deleteTeamMember(
  db: Db,
  siteId: string,
  teamId: string,
  personId: string,
): Promise<void> {
  await db
    .deleteFrom('team_member')
    .where('site_id', '=', siteId)
    .where('team_id', '=', teamId)
    .where('person_id', '=', personId)
    .execute();
}

export async function listTeams(db: Db, siteId: string): Promise<Team[]> {
  const rows = await db
    .selectFrom('team')
    .select(['id', 'key', 'name_json'])
    .where('site_id', '=', siteId)
    .orderBy('position')
    .execute();
  return rows.map((row) => ({ id: row.id, key: row.key, name: JSON.parse(row.name_json) as Team['name'] }));
}

/** Mail addresses that get the notes of each team, besides its people. */
export async function listRecipients(db: Db, siteId: string): Promise<Record<string, string[]>> {
  const rows = await db
    .selectFrom('team')
    .select(['id', 'mail_to_json'])
    .where('site_id', '=', siteId)
    .execute();
  return Object.fromEntries(rows.map((row) => [row.id, JSON.parse(row.mail_to_json) as string[]]));
}

/** Whether there is such a team in the site. */
export async function writeRecipients(
  db: Db,
  siteId: string,
  teamId: string,
  mails: readonly string[],
): Promise<boolean> {
  const { numUpdatedRows } = await db
    .updateTable('team')
    .set({ mail_to_json: JSON.stringify(mails) })
    .where('site_id', '=', siteId)
    .where('id', '=', teamId)
    .executeTakeFirst();
  return numUpdatedRows > 0n;
}

/** How many people answer in each team that has any. */
export async function countPeople(db: Db, siteId: string): Promise<Record<string, number>> {
  const rows = await db
    .selectFrom('team_member')
    .select(({ fn }) => ['team_id', fn.countAll<number>().as('count')])
    .where('site_id', '=', siteId)
    .groupBy('team_id')
    .execute();
  return Object.fromEntries(rows.map(({ team_id, count }) => [team_id, count]));
}

/** The teams somebody answers in. */
export async function listTeamIdsOf(db: Db, siteId: string, personId: string): Promise<string[]> {
  const rows = await db
    .selectFrom('team_member')
    .select('team_id')
    .where('site_id', '=', siteId)
    .where('person_id', '=', personId)
    .execute();
  return rows.map((row) => row.team_id);
}

/** Everybody who said to be in, per team; whether they answer pings, only the presence board knows. */
export async function listMembersIn(db: Db, siteId: string): Promise<MemberIn[]> {
  const rows = await findMembersIn(db, { siteId });
  return rows.map(({ teamId, personId, limit, joined }) => ({
    teamId,
    personId,
    freeSlots: limit - (joined ?? 0),
  }));
}

const findMembersIn = keptQuery((db: Db, { siteId }: { siteId: string }) =>
  db
    .selectFrom('team_member')
    .innerJoin('presence', (on) =>
      on
        .onRef('presence.site_id', '=', 'team_member.site_id')
        .onRef('presence.person_id', '=', 'team_member.person_id'),
    )
    .innerJoin('site_member', (on) =>
      on
        .onRef('site_member.site_id', '=', 'team_member.site_id')
        .onRef('site_member.person_id', '=', 'team_member.person_id'),
    )
    .select(({ selectFrom }) => [
      'team_member.team_id as teamId',
      'team_member.person_id as personId',
      'site_member.chat_limit as limit',
      selectFrom('conversation')
        .select(({ fn }) => fn.countAll<number>().as('count'))
        .where('conversation.site_id', '=', siteId)
        .where('conversation.status', '=', 'joined')
        .where('conversation.is_practice', '=', 0) // nobody is kept from visitors by it
        .whereRef('conversation.assigned_to', '=', 'team_member.person_id')
        .as('joined'),
    ])
    .where('team_member.site_id', '=', siteId)
    .where('presence.choice', '=', 'in'),
);

export async function setPresenceChoice(
  db: Db,
  siteId: string,
  personId: string,
  choice: 'in' | 'out',
): Promise<void> {
  await db
    .insertInto('presence')
    .values({ site_id: siteId, person_id: personId, choice, until_ms: null, reason: '' })
    .onConflict((on) => on.columns(['site_id', 'person_id']).doUpdateSet({ choice }))
    .execute();
}

export async function findPresenceChoice(db: Db, siteId: string, personId: string): Promise<'in' | 'out'> {
  const row = await db
    .selectFrom('presence')
    .select('choice')
    .where('site_id', '=', siteId)
    .where('person_id', '=', personId)
    .executeTakeFirst();
  return row?.choice ?? 'out';
}

/** Their order, as it is given; a team that is not named keeps its place. */
export async function writePositions(db: Db, siteId: string, teamIds: readonly string[]): Promise<void> {
  for (const [position, id] of teamIds.entries())
    await db
      .updateTable('team')
      .set({ position })
      .where('site_id', '=', siteId)
      .where('id', '=', id)
      .execute();
}

/** With who is in it. What was asked of it is for everybody from then on. */
export async function deleteTeam(db: Db, siteId: string, teamId: string): Promise<void> {
  for (const table of ['conversation', 'note'] as const)
    await db
      .updateTable(table)
      .set({ team_id: null })
      .where('site_id', '=', siteId)
      .where('team_id', '=', teamId)
      .execute();
  await db.deleteFrom('team').where('site_id', '=', siteId).where('id', '=', teamId).execute();
}

export async function writeTeamName(
  db: Db,
  siteId: string,
  teamId: string,
  key: string,
  name: Team['name'],
): Promise<void> {
  await db
    .updateTable('team')
    .set({ key, name_json: JSON.stringify(name) })
    .where('site_id', '=', siteId)
    .where('id', '=', teamId)
    .execute();
}
