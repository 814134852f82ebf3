import type { Instrumentation } from 'next';

/** Runs once when the server starts; harmless where the entry has started everything already. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const [{ readEnv }, { startState }] = await Promise.all([
    import('./server/env'),
    import('./server/start-state'),
  ]);
  await startState(readEnv());
}

/** A page that could not be drawn is logged; Next keeps it to itself. */
export const onRequestError: Instrumentation.onRequestError = async (error, { path }) => {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { log, loggedPath } = await import('./server/log');
  log.error({ path: loggedPath(path), error }, 'A page could not be drawn.');
};
