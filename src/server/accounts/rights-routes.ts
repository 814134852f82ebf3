import type { HttpAnswer } from '../http/exchange';
import type { MadeJoinLink } from '../../core/wire/desk';
import { leave } from '../conversations/leaving';
import { type DeskCall, type DeskRoutes, actorOf, routeWith } from '../desk/route';
import { tellTeams } from '../facts/presence';
import { errorResponse, json } from '../http/replies';
import { NothingInput } from '../input/desk.input';
import { JoinLinkInput, RoleInput, TeamIdsInput } from '../input/people.input';
import { makeJoinLink, withdrawJoinLink } from './joining';
import { peopleView } from './people-view';
import { type RightsRefusal, removeMember, setRole, setTeams } from './rights';

/** What the owners of a site change of who may do what on it. */
export const RIGHTS_ROUTES: DeskRoutes = {
  'POST join-links': routeWith('owner', JoinLinkInput, handleMakeLink),
  'POST join-links/*/withdraw': routeWith('owner', NothingInput, handleWithdrawLink),
  'POST people/*/role': routeWith('owner', RoleInput, handleRole),
  'POST people/*/teams': routeWith('owner', TeamIdsInput, handleTeams),
  'POST people/*/remove': routeWith('owner', NothingInput, handleRemove),
};

async function handleMakeLink(call: DeskCall, asked: JoinLinkInput): Promise<HttpAnswer> {
  const secret = await makeJoinLink(call.state, actorOf(call), asked);
  if (secret === null)
    return errorResponse(409, 'Many links are out already. Take one back that nobody uses.', {});
  const answer: MadeJoinLink = {
    path: `/join/${secret}`,
    view: await peopleView(call.state, call.member),
  };
  return json(200, answer, {});
}

async function handleWithdrawLink(call: DeskCall): Promise<HttpAnswer> {
  const wasThere = await withdrawJoinLink(call.state, actorOf(call), call.id);
  return wasThere ? told(call) : errorResponse(404, 'This link does not work any more.', {});
}

async function handleRole(call: DeskCall, { role }: RoleInput): Promise<HttpAnswer> {
  const refusal = await setRole(call.state, actorOf(call), call.id, role);
  return refusal === null ? told(call) : refused(refusal);
}

async function handleTeams(call: DeskCall, { teamIds }: TeamIdsInput): Promise<HttpAnswer> {
  const refusal = await setTeams(call.state, actorOf(call), call.id, teamIds);
  if (refusal !== null) return refused(refusal);
  await tellTeams(call.state, call.member.site.id);
  return told(call);
}

/** Whatever they had joined waits for somebody again. */
async function handleRemove(call: DeskCall): Promise<HttpAnswer> {
  const { state, member, id } = call;
  const refusal = await removeMember(state, actorOf(call), id);
  if (refusal !== null) return refused(refusal);
  await leave(state, member.site.id, id);
  await tellTeams(state, member.site.id);
  return told(call);
}

async function told({ state, member }: DeskCall): Promise<HttpAnswer> {
  const known = await state.sites.get(member.site.id);
  const role = known.roles.get(member.person.id);
  // Who has taken themselves out sees nothing more of the site.
  return json(
    200,
    role === undefined ? { people: [], rights: null } : await peopleView(state, { ...member, role }),
    {},
  );
}

function refused(refusal: RightsRefusal): HttpAnswer {
  return refusal === 'nobody'
    ? errorResponse(404, 'This person is not on this site any more.', {})
    : errorResponse(409, 'A site needs an owner. Make somebody else an owner first.', {});
}
