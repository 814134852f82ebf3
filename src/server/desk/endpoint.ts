import type { HttpAnswer, HttpRequest } from '../http/exchange';
import { findMember, secretFrom } from '../accounts/who';
import { PEOPLE_ROUTES } from '../accounts/routes';
import { RIGHTS_ROUTES } from '../accounts/rights-routes';
import { TEAM_ROUTES } from '../accounts/team-routes';
import { ACCOUNT_ROUTES } from '../accounts/account-routes';
import { SETTINGS_ROUTES } from '../accounts/settings-routes';
import { hashOf } from '../ids';
import { CONVERSATION_ROUTES } from '../conversations/routes';
import { isUnavailable } from '../db/transaction';
import { DESIGN_ROUTES } from '../designs/routes';
import { FACTS_ROUTES } from '../facts/routes';
import { errorResponse } from '../http/replies';
import { PICTURE_ROUTES } from '../pictures/routes';
import type { State } from '../state';
import { type DeskRoute, type DeskRoutes, route } from './route';
import { deskStream } from './stream';

/** Everything a long-lived screen sends, below `/api/s/<site>/`. Tests walk this list with other sites' ids. */
export const DESK_ROUTES: DeskRoutes = {
  ...FACTS_ROUTES,
  ...DESIGN_ROUTES,
  ...PICTURE_ROUTES,
  ...PEOPLE_ROUTES,
  ...RIGHTS_ROUTES,
  ...TEAM_ROUTES,
  ...SETTINGS_ROUTES,
  ...ACCOUNT_ROUTES,
  ...CONVERSATION_ROUTES,
  'GET stream': route('responder', deskStream),
};

/** Answers `/api/s/<site>/…` for signed-in members. The same function is mounted in the entry and in Next's route. */
export async function deskEndpoint(state: State, request: HttpRequest): Promise<HttpAnswer> {
  const [, api, s, siteKey = '', ...rest] = new URL(request.url).pathname.split('/');
  const found = api === 'api' && s === 's' ? routeOf(request.method, rest) : undefined;
  if (found === undefined) return errorResponse(404, 'There is nothing here.', {});
  const secret = secretFrom(request.headers.get('Cookie'), state.env);
  const member = await findMember(state, secret, siteKey, found.role);
  if (member === 'signed-out')
    return errorResponse(401, 'Your session has ended. Sign in again; what you were writing stays here.', {});
  if (member === 'not-found') return errorResponse(404, 'There is no such site.', {});
  if (member === 'not-allowed')
    return errorResponse(403, 'Your role does not include this. Ask the owner of the site.', {});
  try {
    const sessionHash = hashOf(secret ?? '');
    return await found.answer({ state, request, member, sessionHash, id: rest[1] ?? '' });
  } catch (error) {
    if (isUnavailable(error))
      return errorResponse(503, 'This could not be stored just now. It is kept here, and sent again.', {
        'Retry-After': '2',
      });
    throw error;
  }
}

/** A path as it is, or, where none is called that, with an id in its second part. */
function routeOf(method: string, parts: readonly string[]): DeskRoute | undefined {
  const withId = parts.map((part, index) => (index === 1 ? '*' : part));
  const name = [parts, withId]
    .map((path) => `${method} ${path.join('/')}`)
    .find((one) => Object.hasOwn(DESK_ROUTES, one));
  return name === undefined ? undefined : DESK_ROUTES[name];
}
