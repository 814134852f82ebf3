import type { EpochMs } from '../core/model/units';

export interface ServerClock {
  now(): EpochMs;
  /** Sets the clock by an answer's `Date` and `Age` at its arrival ([L4]). */
  setBy(response: Response): void;
}

/** The server's time carried by the monotonic clock; the device's until the server was heard ([L4]). */
export function serverClock(): ServerClock {
  let base = Date.now() - performance.now();
  return {
    now: () => Math.round(base + performance.now()),
    setBy: (response) => {
      const date = Date.parse(response.headers.get('Date') ?? '');
      const age = Number(response.headers.get('Age')) || 0;
      if (date > 0) base = date + age * 1000 - performance.now();
    },
  };
}

const MAX_DELAY_MS = 2 ** 31 - 1; // a longer setTimeout overflows and fires at once

/** Calls once at an instant of a clock. */
export function wakeBy(now: () => EpochMs): (instant: EpochMs, call: () => void) => () => void {
  return (instant, call) => {
    const timer = setTimeout(call, Math.min(Math.max(instant - now(), 0), MAX_DELAY_MS));
    return () => clearTimeout(timer);
  };
}
