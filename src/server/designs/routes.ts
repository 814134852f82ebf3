import type { HttpAnswer } from '../http/exchange';
import { type DeskCall, type DeskRoutes, actorOf, route, routeWith } from '../desk/route';
import { errorResponse, json } from '../http/replies';
import {
  BringBackInput,
  ChangeInput,
  DesignFileInput,
  DismissInput,
  FindingKeyInput,
  NothingInput,
  PageSourceInput,
  PauseInput,
  PublishInput,
  StepInput,
} from '../input/desk.input';
import { ForgetVisitInput, KeepInput, KeepSituationInput } from '../input/kept-visit.input';
import { type DraftOutcome, getDraft, saveChange, stepDraft } from './draft';
import { dismiss, findingFacts, restoreFinding } from './findings';
import { forgetSituation, keepSituation } from './kept-situations';
import { listKeptSituations } from './kept-situations.repository';
import { forgetVisit, keepVisit } from './kept-visits';
import { listKeptVisits } from './kept-visits.repository';
import { pageSource } from './page-source';
import {
  handleBringBack,
  handleCancelPublication,
  handleDesignFile,
  handleEndPreview,
  handlePause,
  handlePreview,
  handlePublish,
  handleVersion,
  handleVersions,
} from './publishing';

/** What the desk asks about the draft, its checks and findings, versions and what is published. */
export const DESIGN_ROUTES: DeskRoutes = {
  'GET draft': route('designer', async ({ state, member }) =>
    json(200, await getDraft(state.db, member.site.id), {}),
  ),
  'POST draft': routeWith('designer', ChangeInput, async (call, input) =>
    handleDraft(await saveChange(call.state, actorOf(call), input)),
  ),
  'POST draft/steps': routeWith('designer', StepInput, async (call, input) =>
    handleDraft(await stepDraft(call.state, actorOf(call), input)),
  ),
  'POST publish': routeWith('designer', PublishInput, handlePublish),
  'POST design-file': routeWith('designer', DesignFileInput, handleDesignFile),
  'POST previews': routeWith('designer', NothingInput, handlePreview),
  'POST previews/*/end': routeWith('designer', NothingInput, handleEndPreview),
  'GET versions': route('designer', handleVersions),
  'GET versions/*': route('designer', handleVersion),
  'POST versions/*/bring-back': routeWith('designer', BringBackInput, handleBringBack),
  'POST publications/*/cancel': routeWith('designer', NothingInput, handleCancelPublication),
  'POST pause': routeWith('designer', PauseInput, handlePause),
  'GET findings': route('designer', async ({ state, member, request }) =>
    json(200, await findingFacts(state, member.site, request.headers.get('host')), {}),
  ),
  'POST findings/dismiss': routeWith('designer', DismissInput, handleDismissFinding),
  'POST findings/restore': routeWith('designer', FindingKeyInput, handleRestoreFinding),
  'GET visits': route('designer', async ({ state, member }) =>
    json(200, { visits: await listKeptVisits(state.db, member.site.id) }, {}),
  ),
  'POST visits': routeWith('designer', KeepInput, handleKeepVisit),
  'POST visits/remove': routeWith('designer', ForgetVisitInput, handleForgetVisit),
  'GET situations': route('designer', async ({ state, member }) =>
    json(200, { situations: await listKeptSituations(state.db, member.site.id) }, {}),
  ),
  'POST situations': routeWith('designer', KeepSituationInput, handleKeepSituation),
  'POST situations/remove': routeWith('designer', ForgetVisitInput, handleForgetSituation),
  'POST page-source': routeWith('designer', PageSourceInput, handlePageSource),
};

function handleDraft(outcome: DraftOutcome): HttpAnswer {
  if (outcome.kind === 'saved') return json(200, outcome.view, {});
  if (outcome.kind === 'behind') return json(409, { view: outcome.view, between: outcome.between }, {});
  return json(400, { errors: outcome.errors }, {});
}

async function handleDismissFinding(call: DeskCall, input: DismissInput): Promise<HttpAnswer> {
  const isDismissed = await dismiss(call.state, actorOf(call), input);
  return isDismissed
    ? json(200, {}, {})
    : errorResponse(409, 'Too many are dismissed already. Take some back first.', {});
}

async function handleRestoreFinding(
  { state, member }: DeskCall,
  { key }: FindingKeyInput,
): Promise<HttpAnswer> {
  await restoreFinding(state, member.site.id, key);
  return json(200, {}, {});
}

async function handleKeepVisit({ state, member }: DeskCall, input: KeepInput): Promise<HttpAnswer> {
  const kept = await keepVisit(state, member.site.id, input);
  return kept.ok ? json(200, { visits: kept.value }, {}) : json(400, { errors: kept.errors }, {});
}

async function handleForgetVisit({ state, member }: DeskCall, { id }: ForgetVisitInput): Promise<HttpAnswer> {
  await forgetVisit(state, member.site.id, id);
  return json(200, {}, {});
}

async function handleKeepSituation(
  { state, member }: DeskCall,
  input: KeepSituationInput,
): Promise<HttpAnswer> {
  const kept = await keepSituation(state, member.site.id, input);
  return kept.ok ? json(200, { situations: kept.value }, {}) : json(400, { errors: kept.errors }, {});
}

async function handleForgetSituation(
  { state, member }: DeskCall,
  { id }: ForgetVisitInput,
): Promise<HttpAnswer> {
  await forgetSituation(state, member.site.id, id);
  return json(200, {}, {});
}

async function handlePageSource(
  { state, member }: DeskCall,
  { address }: PageSourceInput,
): Promise<HttpAnswer> {
  const got = await pageSource(state, member.site, address);
  return got.ok
    ? json(200, got.value, { 'Cache-Control': 'no-store' })
    : json(400, { errors: got.errors }, {});
}
