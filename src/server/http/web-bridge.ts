import { type EventBody, type HttpAnswer, type HttpRequest, isEventBody } from './exchange';

/** A web `Request`, as our endpoints read it. */
export function fromWeb(request: Request): HttpRequest {
  const { method, url, headers } = request;
  return { method, url, headers, read: (bytesMax) => readBody(request, bytesMax) };
}

async function readBody({ body }: Request, bytesMax: number): Promise<Buffer | null> {
  if (body === null) return Buffer.alloc(0);
  const reader = body.getReader();
  const parts: Uint8Array[] = [];
  let bytes = 0;
  for (let part = await reader.read(); !part.done; part = await reader.read()) {
    bytes += part.value.byteLength;
    if (bytes > bytesMax) {
      await reader.cancel().catch(() => undefined); // the rest is not wanted
      return null;
    }
    parts.push(part.value);
  }
  return Buffer.concat(parts);
}

/** An answer as a web `Response`. `gone` fires when the other side has gone. */
export function toWeb({ status, headers, body }: HttpAnswer, gone?: AbortSignal): Response {
  if (isEventBody(body)) return new Response(eventsOf(body, gone), { status, headers });
  return new Response(typeof body === 'string' || body === null ? body : new Uint8Array(body), {
    status,
    headers,
  });
}

const READ_AHEAD_BYTES = 16 * 1024;

function eventsOf(body: EventBody, gone: AbortSignal | undefined): ReadableStream<Uint8Array> {
  let leave = (): void => undefined;
  return new ReadableStream<Uint8Array>(
    {
      start: (controller) => {
        leave = body.start({
          write: (bytes) => controller.enqueue(bytes),
          behind: () => READ_AHEAD_BYTES - (controller.desiredSize ?? 0),
          end: () => controller.close(),
          drop: () => controller.error(new Error('The other side reads too slowly.')),
        });
        gone?.addEventListener('abort', leave);
      },
      cancel: () => leave(),
    },
    { highWaterMark: READ_AHEAD_BYTES, size: (chunk) => chunk.byteLength },
  );
}
