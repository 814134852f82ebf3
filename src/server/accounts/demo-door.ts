import { findInstanceValue } from './persons.repository';
import { isLoopbackHost } from '../http/origin-gate';
import type { State } from '../state';

/**
 * [threat 6] The demo's one-click door stands only in a server that the demo has started, on data that it has filled, on
 * loopback, for a loopback name. Its data alone open nothing.
 */
export async function isDemoDoorOpen(
  state: Pick<State, 'db' | 'env'>,
  host: string | null,
): Promise<boolean> {
  const listensOnLoopback = state.env.host === '127.0.0.1' || state.env.host === 'localhost';
  return (
    state.env.demoSecret !== null &&
    listensOnLoopback &&
    host !== null &&
    isLoopbackHost(host) &&
    (await findInstanceValue(state.db, 'demo')) === 'yes'
  );
}

/** Whom the demo's door lets in, by mail. */
export const DEMO_PEOPLE = [
  { mail: 'ines@farrowisle.example', name: 'Inês', role: 'owner' },
  { mail: 'rui@farrowisle.example', name: 'Rui', role: 'responder' },
] as const;
