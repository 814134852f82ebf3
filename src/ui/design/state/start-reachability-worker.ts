/** Starts the search for how near each moment is, beside the screen. */
export function startReachabilityWorker(): Worker {
  return new Worker(new URL('../../../workers/reachability.ts', import.meta.url), { type: 'module' });
}
