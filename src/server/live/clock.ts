import type { EpochMs } from '../../core/model/units';
import { state } from '../state';

/** The server's clock and timers in one place, so that tests can move them. */
export interface ServerTime {
  now(): EpochMs;
  /** Calls once at an instant, at once where it has passed. Gives the way to cancel. */
  wakeAt(instant: EpochMs, call: () => void): () => void;
  moveTo(instant: EpochMs): void;
}

const MAX_DELAY_MS = 2 ** 31 - 1;

/** A clock over the process's; moving it fires what has come due, in order. */
export function makeClock(): ServerTime {
  let shift = 0;
  const wakes = new Set<{ instant: EpochMs; call: () => void; timer: NodeJS.Timeout | null }>();
  const clockNow = (): EpochMs => Date.now() + shift;
  const arm = (wake: { instant: EpochMs; call: () => void; timer: NodeJS.Timeout | null }): void => {
    if (wake.timer !== null) clearTimeout(wake.timer);
    const fire = (): void => {
      if (clockNow() < wake.instant) return arm(wake);
      if (wakes.delete(wake)) wake.call();
    };
    wake.timer = setTimeout(fire, Math.min(Math.max(wake.instant - clockNow(), 0), MAX_DELAY_MS));
    wake.timer.unref();
  };
  return {
    now: clockNow,
    wakeAt: (instant, call) => {
      const wake = { instant, call, timer: null };
      wakes.add(wake);
      arm(wake);
      return () => {
        if (wakes.delete(wake) && wake.timer !== null) clearTimeout(wake.timer);
      };
    },
    moveTo: (instant) => {
      shift = instant - Date.now();
      for (const wake of [...wakes].sort((a, b) => a.instant - b.instant)) arm(wake);
    },
  };
}

/** The server's time. The one way to read it. */
export function now(): EpochMs {
  return state().clock.now();
}
