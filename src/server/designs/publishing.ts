import type { HttpAnswer } from '../http/exchange';
import type { DesignFileAnswer, VersionsView } from '../../core/wire/desk';
import { versionInForce } from '../../core/publish/in-force';
import { revokePreview } from './previews.repository';
import { listPublications } from './publications.repository';
import { writePause } from '../accounts/sites.repository';
import { cancelPublication, findVersion, listPlanned, listVersions } from './versions.repository';
import type { BringBackInput, DesignFileInput, PauseInput, PublishInput } from '../input/desk.input';
import { judgeDesignFile } from './design-file';
import { tellNews } from '../facts/presence';
import { openPreview } from './previews';
import { bringBack, publishDraft } from './publish';
import { json, errorResponse } from '../http/replies';
import { type DeskCall, actorOf } from '../desk/route';

// What the desk asks about publishing: versions, what is set for later, pause, the design as a file, private links.

export async function handlePublish(call: DeskCall, input: PublishInput): Promise<HttpAnswer> {
  const outcome = await publishDraft(call.state, actorOf(call), input);
  return outcome.ok
    ? json(200, { version: outcome.value }, {})
    : json(outcome.errors.revision === undefined ? 400 : 409, { errors: outcome.errors }, {});
}

/** Judged only: taking it over is a change of the draft like any other. */
export function handleDesignFile(_: DeskCall, { text }: DesignFileInput): Promise<HttpAnswer> {
  const judged = judgeDesignFile(text);
  const answer: DesignFileAnswer = judged.ok
    ? { design: judged.value, faults: [] }
    : { design: null, faults: judged.errors };
  return Promise.resolve(json(200, answer, {}));
}

/** A private link to the owner's own site; the secret stands in the fragment, which no server is ever sent. */
export async function handlePreview(call: DeskCall): Promise<HttpAnswer> {
  const { address } = call.member.site;
  if (address === null) return errorResponse(409, 'We do not know where your site is. Nothing was made.', {});
  const { id, token, expires } = await openPreview(call.state, actorOf(call));
  return json(200, { id, link: `${address}#sunny-porch-draft=${token}`, expires }, {});
}

export async function handleEndPreview({ state, member, id }: DeskCall): Promise<HttpAnswer> {
  const isDone = await revokePreview(state.db, member.site.id, id, state.clock.now());
  return isDone ? json(200, {}, {}) : errorResponse(404, 'There is no such link.', {});
}

const VERSIONS_AT_ONCE = 50;

export async function handleVersions({ state, member, request }: DeskCall): Promise<HttpAnswer> {
  const [{ db }, siteId, at] = [state, member.site.id, state.clock.now()];
  const below = Number(new URL(request.url).searchParams.get('below') ?? NaN);
  const [versions, planned, publications] = await Promise.all([
    listVersions(db, siteId, Number.isSafeInteger(below) ? below : null, VERSIONS_AT_ONCE + 1),
    listPlanned(db, siteId, at),
    listPublications(db, siteId, at),
  ]);
  const view: VersionsView = {
    versions: versions.slice(0, VERSIONS_AT_ONCE),
    hasMore: versions.length > VERSIONS_AT_ONCE,
    planned,
    inForce: versionInForce(publications, at),
  };
  return json(200, view, {});
}

export async function handleVersion({ state, member, id }: DeskCall): Promise<HttpAnswer> {
  const version = /^\d{1,9}$/.test(id) ? await findVersion(state.db, member.site.id, Number(id)) : null;
  return version === null ? errorResponse(404, 'There is no such version.', {}) : json(200, version, {});
}

export async function handleBringBack(call: DeskCall, input: BringBackInput): Promise<HttpAnswer> {
  if (!/^\d{1,9}$/.test(call.id)) return errorResponse(404, 'There is no such version.', {});
  const outcome = await bringBack(call.state, actorOf(call), Number(call.id), input);
  if (outcome.ok) return json(200, { version: outcome.value }, {});
  return json(outcome.errors[''] === undefined ? 400 : 404, { errors: outcome.errors }, {});
}

export async function handleCancelPublication({ state, member, id }: DeskCall): Promise<HttpAnswer> {
  const isDone = await cancelPublication(state.db, member.site.id, id, state.clock.now());
  if (!isDone) return errorResponse(404, 'Nothing is set there any more.', {});
  tellNews(state, member.site.id);
  return json(200, {}, {});
}

/** [L1] At once: no new conversation begins and the launcher is away; those that run are finished ([M8]). */
export async function handlePause(
  { state, member }: DeskCall,
  { isPaused }: PauseInput,
): Promise<HttpAnswer> {
  const pausedAt = isPaused ? (member.site.pausedAt ?? state.clock.now()) : null;
  await writePause(state.db, member.site.id, pausedAt);
  tellNews(state, member.site.id);
  return json(200, { pausedAt }, {});
}
