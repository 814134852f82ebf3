import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';
import { SECOND_MS } from '../../core/model/units';
import { proxyOf } from '../http/address';

/**
 * What one visitor, address or account may do in a while. Counted in memory: a restart forgives. Whoever comes by a proxy
 * that is not believed counts by the address it names, and all who come by it together have ten times as much.
 */
export interface Limits {
  /** Counts one more. Gives 0 where it is allowed; else after how many seconds it will be. */
  take(kind: LimitKind, who: string): Promise<number>;
}

/** A time to wait, in words: `40 seconds`, `12 minutes`. */
export function waitWords(seconds: number): string {
  const minutes = Math.ceil(seconds / 60);
  if (seconds <= 90) return seconds === 1 ? '1 second' : `${seconds} seconds`;
  return `${minutes} minutes`;
}

const KINDS = {
  /** Messages a visitor sends. */
  message: { points: 12, duration: 60 },
  /** Pages and moments a visitor's browser tells of. */
  here: { points: 60, duration: 60 },
  /** Notes a visitor leaves. */
  note: { points: 3, duration: 3600 },
  noteFromAddress: { points: 30, duration: 3600 },
  /** Visitors that begin to write from one address. */
  newVisitor: { points: 60, duration: 3600 },
  /** Streams opened, per address and minute. */
  stream: { points: 120, duration: 60 },
  /** Pages of a site that are looked at from here. */
  pageSource: { points: 240, duration: 60 },
  signIn: { points: 10, duration: 900 },
  signInFromAddress: { points: 40, duration: 900 },
  setup: { points: 20, duration: 900 },
  /** Tries to join a site by a link, from one address. */
  join: { points: 20, duration: 900 },
} as const;
export type LimitKind = keyof typeof KINDS;

/** So many times as much have all together who come by one proxy that is not believed. */
export const BY_PROXY = 10;

function limitersOf(times: number): Record<LimitKind, RateLimiterMemory> {
  return Object.fromEntries(
    Object.entries(KINDS).map(([kind, { points, duration }]) => [
      kind,
      new RateLimiterMemory({ points: points * times, duration }),
    ]),
  ) as Record<LimitKind, RateLimiterMemory>;
}

export function makeLimits(): Limits {
  const limiters = limitersOf(1);
  const wide = limitersOf(BY_PROXY);
  return {
    take: async (kind, who) => {
      const proxy = proxyOf(who);
      try {
        await limiters[kind].consume(who);
        if (proxy !== null) await wide[kind].consume(proxy);
        return 0;
      } catch (refusal) {
        if (!(refusal instanceof RateLimiterRes)) throw refusal;
        return Math.max(1, Math.ceil(refusal.msBeforeNext / SECOND_MS));
      }
    },
  };
}
