import type { HttpAnswer, HttpRequest } from '../http/exchange';
import type { DeskTalk } from '../../core/wire/desk';
import { type DeskCall, type DeskRoutes, actorOf, route, routeWith } from '../desk/route';
import { errorResponse, json } from '../http/replies';
import { EndInput, NothingInput, ReplyInput } from '../input/desk.input';
import { findConversation, listConversationIds } from './conversations.repository';
import {
  findDeskConversation,
  listDoneDeskConversations,
  listOpenDeskConversations,
} from './desk-conversations.repository';
import { endByPerson } from './end-talk';
import { endSoon, undoEnd } from './ending';
import { listEntryPages } from './entries.repository';
import { removePractice } from './forget';
import { trailOf, visitorNowOf } from './here';
import { describeForms } from './forms';
import { replyTo } from './reply';
import { pageOf, partedAt } from './talk';

/** What the desk asks about conversations. */
export const CONVERSATION_ROUTES: DeskRoutes = {
  'GET conversations': route('responder', handleListConversations),
  'GET conversations/*': route('responder', handleGetConversation),
  'POST conversations/*/entries': routeWith('responder', ReplyInput, handleReply),
  'POST conversations/*/end': routeWith('responder', EndInput, handleEndConversation),
  'POST conversations/*/end/undo': routeWith('responder', NothingInput, handleUndoEnd),
  'POST conversations/*/remove-practice': routeWith('responder', NothingInput, handleRemovePractice),
};

const PER_PAGE = 100;
const OPEN_MAX = 1000;

/** The first page holds everything that waits for somebody, whatever came since; what is done is paged. */
async function handleListConversations({ state, request, member }: DeskCall): Promise<HttpAnswer> {
  const before = idIn(request, 'before');
  const [open, done] = await Promise.all([
    before === null ? listOpenDeskConversations(state.db, member.site.id, OPEN_MAX) : [],
    listDoneDeskConversations(state.db, member.site.id, before, PER_PAGE + 1),
  ]);
  return json(
    200,
    { conversations: [...open, ...done.slice(0, PER_PAGE)], hasMore: done.length > PER_PAGE },
    {},
  );
}

/** The newest of what was said, here and in the visitor's conversations before; `before` an entry it pages back. */
async function handleGetConversation({ state, request, member, id }: DeskCall): Promise<HttpAnswer> {
  const { db } = state;
  const siteId = member.site.id;
  const [row, conversation] = await Promise.all([
    findConversation(db, siteId, id),
    findDeskConversation(db, siteId, id),
  ]);
  if (row === null || conversation === null) return errorResponse(404, 'There is no such conversation.', {});
  const all = await listConversationIds(db, siteId, row.visitor_id);
  const [page, forms] = await Promise.all([
    pageOf(
      db,
      siteId,
      all.filter((one) => one <= id),
      idIn(request, 'before'),
    ),
    describeForms(db, siteId, id),
  ]);
  const pages = await listEntryPages(
    db,
    siteId,
    page.entries.map((entry) => entry.id),
  );
  const talk: DeskTalk = {
    ...{ conversation, pages, forms, trail: trailOf(row), visitorNow: visitorNowOf(state, row) },
    ...partedAt(id, page),
  };
  return json(200, talk, {});
}

/** A whole number above 0 in the query of a request; null: none is there. */
function idIn(request: HttpRequest, name: string): number | null {
  const asked = Number(new URL(request.url).searchParams.get(name) ?? '');
  return Number.isSafeInteger(asked) && asked > 0 ? asked : null;
}

async function handleRemovePractice({ state, member, id }: DeskCall): Promise<HttpAnswer> {
  const isGone = await removePractice(state, member.site.id, id);
  return isGone ? json(200, {}, {}) : errorResponse(404, 'There is no practice conversation of this id.', {});
}

async function handleReply(call: DeskCall, input: ReplyInput): Promise<HttpAnswer> {
  const entry = await replyTo(call.state, actorOf(call), call.id, input);
  return entry === null ? errorResponse(404, 'There is no such conversation.', {}) : json(200, { entry }, {});
}

async function handleEndConversation(call: DeskCall, { isSoon }: EndInput): Promise<HttpAnswer> {
  const end = isSoon === true ? endSoon : endByPerson;
  const isHere = await end(call.state, actorOf(call), call.id);
  return isHere ? json(200, {}, {}) : errorResponse(404, 'There is no such conversation.', {});
}

async function handleUndoEnd({ state, member, id }: DeskCall): Promise<HttpAnswer> {
  const isHere = await undoEnd(state, member.site.id, id);
  return isHere ? json(200, {}, {}) : errorResponse(404, 'There is no such conversation.', {});
}
