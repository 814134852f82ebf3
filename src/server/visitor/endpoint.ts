import type { EventBody, HttpAnswer, HttpRequest } from '../http/exchange';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { CheckedReplies } from '../../core/forms/check';
import { saysNothing } from '../../core/forms/fill';
import { SENDS_LETTERS } from '../facts/letters';
import { LIMITS } from '../../core/limits';
import { findEntriesAfter } from '../conversations/resume';
import { findFileBody } from '../designs/publications.repository';
import type { Site } from '../accounts/sites.repository';
import { isUnavailable } from '../db/transaction';
import { readJson } from '../http/read-body';
import { AfterInput, HereInput, MessageInput, NoteInput } from '../input/visitor.input';
import { parseInput } from '../input/parse-input';
import { STREAM_HEADERS, holderOf, openEvents } from '../live/hub';
import { pictureOf } from '../pictures/send-picture';
import { proxyOf } from '../http/address';
import { BY_PROXY, waitWords } from '../live/rates';
import type { State } from '../state';
import { getPointer } from '../designs/pointer';
import { previewFor } from '../designs/previews';
import { siteChannel, teamStates, visitorChannel } from '../facts/presence';
import { takeAfter } from '../conversations/after-form';
import { checkForm, givenForm, noForm } from '../conversations/forms';
import { endByVisitor } from '../conversations/end-talk';
import { takeHere, watchVisitorGone } from '../conversations/here';
import { forgetVisitor } from '../conversations/forget';
import { getStanding, getTalk } from '../conversations/talk';
import { takeMessage, takeNote } from '../conversations/take-message';
import { TokenError, type Writer, knownVisitor } from '../conversations/writer';
import { isUnsettled } from '../../core/model/conversation';
import { PART_NAME, keptGuestDir } from './kept-guest';
import { practicePage } from './practice-page';
import { type ShelvedFile, codedFor } from './widget-files';
import { type Allowed, corsFor, preflight } from './cors';
import { json, errorResponse } from '../http/replies';

/** All that a visitor's browser asks for, under `/w/`. The same function answers in the entry and in Next's routes. `peer` is the address that limits count by. */
export async function visitorEndpoint(state: State, request: HttpRequest, peer: string): Promise<HttpAnswer> {
  const path = new URL(request.url).pathname.slice('/w/'.length);
  const [first = '', second, ...more] = path.split('/');
  if (more.length > 0) return errorResponse(404, 'There is nothing here.', {});
  if (second === undefined) return script(state, first, request);
  const known = /^[a-z0-9]{12}$/.test(first) ? await state.sites.byKey(first) : null;
  if (known === null)
    return errorResponse(404, 'No site has this key.', { 'Access-Control-Allow-Origin': '*' });
  const { site, domains } = known;
  if (/^[df]\d+-[0-9a-f]{16}(\.[A-Za-z0-9-]+)?(\.room)?\.json$/.test(second))
    return publishedFile(state, site, second, request);
  if (/^[0-9a-f]{40}\.webp$/.test(second)) return lookPicture(state, site, second.slice(0, 40), request);
  const allowed = corsFor(request, domains, state.env);
  if (request.method === 'OPTIONS') return preflight(allowed);
  if (!allowed.isAllowed)
    return errorResponse(403, "This page's address is not among the site's allowed ones.", allowed.headers);
  const handler = HANDLERS[`${request.method} ${second}`];
  if (handler === undefined) return errorResponse(404, 'There is nothing here.', allowed.headers);
  try {
    return await handler({ state, site, request, peer, allowed });
  } catch (error) {
    if (error instanceof TokenError) return errorResponse(401, error.message, allowed.headers);
    if (isUnavailable(error))
      return errorResponse(503, 'This could not be stored just now. Keep it and send it again.', {
        ...allowed.headers,
        'Retry-After': '5',
      });
    throw error;
  }
}

interface Call {
  readonly state: State;
  readonly site: Site;
  readonly request: HttpRequest;
  readonly peer: string;
  readonly allowed: Allowed;
}

const HANDLERS: Readonly<Record<string, (call: Call) => Promise<HttpAnswer>>> = {
  'GET live.json': pointer,
  'GET draft.json': draft,
  'GET practice': practice,
  'POST messages': messages,
  'POST notes': notes,
  'POST end': endTalk,
  'POST after': after,
  'POST forget': forget,
  'POST here': here,
  'GET conversation': conversation,
  'GET stream': stream,
};

/** A page of ours that carries the widget, to practise on beside the desk; nothing but the desk may frame it. */
async function practice({ site }: Call): Promise<HttpAnswer> {
  return Promise.resolve(practicePage(site.key));
}

const FOR_EVER = 'public, max-age=31536000, immutable';

/** The guest's own files. The panel is named by its content; `porch.js` is asked for anew each time. */
function script(state: State, name: string, request: HttpRequest): HttpAnswer {
  if (
    request.method !== 'GET' ||
    !/^((porch|draft|extras)\.js|(panel|watch)-[0-9a-f]{16}\.js|font-[a-z]+-[\d.]+\.woff2)$/.test(name)
  )
    return errorResponse(404, 'There is nothing here.', {});
  const file = state.widgetFiles.get(name) ?? shelve(state, name);
  return file === null ? errorResponse(404, 'There is nothing here.', {}) : sendFile(file, request);
}

/** Of this program, or of one before it that a page still has open ([L9]). */
function shelve(state: State, name: string): ShelvedFile | null {
  const { widgetDir, dataDir } = state.env;
  const kept = PART_NAME.test(name) ? [keptGuestDir(dataDir)] : [];
  const path = [widgetDir, ...kept].map((dir) => join(dir, name)).find((one) => existsSync(`${one}.gz`));
  if (path === undefined) return null;
  const brotli = existsSync(`${path}.br`) ? readFileSync(`${path}.br`) : undefined;
  const headers = {
    ...READABLE_ANYWHERE,
    'Content-Type': name.endsWith('.js') ? 'text/javascript; charset=utf-8' : 'font/woff2',
    'Cache-Control': name.includes('-') ? FOR_EVER : 'public, max-age=300',
    'Cross-Origin-Resource-Policy': 'cross-origin',
  };
  return state.widgetFiles.put(name, readFileSync(`${path}.gz`), headers, brotli);
}

async function publishedFile(
  state: State,
  site: Site,
  name: string,
  request: HttpRequest,
): Promise<HttpAnswer> {
  const path = `${site.key}/${name}`;
  const shelved = state.widgetFiles.get(path);
  if (shelved !== null) return sendFile(shelved, request);
  const body = await findFileBody(state.db, site.id, name);
  if (body === null)
    return errorResponse(404, 'There is no such file.', { 'Access-Control-Allow-Origin': '*' });
  const headers = {
    ...READABLE_ANYWHERE,
    'Content-Type': 'application/json; charset=utf-8',
    'Cache-Control': FOR_EVER,
  };
  return sendFile(state.widgetFiles.put(path, body, headers), request);
}

/** Logos and headers, at a name that nobody guesses; never the owner's page ([threat 13]). */
async function lookPicture(
  state: State,
  site: Site,
  hash: string,
  request: HttpRequest,
): Promise<HttpAnswer> {
  const headers = {
    ...READABLE_ANYWHERE,
    'Cache-Control': FOR_EVER,
    'Cross-Origin-Resource-Policy': 'cross-origin',
  };
  const picture =
    request.method === 'GET'
      ? await pictureOf(state, site.id, hash, (kind) => kind !== 'page', headers)
      : null;
  return picture ?? errorResponse(404, 'There is no such picture.', { 'Access-Control-Allow-Origin': '*' });
}

const READABLE_ANYWHERE = {
  'Access-Control-Allow-Origin': '*',
  Vary: 'Accept-Encoding',
  'X-Content-Type-Options': 'nosniff',
} as const;

function sendFile(file: ShelvedFile, request: HttpRequest): HttpAnswer {
  const { headers, body } = codedFor(file, request.headers.get('Accept-Encoding'));
  return { status: 200, headers, body };
}

async function pointer({ state, site, request, allowed }: Call): Promise<HttpAnswer> {
  const live = await getPointer(
    state,
    site,
    state.widgetFiles.guestFiles(state.env.widgetDir),
    state.clock.now(),
  );
  const body = JSON.stringify(live);
  const etag = `"${createHash('sha256').update(body).digest('base64url').slice(0, 16)}"`;
  const headers = {
    ...allowed.headers,
    'Cache-Control': 'no-cache, s-maxage=5',
    ETag: etag,
    Date: new Date(state.clock.now()).toUTCString(),
    'Access-Control-Expose-Headers': 'Date, Age',
  };
  if (request.headers.get('If-None-Match') === etag) return { status: 304, headers, body: null };
  return { status: 200, headers: { ...headers, 'Content-Type': 'application/json; charset=utf-8' }, body };
}

/** [threat 18] The draft for whoever has a private link; kept nowhere. */
async function draft(call: Call): Promise<HttpAnswer> {
  const { state, site, request, allowed } = call;
  const { token } = writerOf(call);
  const preferredLocales = (new URL(request.url).searchParams.get('wishes') ?? '')
    .slice(0, LIMITS.wishesChars)
    .split(',');
  const at = state.clock.now();
  const guest = state.widgetFiles.guestFiles(state.env.widgetDir);
  const seen = token === null ? null : await previewFor(state, { site, guest, token, preferredLocales, at });
  if (seen === null) return errorResponse(401, 'This link is over.', allowed.headers);
  const told = {
    ...allowed.headers,
    Date: new Date(at).toUTCString(),
    'Access-Control-Expose-Headers': 'Date, Age',
  };
  return json(200, seen, told);
}

async function messages(call: Call): Promise<HttpAnswer> {
  const { state, request, peer, allowed } = call;
  const parsed = await bodyOf(request, MessageInput);
  if (!parsed.ok) return json(400, { errors: parsed.errors }, allowed.headers);
  const writer = writerOf(call);
  const wait =
    writer.token === null
      ? await state.rates.take('newVisitor', peer)
      : await state.rates.take('message', writer.token);
  if (wait > 0) return tooMany(wait, allowed);
  // Who has a token may be in the midst of a conversation; a form that begins another one comes with replies.
  const isAsked = writer.token === null || parsed.value.replies !== undefined;
  const checked = isAsked ? await checkForm(state, call.site.id, 'before', parsed.value) : null;
  if (checked !== null && Object.keys(checked.faults).length > 0) return unfit(checked.faults, allowed);
  const form = checked === null ? noForm('before') : givenForm('before', checked);
  return json(200, await takeMessage(state, writer, parsed.value, form), allowed.headers);
}

async function notes(call: Call): Promise<HttpAnswer> {
  const { state, request, peer, allowed } = call;
  const parsed = await bodyOf(request, NoteInput);
  if (!parsed.ok) return json(400, { errors: parsed.errors }, allowed.headers);
  const writer = writerOf(call);
  const wait =
    (await state.rates.take('noteFromAddress', peer)) ||
    (await state.rates.take('note', writer.token ?? parsed.value.newToken ?? peer));
  if (wait > 0) return tooMany(wait, allowed);
  const hasSaid = writer.token !== null && isUnsettled(await getStanding(state, writer));
  if (saysNothing(parsed.value.body, parsed.value.replies) && !hasSaid)
    return json(400, { errors: { body: 'Write a line or two first.' } }, allowed.headers);
  if (SENDS_LETTERS && parsed.value.replies === undefined && parsed.value.mail === '')
    return json(400, { errors: { mail: 'Something is missing around the @.' } }, allowed.headers);
  const checked = await checkForm(state, call.site.id, 'note', parsed.value, hasSaid);
  const faults = parsed.value.replies === undefined ? {} : checked.faults;
  if (Object.keys(faults).length > 0) return unfit(faults, allowed);
  return json(200, await takeNote(state, writer, parsed.value, givenForm('note', checked)), allowed.headers);
}

/** What was filled in after a chat; faults are told by field, and nothing is stored then. */
async function after(call: Call): Promise<HttpAnswer> {
  const { state, request, allowed } = call;
  const parsed = await bodyOf(request, AfterInput);
  if (!parsed.ok) return json(400, { errors: parsed.errors }, allowed.headers);
  const writer = writerOf(call);
  if (writer.token === null) throw new TokenError();
  const wait = await state.rates.take('message', writer.token);
  if (wait > 0) return tooMany(wait, allowed);
  const { faults } = await checkForm(state, call.site.id, 'after', parsed.value);
  if (Object.keys(faults).length > 0) return unfit(faults, allowed);
  const talk = await takeAfter(state, writer, parsed.value);
  return talk === null
    ? errorResponse(404, 'There is no conversation this belongs to.', allowed.headers)
    : json(200, talk, allowed.headers);
}

/** What the visitor sees and where they are, for the desk. */
async function here(call: Call): Promise<HttpAnswer> {
  const { state, request, allowed } = call;
  const parsed = await bodyOf(request, HereInput);
  if (!parsed.ok) return json(400, { errors: parsed.errors }, allowed.headers);
  const writer = writerOf(call);
  if (writer.token === null) throw new TokenError();
  const wait = await state.rates.take('here', writer.token);
  if (wait > 0) return tooMany(wait, allowed);
  await takeHere(state, writer, parsed.value);
  return json(200, {}, allowed.headers);
}

async function forget(call: Call): Promise<HttpAnswer> {
  await forgetVisitor(call.state, writerOf(call));
  return json(200, {}, call.allowed.headers);
}

/** Refused for now, with the time after which it will be taken. */
function tooMany(seconds: number, { headers }: Allowed): HttpAnswer {
  return errorResponse(429, `That was a lot at once. Keep it, and send it in ${waitWords(seconds)}.`, {
    ...headers,
    'Retry-After': String(seconds),
  });
}

function unfit(faults: CheckedReplies['faults'], { headers }: Allowed): HttpAnswer {
  return json(400, { errors: { replies: 'Something in the form does not fit.' }, faults }, headers);
}

async function endTalk(call: Call): Promise<HttpAnswer> {
  const talk = await endByVisitor(call.state, writerOf(call));
  return talk === null
    ? errorResponse(404, 'There is no conversation to end.', call.allowed.headers)
    : json(200, talk, call.allowed.headers);
}

async function conversation(call: Call): Promise<HttpAnswer> {
  const before = Number(new URL(call.request.url).searchParams.get('before') ?? '');
  const isPlace = Number.isSafeInteger(before) && before > 0;
  const { talk } = await getTalk(call.state, writerOf(call), isPlace ? before : null);
  return json(200, talk ?? { conversation: null, entries: [] }, call.allowed.headers);
}

const STREAMS_PER_VISITOR = 3;
/** Of visitors that are not known. */
const STREAMS_PER_ADDRESS = 50;

/** The visitor's stream: how the teams stand and, with a token, what was said after `Last-Event-ID`. */
async function stream(call: Call): Promise<HttpAnswer> {
  const { state, site, request, peer, allowed } = call;
  const wait = await state.rates.take('stream', peer);
  if (wait > 0) return tooMany(wait, allowed);
  const writer = writerOf(call);
  const visitorId = writer.token === null ? null : await knownVisitor(state.db, writer);
  const own = visitorId === null ? null : visitorChannel(site.id, visitorId);
  const atAddress = `address:${peer}`;
  const proxy = proxyOf(peer);
  const byProxy = proxy === null ? null : `address:${proxy}`;
  const holder = holderOf(request, own ?? `${siteChannel(site.id)}:${peer}`);
  const isFull =
    state.hub.count(atAddress, holder) >= STREAMS_PER_ADDRESS ||
    (byProxy !== null && state.hub.count(byProxy, holder) >= STREAMS_PER_ADDRESS * BY_PROXY);
  if (own === null && isFull)
    return errorResponse(429, 'This address has enough streams.', {
      ...allowed.headers,
      'Retry-After': '30',
    });
  if (own !== null && state.hub.count(own, holder) >= STREAMS_PER_VISITOR)
    return errorResponse(429, 'This visitor has enough streams.', {
      ...allowed.headers,
      'Retry-After': '30',
    });
  const unknown = byProxy === null ? [atAddress] : [atAddress, byProxy];
  const channels = [siteChannel(site.id), ...(own === null ? unknown : [own])];
  const after = Number(request.headers.get('Last-Event-ID') ?? 0);
  const events = eventsFor(state, site, { channels, holder, visitorId, after });
  return { status: 200, headers: { ...STREAM_HEADERS, ...allowed.headers }, body: events };
}

interface Heard {
  readonly channels: readonly string[];
  readonly holder: string | null;
  /** Null: nobody who is known. */
  readonly visitorId: string | null;
  /** The last entry they have. */
  readonly after: number;
}

/** Apart from the request, of which an open stream would keep all in memory. */
function eventsFor(state: State, site: Site, { channels, holder, visitorId, after }: Heard): EventBody {
  return openEvents(
    state.hub,
    () => ({
      ...{ channels, holder },
      onClose: () => visitorId !== null && watchVisitorGone(state, site.id, visitorId),
    }),
    async (opened) => {
      const teams = await teamStates(state, site.id);
      opened.send({ name: 'teams', data: { teams, paused: site.pausedAt !== null, now: state.clock.now() } });
      if (visitorId !== null)
        for (const event of await findEntriesAfter(state, site.id, visitorId, after)) opened.send(event);
    },
  );
}

function writerOf({ state, site, request }: Call): Writer {
  const match = /^Bearer ([\w-]{43})$/.exec(request.headers.get('Authorization') ?? '');
  if (request.headers.get('Authorization') !== null && match === null) throw new TokenError();
  return { siteId: site.id, token: match?.[1] ?? null, at: state.clock.now() };
}

async function bodyOf<T extends object>(request: HttpRequest, Class: new () => T) {
  const read = await readJson(request, LIMITS.visitorBodyBytes, LIMITS.jsonDepth);
  return read.ok ? parseInput(Class, read.value) : read;
}
