import type { Surroundings } from '../surroundings';

const RETRY_MS = [1000, 2000, 4000, 8000, 15000, 30000] as const;

/** Waits before the next try, the longer the more tries have failed: 1 s at first, 30 s at last. */
export function pauseFor(
  { now, wakeAt }: Pick<Surroundings, 'now' | 'wakeAt'>,
  failedTries: number,
): Promise<void> {
  const ms = RETRY_MS[Math.min(failedTries, RETRY_MS.length - 1)] ?? 30000;
  return new Promise((resolve) => wakeAt(now() + ms, resolve));
}
