import type { IncomingMessage, ServerResponse } from 'node:http';
import { Readable } from 'node:stream';

/** A web `Request` of Node's. Its signal fires when the other side goes away. */
export function toWebRequest(request: IncomingMessage, response: ServerResponse): Request {
  const gone = new AbortController();
  response.on('close', () => gone.abort());
  const method = request.method ?? 'GET';
  const hasBody = method !== 'GET' && method !== 'HEAD';
  const init = {
    method,
    headers: toHeaders(request),
    signal: gone.signal,
    ...(hasBody
      ? { body: Readable.toWeb(request) as ReadableStream<Uint8Array>, duplex: 'half' as const }
      : {}),
  };
  return new Request(`http://${request.headers.host ?? 'localhost'}${request.url ?? '/'}`, init);
}

function toHeaders(request: IncomingMessage): Headers {
  const headers = new Headers();
  for (const [name, value] of Object.entries(request.headers)) {
    if (Array.isArray(value)) value.forEach((one) => headers.append(name, one));
    else if (value !== undefined) headers.set(name, value);
  }
  return headers;
}

/** Sends a web `Response` by Node's, as fast as the other side reads. */
export async function sendWebResponse(answer: Response, response: ServerResponse): Promise<void> {
  response.writeHead(answer.status, Object.fromEntries(answer.headers));
  if (answer.body === null) return void response.end();
  response.flushHeaders();
  const reader = answer.body.getReader();
  response.on('close', () => void reader.cancel().catch(() => undefined)); // ended already
  for (let part = await reader.read(); !part.done; part = await reader.read()) {
    if (!response.write(part.value))
      await new Promise((resolve) => response.once('drain', resolve).once('close', resolve));
    if (response.destroyed) return;
  }
  response.end();
}
