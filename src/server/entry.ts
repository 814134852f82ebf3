import { type IncomingMessage, type Server, type ServerResponse, createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { closeDatabase } from './db/open';
import { isSecure } from './accounts/who';
import { isUnavailable } from './db/transaction';
import { readEnv } from './env';
import { PEER_HEADER, clientAddress, proxyOf } from './http/address';
import { health } from './http/health';
import { fromNode, sendAnswer } from './http/node-bridge';
import { ORIGIN_ERROR, passesOriginGate } from './http/origin-gate';
import { log, loggedPath, watchFailures } from './log';
import { faultOfRequest } from './http/well-formed';
import { type Pages, makePages } from './pages';
import { startState } from './start-state';
import type { State } from './state';
import { visitorEndpoint } from './visitor/endpoint';
import { codedFor } from './visitor/widget-files';
import { errorResponse } from './http/replies';

/** The one process: visitors and desks are answered here, before Next is loaded; pages by Next. */
async function main(): Promise<void> {
  watchFailures();
  const env = readEnv();
  const state = await startState(env);
  const pages = makePages();
  const server = createServer((request, response) => {
    answer(state, pages, request, response).catch((error: unknown) => fall(error, request, response));
  });
  server.on('error', (error: NodeJS.ErrnoException) => {
    if (error.code === 'EADDRINUSE')
      stop(
        `Port ${env.port} is busy. Stop what runs there, or start on another one: PORT=${env.port + 1} npm start`,
      );
    else stop(String(error));
  });
  server.listen(env.port, env.host, () => {
    greet(state, server);
    state.clock.wakeAt(
      state.clock.now() + LOAD_PAGES_AFTER_MS,
      () => void pages.load().catch(stopWithoutPages),
    );
  });
  listenForMoves(state);
  for (const signal of ['SIGTERM', 'SIGINT'] as const) process.once(signal, () => void close(state, server));
}

/** Loading Next keeps the process busy for a second: whoever waited for the restart is answered first. */
const LOAD_PAGES_AFTER_MS = 500;

async function answer(
  state: State,
  pages: Pages,
  request: IncomingMessage,
  response: ServerResponse,
): Promise<void> {
  if (isSecure(state.env)) response.setHeader('Strict-Transport-Security', 'max-age=31536000');
  const fault = faultOfRequest(request);
  if (fault !== null) return sendAnswer(errorResponse(fault[0], fault[1], {}), response);
  const path = (request.url ?? '/').split('?')[0] ?? '/';
  const host = request.headers.host ?? null;
  const method = request.method ?? 'GET';
  if (!passesOriginGate({ method, path, origin: request.headers.origin ?? null }, state.env, host))
    return sendAnswer(errorResponse(403, ORIGIN_ERROR, {}), response);
  if (method === 'GET' && path === '/health')
    return sendAnswer(await health(state.db, pages.areServed()), response);
  // What never changes goes out as it lies on the shelf: making a web Request of it would cost more than sending it.
  const shelved =
    method === 'GET' && path.startsWith('/w/') ? state.widgetFiles.get(path.slice('/w/'.length)) : null;
  if (shelved !== null) {
    const { headers, body } = codedFor(shelved, request.headers['accept-encoding']?.toString() ?? null);
    return void response.writeHead(200, headers).end(body);
  }
  const peer = peerOf(request, state);
  if (path.startsWith('/w/'))
    return sendAnswer(await visitorEndpoint(state, fromNode(request), peer), response);
  if (path.startsWith('/api/s/')) {
    const { deskEndpoint } = await import('./desk/endpoint'); // what publishing needs is heavy, and no visitor needs it
    return sendAnswer(await deskEndpoint(state, fromNode(request)), response);
  }
  request.headers[PEER_HEADER] = `${state.peerSeal} ${peer}`;
  return (await pages.load())(request, response);
}

function peerOf(request: IncomingMessage, state: State): string {
  const forwarded = request.headers['x-forwarded-for'];
  const list = Array.isArray(forwarded) ? forwarded.join(',') : (forwarded ?? null);
  const peer = clientAddress(request.socket.remoteAddress ?? '', list, state.env.trustedProxies);
  const proxy = proxyOf(peer);
  if (proxy === null || state.proxySeen !== null) return peer;
  state.proxySeen = proxy;
  log.warn(
    { proxy },
    'X-Forwarded-For arrives, and no proxy is trusted: set TRUSTED_PROXIES to the address of yours, so that limits count by the visitors behind it.',
  );
  return peer;
}

function fall(error: unknown, request: IncomingMessage, response: ServerResponse): void {
  log.error({ method: request.method, path: loggedPath(request.url), error }, 'A request failed.');
  if (response.headersSent) return void response.destroy();
  const answer = isUnavailable(error)
    ? errorResponse(503, 'The data cannot be reached just now. Keep what you sent and try again.', {
        'Retry-After': '5',
      })
    : errorResponse(
        500,
        'Something broke on our side. Nothing you sent was acknowledged; keep it and try again.',
        {},
      );
  sendAnswer(answer, response);
}

function greet(state: State, server: Server): void {
  const { port } = server.address() as AddressInfo;
  process.send?.({ kind: 'listening', port, setupCode: state.setupCode });
  const own =
    state.env.publicUrl ?? `http://${state.env.host === '0.0.0.0' ? '127.0.0.1' : state.env.host}:${port}`;
  const lines =
    state.setupCode === null
      ? [`  Sign in           ${own}/`]
      : [`  Start here        ${own}/start#${state.setupCode}`];
  const address =
    state.env.publicUrl ??
    'not set: the snippet works on this computer only.  PUBLIC_URL=https://… npm start';
  const { trustedProxies } = state.env;
  const forwarded =
    trustedProxies.length === 0
      ? 'not believed: no proxy is trusted.  TRUSTED_PROXIES=… npm start'
      : `believed from ${trustedProxies.join(', ')}`;
  console.log(
    [
      'Sunny Porch is open.',
      ...lines,
      `  Public address    ${address}`,
      `  X-Forwarded-For   ${forwarded}`,
    ].join('\n'),
  );
  log.info({ port }, 'Listening.');
}

/** Tests move the clock over the IPC channel. Without one this path does not exist: no address can move time. */
function listenForMoves(state: State): void {
  if (process.channel === undefined) return;
  process.on('message', (message: { kind?: string; instant?: number }) => {
    if (message.kind !== 'move-to' || typeof message.instant !== 'number') return;
    state.clock.moveTo(message.instant);
    process.send?.({ kind: 'moved' });
  });
}

async function close(state: State, server: Server): Promise<void> {
  state.hub.closeAll();
  server.closeAllConnections();
  server.close();
  await closeDatabase(state.db).catch((error: unknown) =>
    log.error({ error }, 'Closing the database failed.'),
  );
  state.letGo();
  process.exit(0);
}

function stopWithoutPages(error: unknown): never {
  log.fatal({ error }, 'The pages of the desk cannot be loaded.');
  stop('The pages cannot be loaded. Build the application again: npm run build');
}

function stop(sentence: string): never {
  console.error(sentence);
  process.exit(1);
}

main().catch((error: unknown) => stop(error instanceof Error ? error.message : String(error)));
