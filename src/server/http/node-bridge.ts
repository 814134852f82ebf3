import type { IncomingMessage, ServerResponse } from 'node:http';
import { type EventBody, type HttpAnswer, type HttpRequest, type Sink, isEventBody } from './exchange';

/** A request of Node's, as our endpoints read it. */
export function fromNode(request: IncomingMessage): HttpRequest {
  return {
    method: request.method ?? 'GET',
    url: `http://${request.headers.host ?? 'localhost'}${request.url ?? '/'}`,
    headers: {
      get: (name) => {
        const value = request.headers[name.toLowerCase()];
        return Array.isArray(value) ? value.join(', ') : (value ?? null);
      },
    },
    read: (bytesMax) => readBody(request, bytesMax),
  };
}

function readBody(request: IncomingMessage, bytesMax: number): Promise<Buffer | null> {
  return new Promise((resolve, reject) => {
    const parts: Buffer[] = [];
    let bytes = 0;
    request.on('data', (part: Buffer) => {
      bytes += part.length;
      if (bytes <= bytesMax) return void parts.push(part);
      request.pause(); // the rest is not wanted
      resolve(null);
    });
    request.on('end', () => resolve(Buffer.concat(parts)));
    request.on('error', reject);
    request.on('close', () => reject(new Error('The other side went away before it had sent all.')));
  });
}

/** Sends an answer by Node's means; one that goes on, as fast as the other side reads. */
export function sendAnswer({ status, headers, body }: HttpAnswer, response: ServerResponse): void {
  if (isEventBody(body)) {
    response.writeHead(status, headers);
    response.flushHeaders();
    forgetHeaders(response.req);
    return startEvents(body, response);
  }
  const { req: request } = response;
  // A body that was too large is not read to its end: it may go on for ever.
  const isCut = request.isPaused();
  if (isCut) response.once('finish', () => request.socket.destroySoon());
  response.writeHead(status, isCut ? { ...headers, Connection: 'close' } : headers).end(body);
}

/** A stream is open for hours; what it was asked with would be in memory for as long. */
function forgetHeaders(request: IncomingMessage): void {
  request.headers = {};
  request.rawHeaders = [];
}

function startEvents(body: EventBody, response: ServerResponse): void {
  if (response.destroyed) return; // gone before it was answered
  const leave = body.start(new ResponseSink(response));
  response.on('error', leave).on('close', leave);
}

/** One object for each of thousands of streams, and no closures. */
class ResponseSink implements Sink {
  constructor(private readonly response: ServerResponse) {}

  write(bytes: Uint8Array): void {
    if (!this.response.destroyed) this.response.write(bytes);
  }

  behind(): number {
    return this.response.writableLength;
  }

  end(): void {
    this.response.end();
  }

  drop(): void {
    this.response.destroy();
  }
}
