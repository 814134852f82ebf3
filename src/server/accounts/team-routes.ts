import { teamUses } from '../../core/findings/team-uses';
import { LIMITS } from '../../core/limits';
import { teamKey } from '../../core/words/team-key';
import type { TeamUse, TeamsView } from '../../core/wire/desk';
import { tellPlaces } from '../conversations/tell-places';
import { getDraft } from '../designs/draft';
import { type DeskCall, type DeskRoutes, actorOf, route, routeWith } from '../desk/route';
import { tellTeams } from '../facts/presence';
import { listTeams } from '../facts/teams.repository';
import type { HttpAnswer } from '../http/exchange';
import { errorResponse, json } from '../http/replies';
import { NothingInput } from '../input/desk.input';
import { TeamIdsInput, TeamNameInput } from '../input/people.input';
import { addTeam, orderTeams, removeTeam, renameTeam } from './team';

/** What the owners of a site change of its teams; visitors read names at once. */
export const TEAM_ROUTES: DeskRoutes = {
  'GET teams': route('owner', handleTeams),
  'POST teams': routeWith('owner', TeamNameInput, handleAdd),
  'POST teams/order': routeWith('owner', TeamIdsInput, handleOrder),
  'POST teams/*/name': routeWith('owner', TeamNameInput, handleName),
  'POST teams/*/remove': routeWith('owner', NothingInput, handleRemove),
};

async function handleTeams(call: DeskCall): Promise<HttpAnswer> {
  return json(200, await teamsView(call), {});
}

async function teamsView({ state: { db, sites }, member }: DeskCall): Promise<TeamsView> {
  const siteId = member.site.id;
  const [teams, { design }, { designs }] = await Promise.all([
    listTeams(db, siteId),
    getDraft(db, siteId),
    sites.get(siteId),
  ]);
  const { locales, defaultLocale } = design;
  return {
    locales: [defaultLocale, ...locales.filter((locale) => locale !== defaultLocale)],
    teams: teams.map(({ id, key, name }) => ({
      ...{ id, key, name },
      inDraft: teamUses(design, id),
      inPublished: once([...designs.values()].flatMap((published) => teamUses(published, id))),
    })),
  };
}

function once(uses: readonly TeamUse[]): TeamUse[] {
  return [...new Map(uses.map((use) => [`${use.how} ${use.widget}`, use])).values()];
}

async function handleAdd(call: DeskCall, { locale, name }: TeamNameInput): Promise<HttpAnswer> {
  const { state, member } = call;
  const [teams, { design }] = await Promise.all([
    listTeams(state.db, member.site.id),
    getDraft(state.db, member.site.id),
  ]);
  if (!design.locales.includes(locale)) return unspoken();
  if (name === '') return json(400, { errors: { name: 'Give the team a name; visitors read it.' } }, {});
  if (teams.length >= LIMITS.teams)
    return json(400, { errors: { name: `There can be at most ${LIMITS.teams} teams.` } }, {});
  const key = teamKey(
    name,
    teams.map((team) => team.key),
  );
  await addTeam(state, actorOf(call), {
    key,
    name: { [locale]: name },
    position: teams.length,
    personIds: [],
  });
  return told(call);
}

/** Empty: in that language the team is called as in the usual one, which is never without. */
async function handleName(call: DeskCall, { locale, name }: TeamNameInput): Promise<HttpAnswer> {
  const { state, member, id } = call;
  const [teams, { design }] = await Promise.all([
    listTeams(state.db, member.site.id),
    getDraft(state.db, member.site.id),
  ]);
  const team = teams.find((one) => one.id === id);
  if (team === undefined) return errorResponse(404, 'There is no such team.', {});
  if (!design.locales.includes(locale)) return unspoken();
  if (name === '' && locale === design.defaultLocale)
    return json(400, { errors: { name: 'Give the team a name; visitors read it.' } }, {});
  const others = Object.entries(team.name).filter(([one]) => one !== locale);
  const names = Object.fromEntries(name === '' ? others : [...others, [locale, name]]);
  await renameTeam(state, actorOf(call), id, team.key, names);
  return told(call);
}

function unspoken(): HttpAnswer {
  return json(400, { errors: { name: 'Your widget does not speak that language.' } }, {});
}

async function handleOrder(call: DeskCall, { teamIds }: TeamIdsInput): Promise<HttpAnswer> {
  const teams = await listTeams(call.state.db, call.member.site.id);
  const isSame = teams.length === teamIds.length && teams.every(({ id }) => teamIds.includes(id));
  if (!isSame)
    return errorResponse(
      409,
      'Somebody has changed the teams. Look at them again, then put them in order.',
      {},
    );
  await orderTeams(call.state, actorOf(call), teamIds);
  return told(call);
}

/** What names a team has to let go of it first: a widget that asks a team that is not there asks nobody. */
async function handleRemove(call: DeskCall): Promise<HttpAnswer> {
  const { teams } = await teamsView(call);
  const team = teams.find(({ id }) => id === call.id);
  if (team === undefined) return errorResponse(404, 'There is no such team.', {});
  if (teams.length === 1) return errorResponse(409, 'A site needs a team. Add another one first.', {});
  if (team.inDraft.length > 0 || team.inPublished.length > 0)
    return errorResponse(409, 'A widget still names this team. Take it out there first.', {});
  await removeTeam(call.state, actorOf(call), call.id);
  await tellPlaces(call.state, call.member.site.id);
  return told(call);
}

async function told(call: DeskCall): Promise<HttpAnswer> {
  await tellTeams(call.state, call.member.site.id);
  return handleTeams(call);
}
