import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { hostname } from 'node:os';
import { join } from 'node:path';
import type { EpochMs } from '../core/model/units';
import { holdAlone } from './db/open';

/** Another process works on these data. */
export class LockedError extends Error {
  constructor(dir: string, holder: string) {
    super(
      `Sunny Porch is running on these data already (${holder}, in ${dir}). Stop it first, or give this one a folder of its own: PORCH_DATA=…`,
    );
  }
}

/**
 * Takes the folder for this process, and writes beside the lock who has it; gives what lets it go. The lock itself is the
 * system's: it ends with the process, whatever its number was and however it ended. Throws LockedError.
 */
export function takeLock(dir: string, at: EpochMs): () => void {
  mkdirSync(dir, { recursive: true });
  const note = join(dir, 'lock');
  const letGo = holdAlone(join(dir, 'lock.db'));
  if (letGo === null) throw new LockedError(dir, readHolder(note));
  writeFileSync(note, `process ${process.pid} on ${hostname()} since ${new Date(at).toISOString()}`);
  return () => {
    rmSync(note, { force: true });
    letGo();
  };
}

function readHolder(note: string): string {
  try {
    return readFileSync(note, 'utf8').slice(0, 200).trim() || UNKNOWN;
  } catch {
    return UNKNOWN; // it has only just begun
  }
}

const UNKNOWN = 'another process';
