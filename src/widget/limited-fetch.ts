import { SECOND_MS } from '../core/model/units';

/** A server that accepts and says nothing for so long counts as one that is not there. */
const ANSWER_WITHIN_MS = 15 * SECOND_MS;

/** Every question of the widget, without cookies; it rejects where no answer has come in time. */
export function limitedFetch(address: string, options: RequestInit = {}): Promise<Response> {
  return fetch(address, {
    credentials: 'omit',
    signal: AbortSignal.timeout(ANSWER_WITHIN_MS),
    ...options,
  });
}
