import { type Logger, pino } from 'pino';

export type Log = Pick<Logger, 'info' | 'warn' | 'error' | 'fatal'>;

/**
 * One JSON object a line, on standard error; what is for the person who starts the program goes to standard output.
 * No line holds a body, a token, a query or a whole visitor address: callers pass what they name, never a request.
 * `LOG_LEVEL` is one of pino's (`info` where it is not set).
 */
export const log: Log = pino(
  {
    level: process.env.LOG_LEVEL ?? 'info',
    base: null,
    timestamp: pino.stdTimeFunctions.isoTime,
    serializers: { error: pino.stdSerializers.err },
  },
  pino.destination({ dest: 2, sync: true }),
);

/** Work that nobody waits for. Where it fails, that is logged under `name`, and nothing else is touched. */
export function runAside(name: string, work: Promise<unknown>): void {
  work.catch((error: unknown) => log.error({ work: name, error }, 'Work that nobody waits for has failed.'));
}

/** The part of an address that may be logged: its path, with ids and secrets left out. */
export function loggedPath(url: string | undefined): string {
  const [path = '/'] = (url ?? '/').split(/[?#]/, 1);
  return path
    .split('/')
    .map((part) => (part.length > 16 || /\d.*\d/.test(part) ? '*' : part))
    .join('/')
    .slice(0, 120);
}

/**
 * One policy for the whole process: a promise that nobody looked at is logged and the process goes on, since what it
 * was for is kept in the database; an error that was thrown outside of any request leaves unknown state behind, so it is
 * logged and the process ends for its supervisor to start it again.
 */
export function watchFailures(): void {
  process.on('unhandledRejection', (error) =>
    log.error({ error }, 'A promise failed that nobody looked at.'),
  );
  process.on('uncaughtException', (error) => {
    log.fatal({ error }, 'An error was thrown outside of any request. The process ends.');
    process.exit(1);
  });
}
