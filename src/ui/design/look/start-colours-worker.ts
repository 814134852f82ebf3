/** Starts the search for the main colours of a picture, beside the screen. */
export function startColoursWorker(): Worker {
  return new Worker(new URL('../../../workers/colours.ts', import.meta.url), { type: 'module' });
}
