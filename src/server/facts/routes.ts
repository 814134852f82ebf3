import type { HttpAnswer } from '../http/exchange';
import { inTransaction } from '../db/transaction';
import { type DeskCall, type DeskRoutes, route, routeWith } from '../desk/route';
import { errorResponse, json } from '../http/replies';
import { NothingInput, PresenceChoiceInput, RecipientsInput } from '../input/desk.input';
import { overviewOf } from './overview';
import { choosePresence } from '../conversations/leaving';
import { listRecipients, writeRecipients } from './teams.repository';

/** What the desk asks about teams, hours and who is in. */
export const FACTS_ROUTES: DeskRoutes = {
  'GET overview': route('responder', async ({ state, member }) =>
    json(200, await overviewOf(state, member), {}),
  ),
  'GET recipients': route('designer', async ({ state, member }) =>
    json(200, { recipients: await listRecipients(state.db, member.site.id) }, {}),
  ),
  'POST recipients': routeWith('designer', RecipientsInput, handleRecipients),
  'POST presence': routeWith('responder', PresenceChoiceInput, handlePresenceChoice),
  'POST pong': routeWith('responder', NothingInput, handlePong),
};

async function handleRecipients(
  { state, member }: DeskCall,
  { teamId, mails }: RecipientsInput,
): Promise<HttpAnswer> {
  const isThere = await inTransaction(state.db, (tx) => writeRecipients(tx, member.site.id, teamId, mails));
  return isThere ? json(200, {}, {}) : errorResponse(404, 'There is no such team.', {});
}

async function handlePresenceChoice(
  { state, member }: DeskCall,
  { choice }: PresenceChoiceInput,
): Promise<HttpAnswer> {
  await choosePresence(state, member.site.id, member.person.id, choice);
  return json(200, { choice }, {});
}

function handlePong({ state, member }: DeskCall): Promise<HttpAnswer> {
  state.board.answer(member.person.id);
  return Promise.resolve(json(200, {}, {}));
}
