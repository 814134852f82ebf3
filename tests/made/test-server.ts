import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { migrateDatabase } from '../../src/server/db/migrate';
import { type Db, openDatabase } from '../../src/server/db/open';
import { newId, newSecret } from '../../src/server/ids';
import { makeClock } from '../../src/server/live/clock';
import { makeFactsCache } from '../../src/server/facts/facts-cache';
import { makeKnownSites } from '../../src/server/facts/known-sites';
import { makeGroupCommit } from '../../src/server/db/group-commit';
import { makeHub } from '../../src/server/live/hub';
import { makePresenceBoard } from '../../src/server/facts/presence-board';
import { makeLimits } from '../../src/server/live/rates';
import type { Passwords } from '../../src/server/accounts/passwords';
import type { State } from '../../src/server/state';
import { deskEndpoint } from '../../src/server/desk/endpoint';
import { visitorEndpoint } from '../../src/server/visitor/endpoint';
import { fromWeb, toWeb } from '../../src/server/http/web-bridge';
import { makeDrawer } from '../../src/server/pictures/drawer';
import { makeWhereabouts } from '../../src/server/live/whereabouts';
import { makeWidgetFiles } from '../../src/server/visitor/widget-files';
import { openPorch } from '../../src/server/accounts/first-run';
import { openSession } from '../../src/server/accounts/sign-in';
import { AT_ONCE, publishDraft } from '../../src/server/designs/publish';
import { addMember } from '../../src/server/accounts/team';
import { EVENING } from './site';

/** The real hash is tested on its own; elsewhere it would only be slow. */
const QUICK: Passwords = {
  hash: (password) => Promise.resolve(`quick ${password}`),
  isRight: (hash, password) => Promise.resolve(hash === `quick ${password}`),
  strawHash: () => Promise.resolve('quick and nobody’s'),
};

export interface TestServer {
  readonly state: State;
  readonly db: Db;
}

/** A running server's state over real SQLite with the real migrations, at an evening of the demo. */
export async function makeTestServer(db: Db = openDatabase(':memory:')): Promise<TestServer> {
  await migrateDatabase(db, join(tmpdir(), 'unused'));
  const clock = makeClock();
  clock.moveTo(EVENING);
  const widgetDir = mkdtempSync(join(tmpdir(), 'porch-widget-'));
  writeFileSync(
    join(widgetDir, 'built.json'),
    JSON.stringify({ panel: 'panel-0123456789abcdef.js', watch: 'watch-0123456789abcdef.js' }),
  );
  writeFileSync(join(widgetDir, 'porch.js.gz'), gzipSync('/* porch */'));
  const facts = makeFactsCache();
  const state: State = {
    env: {
      port: 0,
      host: '127.0.0.1',
      publicUrl: null,
      dataDir: mkdtempSync(join(tmpdir(), 'porch-data-')),
      widgetDir,
      drawScript: 'dist/server/draw.mjs',
      trustedProxies: [],
      demoSecret: null,
    },
    db,
    clock,
    hub: makeHub(clock),
    letGo: () => undefined,
    board: makePresenceBoard(clock),
    whereabouts: makeWhereabouts(),
    rates: makeLimits(),
    drawer: makeDrawer('dist/server/draw.mjs', clock),
    widgetFiles: makeWidgetFiles(),
    facts,
    sites: makeKnownSites(db, facts, clock),
    commits: makeGroupCommit(db),
    passwords: QUICK,
    peerSeal: newSecret(),
    proxySeen: null,
    setupCode: null,
  };
  return { state, db };
}

export interface MadePorch {
  readonly key: string;
  readonly siteId: string;
  readonly ownerId: string;
  readonly origin: string;
  /** Calls the desk's endpoint as the owner, or as whoever's secret is given. */
  desk(route: string, body?: unknown, as?: string): Promise<Response>;
  /** Calls a visitor endpoint from a page of the site. */
  visit(
    route: string,
    more?: { body?: unknown; token?: string; origin?: string | null; headers?: Record<string, string> },
  ): Promise<Response>;
  readonly secret: string;
}

/** A site with an owner, in a house; published at once unless told otherwise. */
export async function madePorch(
  { state }: TestServer,
  name: string,
  { isPublished = true } = {},
): Promise<MadePorch> {
  const at = state.clock.now();
  const origin = `https://${name}.example`;
  const answers = {
    siteName: name,
    siteAddress: `${origin}/`,
    brand: '#7a2e5d',
    name: 'Inês Matos',
    mail: `ines@${name}.example`,
    password: 'clear skies tonight',
    locale: 'en',
    zone: 'Atlantic/Azores',
    zoneConfirmed: true,
  };
  const { site, personId } = await openPorch(state, answers, at);
  if (isPublished)
    await publishDraft(state, { siteId: site.id, personId, at }, { revision: 1, remark: '', ...AT_ONCE });
  const secret = await openSession(state, personId, 'test', at);
  return {
    key: site.key,
    siteId: site.id,
    ownerId: personId,
    origin,
    secret,
    desk: (route, body, as = secret) => {
      const [method = 'GET', path = ''] = route.split(' ');
      return deskAnswer(
        state,
        new Request(`http://127.0.0.1/api/s/${site.key}/${path}`, {
          method,
          headers: {
            Cookie: `porch=${as}`,
            ...(method === 'GET' ? {} : { 'Content-Type': 'application/json' }),
          },
          ...(method === 'GET' ? {} : { body: JSON.stringify(body ?? {}) }),
        }),
      );
    },
    visit: (route, { body, token, origin: from = origin, headers = {} } = {}) => {
      const [method = 'GET', path = ''] = route.split(' ');
      return visitorAnswer(
        state,
        new Request(`http://127.0.0.1/w/${site.key}/${path}`, {
          method,
          headers: {
            ...(from === null ? {} : { Origin: from }),
            ...(token === undefined ? {} : { Authorization: `Bearer ${token}` }),
            ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
            ...headers,
          },
          ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
        }),
      );
    },
  };
}

/** What the visitors' endpoint answers to a web request. */
export async function visitorAnswer(state: State, request: Request): Promise<Response> {
  return toWeb(await visitorEndpoint(state, fromWeb(request), '192.0.2.1'), request.signal);
}

/** What the desk's endpoint answers to a web request. */
export async function deskAnswer(state: State, request: Request): Promise<Response> {
  return toWeb(await deskEndpoint(state, fromWeb(request)), request.signal);
}

/** Somebody with a role on a site, and their session. */
export async function madeMember(
  { state }: TestServer,
  porch: MadePorch,
  role: 'owner' | 'designer' | 'responder',
  mail: string,
) {
  const at = state.clock.now();
  const personId = await addMember(
    state,
    { siteId: porch.siteId, personId: porch.ownerId, at },
    { mail, name: 'Rui Faria', password: 'clear skies tonight', role, locale: 'en' },
  );
  return { personId, secret: await openSession(state, personId, 'test', at) };
}

/** A message as a visitor's browser writes it. */
export function madeMessage(body: string, change: Record<string, unknown> = {}): Record<string, unknown> {
  return {
    clientId: newId(EVENING),
    body,
    page: 'https://farrowisle.example/tonight',
    design: '',
    locale: 'en',
    widget: 'main',
    ...change,
  };
}

/** The body of an answer. */
export async function read<T>(response: Response): Promise<T> {
  return (await response.json()) as T;
}

/** Reads a stream until what came is enough. */
export async function readFor(response: Response, isEnough: (text: string) => boolean): Promise<string> {
  const reader = response.body?.getReader();
  const decoder = new TextDecoder();
  let text = '';
  while (reader !== undefined && !isEnough(text)) text += decoder.decode((await reader.read()).value);
  await reader?.cancel();
  return text;
}
