import type { Env } from '../env';

const SAFE = new Set(['GET', 'HEAD', 'OPTIONS']);

/**
 * [threat 4] Whether a request may change something: every method but the safe ones needs an `Origin` that is the
 * application's own. Absent, `null`, another port or another host are not. Visitor endpoints under `/w/` have their
 * own list.
 */
export function passesOriginGate(
  request: { method: string; path: string; origin: string | null },
  env: Pick<Env, 'publicUrl'>,
  host: string | null,
): boolean {
  if (SAFE.has(request.method) || request.path.startsWith('/w/')) return true;
  return request.origin !== null && ownOrigins(env, host).includes(request.origin);
}

/** The application's own origins: PUBLIC_URL, and the loopback name the request came to. No other `Host` is believed. */
export function ownOrigins(env: Pick<Env, 'publicUrl'>, host: string | null): string[] {
  const own = env.publicUrl === null ? [] : [env.publicUrl];
  return host !== null && isLoopbackHost(host) ? [...own, `http://${host}`] : own;
}

/** The origin under which browsers reach us: PUBLIC_URL, else whatever this request came to. */
export function addressFor(env: Pick<Env, 'publicUrl'>, host: string | null): string {
  return env.publicUrl ?? `http://${host ?? '127.0.0.1'}`;
}

/** Whether a `Host` header names this computer. */
export function isLoopbackHost(host: string): boolean {
  return /^(127(\.\d{1,3}){3}|localhost|\[::1\])(:\d+)?$/i.test(host);
}

export const ORIGIN_ERROR =
  'This request did not come from Sunny Porch itself, so nothing was changed. If you use an address other than 127.0.0.1, set PUBLIC_URL to it.';
