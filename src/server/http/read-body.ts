import type { HttpRequest } from './exchange';
import { depthOf } from '../../core/json-depth';
import { type Result, fail, ok } from '../../core/result';

/**
 * Reads a JSON body, cut off while reading once it is too large, and its depth counted before anything walks it.
 * Errors name the whole (`''`).
 */
export async function readJson(
  request: HttpRequest,
  bytesMax: number,
  depthMax: number,
): Promise<Result<unknown>> {
  if (!(request.headers.get('Content-Type') ?? '').toLowerCase().startsWith('application/json'))
    return fail({ '': 'Send JSON, as Content-Type: application/json.' });
  const text = (await request.read(bytesMax))?.toString('utf8') ?? null;
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
