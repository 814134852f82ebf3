import { type Db, type Tx, whileOpen } from './open';

/** The database could not be written: full, locked or gone. Said to the sender, who keeps what was written and tries again. */
export class UnwritableError extends Error {
  constructor(reason: unknown) {
    super(`The database could not be written: ${String(reason)}`);
  }
}

/**
 * Runs a use case's writes as one: all or none. Nothing but the database is awaited inside. Throws UnwritableError
 * where SQLite says that the file cannot be written now.
 */
export async function inTransaction<T>(db: Db, work: (tx: Tx) => Promise<T>): Promise<T> {
  try {
    return await db.transaction().execute((tx) => whileOpen(db, tx, () => work(tx)));
  } catch (error) {
    throw isUnavailable(error) ? new UnwritableError(error) : error;
  }
}

/** Whether the database said that it cannot be read or written now; later it may be. */
export function isUnavailable(error: unknown): boolean {
  if (error instanceof UnwritableError) return true;
  const code = (error as { code?: unknown } | null)?.code;
  return typeof code === 'string' && /^SQLITE_(FULL|BUSY|READONLY|IOERR|CANTOPEN|LOCKED)/.test(code);
}
