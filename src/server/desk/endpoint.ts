import type { DeskTalk, Overview } from '../../core/wire/desk';
import { LIMITS } from '../../core/limits';
import type { ClassConstructor } from 'class-transformer';
import { findConversation } from '../db/repositories/conversations';
import {
  findDeskConversation,
  listEndedDeskConversations,
  listOpenDeskConversations,
} from '../db/repositories/desk-conversations';
import { listEntries, listEntryPages } from '../db/repositories/entries';
import { periodAt, versionInForce } from '../../core/publish/in-force';
import { listPublications } from '../db/repositories/publications';
import { findLastingDesign, findNewestNumber } from '../db/repositories/versions';
import { findPresenceChoice, listRecipients, listTeams, writeRecipients } from '../db/repositories/teams';
import { findFace } from '../db/repositories/members';
import type { Role } from '../db/repositories/sites';
import { UnwritableError, inTransaction } from '../db/transaction';
import { readJson } from '../http/read-body';
import { findMember, secretFrom } from '../http/who';
import {
  DismissInput,
  FindingKeyInput,
  BringBackInput,
  ChangeInput,
  DesignFileInput,
  NothingInput,
  PageBarsInput,
  PageSourceInput,
  PauseInput,
  PublishInput,
  RecipientsInput,
  ReplyInput,
  StepInput,
  PresenceChoiceInput,
} from '../input/desk.input';
import { ForgetVisitInput, KeepInput, KeepSituationInput } from '../input/kept-visit.input';
import { parseInput } from '../input/parse-input';
import type { State } from '../state';
import { type DraftOutcome, getDraft, saveChange, stepDraft } from '../usecases/draft';
import { choosePresence, teamStates } from '../usecases/presence';
import { findingFacts, dismiss, restoreFinding } from '../usecases/findings';
import { forgetVisit, keepVisit } from '../usecases/kept-visits';
import { forgetSituation, keepSituation } from '../usecases/kept-situations';
import { listKeptSituations } from '../db/repositories/kept-situations';
import { endByPerson } from '../usecases/end-talk';
import { pageSource } from '../usecases/page-source';
import { replyTo } from '../usecases/talk';
import { listKeptVisits } from '../db/repositories/kept-visits';
import { listCalendars, listOverrides } from '../db/repositories/calendars';
import { readFacts } from '../usecases/facts';
import { describeForms } from '../usecases/forms';
import { json, errorResponse } from '../visitor/replies';
import { type DeskCall, actorOf } from './call';
import { handleFace, handleRemoveFace, handlePeople } from './people';
import {
  handleLookPicture,
  handleRemovePagePicture,
  handlePageBars,
  handlePagePicture,
  handlePagePictures,
  handleGetUpload,
} from './pictures';
import {
  handleBringBack,
  handleCancelPublication,
  handleDesignFile,
  handlePause,
  handlePreview,
  handleEndPreview,
  handlePublish,
  handleVersion,
  handleVersions,
} from './publishing';
import { deskStream } from './stream';

interface Route<T extends object> {
  readonly role: Role;
  readonly Input?: ClassConstructor<T>;
  readonly answer: (call: DeskCall, input: T) => Promise<Response>;
}

function route<T extends object>(
  role: Role,
  Input: ClassConstructor<T> | undefined,
  answer: Route<T>['answer'],
): Route<never> {
  return { role, Input, answer } as unknown as Route<never>;
}

/** Everything a long-lived screen sends, below `/api/s/<site>/`. `*` is an id. Tests walk this list with other sites' ids. */
export const DESK_ROUTES: Readonly<Record<string, Route<never>>> = {
  'GET overview': route('responder', undefined, overview),
  'GET draft': route('designer', undefined, async ({ state, member }) =>
    json(200, await getDraft(state.db, member.site.id), {}),
  ),
  'POST draft': route('designer', ChangeInput, async (call, input) =>
    handleDraft(await saveChange(call.state, actorOf(call), input)),
  ),
  'POST draft/steps': route('designer', StepInput, async (call, input) =>
    handleDraft(await stepDraft(call.state, actorOf(call), input)),
  ),
  'POST publish': route('designer', PublishInput, handlePublish),
  'POST design-file': route('designer', DesignFileInput, handleDesignFile),
  'POST previews': route('designer', NothingInput, handlePreview),
  'POST previews/*/end': route('designer', NothingInput, handleEndPreview),
  'GET versions': route('designer', undefined, handleVersions),
  'GET versions/*': route('designer', undefined, handleVersion),
  'POST versions/*/bring-back': route('designer', BringBackInput, handleBringBack),
  'POST publications/*/cancel': route('designer', NothingInput, handleCancelPublication),
  'POST pause': route('designer', PauseInput, handlePause),
  'GET findings': route('designer', undefined, async ({ state, member }) =>
    json(200, await findingFacts(state, member.site), {}),
  ),
  'POST findings/dismiss': route('designer', DismissInput, handleDismissFinding),
  'POST findings/restore': route('designer', FindingKeyInput, handleRestoreFinding),
  'GET recipients': route('designer', undefined, async ({ state, member }) =>
    json(200, { recipients: await listRecipients(state.db, member.site.id) }, {}),
  ),
  'POST recipients': route('designer', RecipientsInput, handleRecipients),
  'GET visits': route('designer', undefined, async ({ state, member }) =>
    json(200, { visits: await listKeptVisits(state.db, member.site.id) }, {}),
  ),
  'POST visits': route('designer', KeepInput, handleKeepVisit),
  'GET page-pictures': route('designer', undefined, handlePagePictures),
  'POST page-pictures/*': route('designer', undefined, handlePagePicture),
  'POST page-pictures/*/remove': route('designer', NothingInput, handleRemovePagePicture),
  'POST page-bars/*': route('designer', PageBarsInput, handlePageBars),
  'POST look-pictures/*': route('designer', undefined, handleLookPicture),
  'POST page-source': route('designer', PageSourceInput, handlePageSource),
  'GET people': route('responder', undefined, handlePeople),
  'POST people/*/face': route('responder', undefined, handleFace),
  'POST people/*/face/remove': route('responder', NothingInput, handleRemoveFace),
  'GET uploads/*': route('designer', undefined, handleGetUpload),
  'GET situations': route('designer', undefined, async ({ state, member }) =>
    json(200, { situations: await listKeptSituations(state.db, member.site.id) }, {}),
  ),
  'POST situations': route('designer', KeepSituationInput, handleSituation),
  'POST situations/remove': route('designer', ForgetVisitInput, async ({ state, member }, { id }) => {
    await forgetSituation(state, member.site.id, id);
    return json(200, {}, {});
  }),
  'POST visits/remove': route('designer', ForgetVisitInput, handleForgetVisitor),
  'GET conversations': route('responder', undefined, handleListConversations),
  'GET conversations/*': route('responder', undefined, handleGetConversation),
  'POST conversations/*/entries': route('responder', ReplyInput, handleReply),
  'POST conversations/*/end': route('responder', NothingInput, handleEndConversation),
  'POST presence': route('responder', PresenceChoiceInput, handlePresenceChoice),
  'POST pong': route('responder', NothingInput, handlePong),
  'GET stream': route('responder', undefined, deskStream),
};

/** Answers `/api/s/<site>/…` for signed-in members. The same function is mounted in the entry and in Next's route. */
export async function deskEndpoint(state: State, request: Request): Promise<Response> {
  const [, api, s, siteKey = '', ...rest] = new URL(request.url).pathname.split('/');
  if (api !== 'api' || s !== 's') return errorResponse(404, 'There is nothing here.', {});
  const id = rest[1] ?? '';
  const pattern = rest.map((part, index) => (index === 1 && NAMED.has(rest[0] ?? '') ? '*' : part)).join('/');
  const found = Object.hasOwn(DESK_ROUTES, `${request.method} ${pattern}`)
    ? DESK_ROUTES[`${request.method} ${pattern}`]
    : undefined;
  if (found === undefined) return errorResponse(404, 'There is nothing here.', {});
  const member = await findMember(
    state,
    secretFrom(request.headers.get('Cookie'), state.env),
    siteKey,
    found.role,
  );
  if (member === 'signed-out')
    return errorResponse(401, 'Your session has ended. Sign in again; what you were writing stays here.', {});
  if (member === 'not-found') return errorResponse(404, 'There is no such site.', {});
  if (member === 'not-allowed')
    return errorResponse(403, 'Your role does not include this. Ask the owner of the site.', {});
  try {
    if (found.Input === undefined)
      return await found.answer({ state, request, member, id }, undefined as never);
    const read = await readJson(request, LIMITS.ownerBodyBytes, LIMITS.designDepth + 4);
    const parsed = read.ok ? parseInput(found.Input, read.value) : read;
    return parsed.ok
      ? await found.answer({ state, request, member, id }, parsed.value)
      : json(400, { errors: parsed.errors }, {});
  } catch (error) {
    if (error instanceof UnwritableError)
      return errorResponse(503, 'This could not be stored just now. It is kept here, and sent again.', {
        'Retry-After': '2',
      });
    throw error;
  }
}

/** What stands before an id in an address. */
const NAMED: ReadonlySet<string> = new Set([
  'conversations',
  'page-pictures',
  'page-bars',
  'look-pictures',
  'uploads',
  'people',
  'versions',
  'publications',
  'previews',
]);

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

function handleDraft(outcome: DraftOutcome): Response {
  if (outcome.kind === 'saved') return json(200, outcome.view, {});
  if (outcome.kind === 'behind') return json(409, { view: outcome.view, between: outcome.between }, {});
  return json(400, { errors: outcome.errors }, {});
}

async function handleDismissFinding(call: DeskCall, input: DismissInput): Promise<Response> {
  const isDismissed = await dismiss(call.state, actorOf(call), input);
  return isDismissed
    ? json(200, {}, {})
    : errorResponse(
        409,
        'So many boards are put aside that nobody sees what matters. Take some back first.',
        {},
      );
}

async function handleKeepVisit({ state, member }: DeskCall, input: KeepInput): Promise<Response> {
  const kept = await keepVisit(state, member.site.id, input);
  return kept.ok ? json(200, { visits: kept.value }, {}) : json(400, { errors: kept.errors }, {});
}

async function handleSituation({ state, member }: DeskCall, input: KeepSituationInput): Promise<Response> {
  const kept = await keepSituation(state, member.site.id, input);
  return kept.ok ? json(200, { situations: kept.value }, {}) : json(400, { errors: kept.errors }, {});
}

async function handleForgetVisitor({ state, member }: DeskCall, { id }: ForgetVisitInput): Promise<Response> {
  await forgetVisit(state, member.site.id, id);
  return json(200, {}, {});
}

async function handleRecipients(
  { state, member }: DeskCall,
  { teamId, mails }: RecipientsInput,
): Promise<Response> {
  const isThere = await inTransaction(state.db, (tx) => writeRecipients(tx, member.site.id, teamId, mails));
  return isThere ? json(200, {}, {}) : errorResponse(404, 'There is no such team.', {});
}

async function handleRestoreFinding(
  { state, member }: DeskCall,
  { key }: FindingKeyInput,
): Promise<Response> {
  await restoreFinding(state, member.site.id, key);
  return json(200, {}, {});
}

async function handlePageSource(
  { state, member }: DeskCall,
  { address }: PageSourceInput,
): Promise<Response> {
  const got = await pageSource(state, member.site, address);
  return got.ok
    ? json(200, got.value, { 'Cache-Control': 'no-store' })
    : json(400, { errors: got.errors }, {});
}

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
