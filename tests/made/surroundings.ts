import type { Surroundings } from '../../src/widget/surroundings';

/** Surroundings without a page: time stands still until a test moves it. */
export interface MadeSurroundings extends Pick<Surroundings, 'now' | 'wakeAt'> {
  /** Lets time pass, calling what was to be woken at its own instant, in order. */
  pass(ms: number): Promise<void>;
  /** Time passes and no timer comes due, as while a computer sleeps; they are as late afterwards. */
  sleep(ms: number): void;
  /** Instants that something waits for, in order. */
  awaited(): number[];
}

export function madeSurroundings(start = 0): MadeSurroundings {
  let time = start;
  let waiting: { readonly at: number; readonly call: () => void }[] = [];
  const next = (end: number) => waiting.filter(({ at }) => at <= end).sort((a, b) => a.at - b.at)[0];
  return {
    now: () => time,
    wakeAt: (at, call) => {
      const one = { at: Math.max(at, time), call };
      waiting = [...waiting, one];
      return () => {
        waiting = waiting.filter((other) => other !== one);
      };
    },
    pass: async (ms) => {
      const end = time + ms;
      await settled();
      for (let one = next(end); one !== undefined; one = next(end)) {
        waiting = waiting.filter((other) => other !== one);
        time = one.at;
        one.call();
        await settled();
      }
      time = end;
    },
    sleep: (ms) => {
      time += ms;
      waiting = waiting.map((one) => ({ ...one, at: one.at + ms }));
    },
    awaited: () => waiting.map(({ at }) => at).sort((a, b) => a - b),
  };
}

/** Everything that only waits for promises already settled has run. */
export function settled(): Promise<void> {
  return new Promise((resolve) => setImmediate(resolve));
}
