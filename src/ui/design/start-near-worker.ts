/** Starts the search for how near each moment is, beside the screen. */
export function startNearWorker(): Worker {
  return new Worker(new URL('../../workers/near.ts', import.meta.url), { type: 'module' });
}
