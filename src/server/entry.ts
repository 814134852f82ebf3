import { type IncomingMessage, type Server, type ServerResponse, createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import next from 'next';
import { closeDatabase } from './db/open';
import { deskEndpoint } from './desk/endpoint';
import { readEnv } from './env';
import { PEER_HEADER, clientAddress } from './http/address';
import { sendWebResponse, toWebRequest } from './http/node-bridge';
import { ORIGIN_ERROR, passesOriginGate } from './http/origin-gate';
import { takeLock } from './lock';
import { startState } from './start-state';
import type { State } from './state';
import { visitorEndpoint } from './visitor/endpoint';
import { codedFor } from './visitor/widget-files';
import { errorResponse } from './visitor/replies';

/** The one process: visitors and desks are answered here, before Next; pages by Next. */
async function main(): Promise<void> {
  const env = readEnv();
  const letGo = takeLock(env.dataDir);
  const state = await startState(env);
  const app = next({ dev: false, dir: process.cwd(), quiet: true });
  await app.prepare();
  const handle = app.getRequestHandler();
  const server = createServer((request, response) => {
    answer(state, request, response, handle).catch((error: unknown) => fall(error, response));
  });
  server.on('error', (error: NodeJS.ErrnoException) => {
    if (error.code === 'EADDRINUSE')
      stop(
        `Port ${env.port} is busy. Stop what runs there, or start on another one: PORT=${env.port + 1} npm start`,
      );
    else stop(String(error));
  });
  server.listen(env.port, env.host, () => greet(state, server));
  listenForMoves(state);
  for (const signal of ['SIGTERM', 'SIGINT'] as const)
    process.once(signal, () => void close(state, server, letGo));
}

type PageHandler = (request: IncomingMessage, response: ServerResponse) => Promise<void>;

async function answer(
  state: State,
  request: IncomingMessage,
  response: ServerResponse,
  handle: PageHandler,
): Promise<void> {
  const path = (request.url ?? '/').split('?')[0] ?? '/';
  const host = request.headers.host ?? null;
  if (
    !passesOriginGate(
      { method: request.method ?? 'GET', path, origin: request.headers.origin ?? null },
      state.env,
      host,
    )
  ) {
    return sendWebResponse(errorResponse(403, ORIGIN_ERROR, {}), response);
  }
  // What never changes goes out as it lies on the shelf: making a web Request of it would cost more than sending it.
  const shelved =
    request.method === 'GET' && path.startsWith('/w/')
      ? state.widgetFiles.get(path.slice('/w/'.length))
      : null;
  if (shelved !== null) {
    const { headers, body } = codedFor(shelved, request.headers['accept-encoding']?.toString() ?? null);
    return void response.writeHead(200, headers).end(body);
  }
  const peer = peerOf(request, state);
  if (path.startsWith('/w/'))
    return sendWebResponse(await visitorEndpoint(state, toWebRequest(request, response), peer), response);
  if (path.startsWith('/api/s/'))
    return sendWebResponse(await deskEndpoint(state, toWebRequest(request, response)), response);
  request.headers[PEER_HEADER] = `${state.peerSeal} ${peer}`;
  return handle(request, response);
}

function peerOf(request: IncomingMessage, { env }: State): string {
  const forwarded = request.headers['x-forwarded-for'];
  const list = Array.isArray(forwarded) ? forwarded.join(',') : (forwarded ?? null);
  return clientAddress(request.socket.remoteAddress ?? '', list, env.trustedProxies);
}

function fall(error: unknown, response: ServerResponse): void {
  console.error('A request failed:', error instanceof Error ? (error.stack ?? error.message) : error);
  if (!response.headersSent)
    void sendWebResponse(
      errorResponse(
        500,
        'Something broke on our side. Nothing you sent was acknowledged; keep it and try again.',
        {},
      ),
      response,
    );
  else response.destroy();
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
    'not set: the tag will work on this computer only.  PUBLIC_URL=https://… npm start';
  console.log(['Sunny Porch is open.', ...lines, `  Public address    ${address}`].join('\n'));
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

async function close(state: State, server: Server, letGo: () => void): Promise<void> {
  state.hub.closeAll();
  server.closeAllConnections();
  server.close();
  await closeDatabase(state.db).catch(() => undefined);
  letGo();
  process.exit(0);
}

function stop(sentence: string): never {
  console.error(sentence);
  process.exit(1);
}

main().catch((error: unknown) => stop(error instanceof Error ? error.message : String(error)));
