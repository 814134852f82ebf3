import type { HttpAnswer, HttpRequest } from '../http/exchange';
import { isListedOrigin } from '../../core/pages/origins';
import type { Env } from '../env';
import { ownOrigins } from '../http/origin-gate';

/** Whether a page may talk for a site, and the headers that say so. */
export interface Allowed {
  readonly isAllowed: boolean;
  readonly headers: Readonly<Record<string, string>>;
}

const BASE = { Vary: 'Origin' } as const;

/**
 * [threat 17] A site's pages are those of its listed origins; the application's own pages count too. Without an
 * `Origin` only reading is allowed (a browser leaves it out on its own site's GET). `null` never is.
 */
export function corsFor(
  request: HttpRequest,
  domains: readonly string[],
  env: Pick<Env, 'publicUrl'>,
): Allowed {
  const origin = request.headers.get('Origin');
  if (origin === null) return { isAllowed: request.method === 'GET', headers: BASE };
  const isListed =
    isListedOrigin(origin, domains) || ownOrigins(env, request.headers.get('Host')).includes(origin);
  return isListed
    ? { isAllowed: true, headers: { ...BASE, 'Access-Control-Allow-Origin': origin } }
    : { isAllowed: false, headers: BASE };
}

/** The answer to a browser that asks first; a foreign page gets no allow header. */
export function preflight({ isAllowed, headers }: Allowed): HttpAnswer {
  const more: Record<string, string> = isAllowed
    ? {
        'Access-Control-Allow-Methods': 'GET, POST',
        'Access-Control-Allow-Headers': 'Authorization, Content-Type, Last-Event-ID',
        'Access-Control-Max-Age': '7200',
      }
    : {};
  return { status: 204, headers: { ...headers, ...more }, body: null };
}
