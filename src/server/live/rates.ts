import { RateLimiterMemory } from 'rate-limiter-flexible';

/** What one visitor, address or account may do in a while. Counted in memory: a restart forgives. */
export interface Limits {
  /** Whether one more is allowed; counts it. */
  allows(kind: LimitKind, who: string): Promise<boolean>;
}

const KINDS = {
  /** Messages a visitor sends. */
  message: { points: 12, duration: 60 },
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
} as const;
export type LimitKind = keyof typeof KINDS;

export function makeLimits(): Limits {
  const limiters = Object.fromEntries(
    Object.entries(KINDS).map(([kind, options]) => [kind, new RateLimiterMemory(options)]),
  ) as Record<LimitKind, RateLimiterMemory>;
  return {
    allows: async (kind, who) => {
      try {
        await limiters[kind].consume(who);
        return true;
      } catch {
        return false; // how the limiter says that there were too many
      }
    },
  };
}
