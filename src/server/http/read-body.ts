import { depthOf } from '../../core/json-depth';
import { type Result, fail, ok } from '../../core/result';

/**
 * Reads a JSON body, cut off while reading once it is too large, and its depth counted before anything walks it.
 * Errors name the whole (`''`).
 */
export async function readJson(
  request: Request,
  bytesMax: number,
  depthMax: number,
): Promise<Result<unknown>> {
  if (!(request.headers.get('Content-Type') ?? '').toLowerCase().startsWith('application/json'))
    return fail({ '': 'Send JSON, as Content-Type: application/json.' });
  const text = await readText(request, bytesMax);
  if (text === null)
    return fail({
      '': `That is more than ${Math.floor(bytesMax / 1024)} KB. Nothing was stored; send less.`,
    });
  if (depthOf(text) > depthMax)
    return fail({ '': `That is nested more than ${depthMax} levels deep. Nothing was stored.` });
  try {
    return ok(JSON.parse(text) as unknown);
  } catch {
    return fail({ '': 'That is not valid JSON. Nothing was stored.' }); // told to whoever sent it
  }
}

/** The body as text; null where it is larger than allowed. */
async function readText(request: Request, bytesMax: number): Promise<string | null> {
  return (await readBytes(request, bytesMax))?.toString('utf8') ?? null;
}

/** The body as it came; null where it is larger than allowed: then reading stopped there. */
export async function readBytes(request: Request, bytesMax: number): Promise<Buffer | null> {
  if (request.body === null) return Buffer.alloc(0);
  const reader = request.body.getReader();
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
