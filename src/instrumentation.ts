/** Runs once when the server starts; harmless where the entry has started everything already. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const [{ readEnv }, { startState }] = await Promise.all([
    import('./server/env'),
    import('./server/start-state'),
  ]);
  await startState(readEnv());
}
