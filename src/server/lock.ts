import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** Another process works on these data. */
export class LockedError extends Error {
  constructor(dir: string, pid: number) {
    super(
      `Sunny Porch is running on these data already (process ${pid}, in ${dir}). Stop it first, or give this one a folder of its own: PORCH_DATA=…`,
    );
  }
}

/** Takes the folder for this process; gives what lets it go. A lock whose process is gone is taken over. Throws LockedError. */
export function takeLock(dir: string): () => void {
  mkdirSync(dir, { recursive: true });
  const file = join(dir, 'lock');
  const holder = readPid(file);
  if (holder !== null && holder !== process.pid && isAlive(holder)) throw new LockedError(dir, holder);
  writeFileSync(file, String(process.pid));
  return () => rmSync(file, { force: true });
}

function readPid(file: string): number | null {
  try {
    const pid = Number(readFileSync(file, 'utf8'));
    return Number.isInteger(pid) && pid > 0 ? pid : null;
  } catch {
    return null; // nobody holds it
  }
}

function isAlive(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM';
  }
}
