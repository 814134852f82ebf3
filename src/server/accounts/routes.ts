import type { HttpAnswer } from '../http/exchange';
import { peopleView } from './people-view';
import { findRole } from './sites.repository';
import { PICTURE_BYTES_MAX } from '../pictures/drawer';
import { keepFace, takeFaceAway } from '../pictures/faces';
import { errorResponse, json, tooLarge } from '../http/replies';
import { type DeskCall, type DeskRoutes, actorOf, route, routeWith } from '../desk/route';
import { NothingInput } from '../input/desk.input';

/** What the desk asks about the people of a site. */
export const PEOPLE_ROUTES: DeskRoutes = {
  'GET people': route('responder', handlePeople),
  'POST people/*/face': route('responder', handleFace),
  'POST people/*/face/remove': routeWith('responder', NothingInput, handleRemoveFace),
};

async function handlePeople({ state, member }: DeskCall): Promise<HttpAnswer> {
  return json(200, await peopleView(state, member), {});
}

/** One's own face, or, as the owner, that of anybody of the site. The body is the picture itself. */
async function handleFace(call: DeskCall): Promise<HttpAnswer> {
  const refused = await refusedFor(call);
  if (refused !== null) return refused;
  const sent = await call.request.read(PICTURE_BYTES_MAX);
  if (sent === null) return tooLarge();
  const kept = await keepFace(call.state, actorOf(call), call.id, sent);
  return kept.ok ? handlePeople(call) : json(400, { errors: kept.errors }, {});
}

async function handleRemoveFace(call: DeskCall): Promise<HttpAnswer> {
  const refused = await refusedFor(call);
  if (refused !== null) return refused;
  await takeFaceAway(call.state, call.member.site.id, call.id);
  return handlePeople(call);
}

async function refusedFor({ state, member, id }: DeskCall): Promise<HttpAnswer | null> {
  if ((await findRole(state.db, member.site.id, id)) === null)
    return errorResponse(404, 'There is nobody of that name on this site.', {});
  const isAllowed = id === member.person.id || member.role === 'owner';
  return isAllowed
    ? null
    : errorResponse(403, 'Only they themselves and the owner of the site change a face.', {});
}
