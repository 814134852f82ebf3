import type { Overview } from '../../core/wire/desk';
import { periodAt, versionInForce } from '../../core/publish/in-force';
import { findFace } from '../accounts/members.repository';
import { inTransaction } from '../db/transaction';
import { listPublications } from '../designs/publications.repository';
import { findLastingDesign, findNewestNumber } from '../designs/versions.repository';
import { type DeskCall, type DeskRoutes, route, routeWith } from '../desk/route';
import { errorResponse, json } from '../http/replies';
import { NothingInput, PresenceChoiceInput, RecipientsInput } from '../input/desk.input';
import { listCalendars, listOverrides } from './calendars.repository';
import { readFacts } from './facts';
import { choosePresence, teamStates } from './presence';
import { findPresenceChoice, listRecipients, listTeams, writeRecipients } from './teams.repository';

/** What the desk asks about teams, hours and who is in. */
export const FACTS_ROUTES: DeskRoutes = {
  'GET overview': route('responder', overview),
  'GET recipients': route('designer', async ({ state, member }) =>
    json(200, { recipients: await listRecipients(state.db, member.site.id) }, {}),
  ),
  'POST recipients': routeWith('designer', RecipientsInput, handleRecipients),
  'POST presence': routeWith('responder', PresenceChoiceInput, handlePresenceChoice),
  'POST pong': routeWith('responder', NothingInput, handlePong),
};

/** What the frame around every screen shows. */
async function overview({ state, member }: DeskCall): Promise<Response> {
  const { site, person } = member;
  const at = state.clock.now();
  const [teams, states, choice, lasting, newestVersion, publications, facts, overrides, calendars, face] =
    await Promise.all([
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
    ]);
  const shown: Overview = {
    teams: teams.map((team) => ({ ...team, state: states[team.id] ?? 'nobody' })),
    you: { name: person.name, face },
    calendars: Object.fromEntries(calendars.map(({ id, name }) => [id, name])),
    presenceChoice: choice,
    publishedDesign: lasting,
    newestVersion,
    pausedAt: site.pausedAt,
    periodUntil: periodAt(publications, at)?.until ?? null,
    version: versionInForce(publications, at),
    facts,
    overrides,
    now: at,
  };
  return json(200, shown, {});
}

async function handleRecipients(
  { state, member }: DeskCall,
  { teamId, mails }: RecipientsInput,
): Promise<Response> {
  const isThere = await inTransaction(state.db, (tx) => writeRecipients(tx, member.site.id, teamId, mails));
  return isThere ? json(200, {}, {}) : errorResponse(404, 'There is no such team.', {});
}

async function handlePresenceChoice(
  { state, member }: DeskCall,
  { choice }: PresenceChoiceInput,
): Promise<Response> {
  await choosePresence(state, member.site.id, member.person.id, choice);
  return json(200, { choice }, {});
}

function handlePong({ state, member }: DeskCall): Promise<Response> {
  state.board.answer(member.person.id);
  return Promise.resolve(json(200, {}, {}));
}
