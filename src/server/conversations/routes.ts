import type { DeskTalk } from '../../core/wire/desk';
import { type DeskCall, type DeskRoutes, actorOf, route, routeWith } from '../desk/route';
import { errorResponse, json } from '../http/replies';
import { NothingInput, ReplyInput } from '../input/desk.input';
import { findConversation } from './conversations.repository';
import {
  findDeskConversation,
  listEndedDeskConversations,
  listOpenDeskConversations,
} from './desk-conversations.repository';
import { endByPerson } from './end-talk';
import { listEntries, listEntryPages } from './entries.repository';
import { removePractice } from './forget';
import { describeForms } from './forms';
import { replyTo } from './talk';

/** What the desk asks about conversations. */
export const CONVERSATION_ROUTES: DeskRoutes = {
  'GET conversations': route('responder', handleListConversations),
  'GET conversations/*': route('responder', handleGetConversation),
  'POST conversations/*/entries': routeWith('responder', ReplyInput, handleReply),
  'POST conversations/*/end': routeWith('responder', NothingInput, handleEndConversation),
  'POST conversations/*/remove-practice': routeWith('responder', NothingInput, handleRemovePractice),
};

const PER_PAGE = 100;
const OPEN_MAX = 1000;

/** The first page holds everything that waits for somebody, whatever came since; ended ones are paged. */
async function handleListConversations({ state, request, member }: DeskCall): Promise<Response> {
  const asked = Number(new URL(request.url).searchParams.get('before') ?? '');
  const before = Number.isSafeInteger(asked) && asked > 0 ? asked : null;
  const [open, ended] = await Promise.all([
    before === null ? listOpenDeskConversations(state.db, member.site.id, OPEN_MAX) : [],
    listEndedDeskConversations(state.db, member.site.id, before, PER_PAGE + 1),
  ]);
  return json(
    200,
    { conversations: [...open, ...ended.slice(0, PER_PAGE)], hasMore: ended.length > PER_PAGE },
    {},
  );
}

async function handleGetConversation({ state, member, id }: DeskCall): Promise<Response> {
  const conversation = await findDeskConversation(state.db, member.site.id, id);
  if (conversation === null) return errorResponse(404, 'There is no such conversation.', {});
  const [row, entries, pages, forms] = await Promise.all([
    findConversation(state.db, member.site.id, id),
    listEntries(state.db, member.site.id, id, 0, 5000),
    listEntryPages(state.db, member.site.id, id),
    describeForms(state.db, member.site.id, id),
  ]);
  return json(
    200,
    { conversation, entries, pages, forms, trail: JSON.parse(row?.trail_json ?? '[]') as DeskTalk['trail'] },
    {},
  );
}

async function handleRemovePractice({ state, member, id }: DeskCall): Promise<Response> {
  const isGone = await removePractice(state, member.site.id, id);
  return isGone ? json(200, {}, {}) : errorResponse(404, 'There is no practice conversation of this id.', {});
}

async function handleReply(call: DeskCall, input: ReplyInput): Promise<Response> {
  const entry = await replyTo(call.state, actorOf(call), call.id, input);
  return entry === null ? errorResponse(404, 'There is no such conversation.', {}) : json(200, { entry }, {});
}

async function handleEndConversation(call: DeskCall): Promise<Response> {
  const isHere =
    (await findConversation(call.state.db, call.member.site.id, call.id)) !== null &&
    (await endByPerson(call.state, actorOf(call), call.id));
  return isHere ? json(200, {}, {}) : errorResponse(404, 'There is no such conversation.', {});
}
