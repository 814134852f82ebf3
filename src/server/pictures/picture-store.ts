import { log } from '../log';
import { mkdir, readFile, rename, rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { newId } from '../ids';
import type { DrawnPicture } from './draw-picture';

function fileOf(dataDir: string, hash: string): string {
  return join(dataDir, 'uploads', hash.slice(0, 2), `${hash}.webp`);
}

/** Writes a picture under its hash; written twice it is the same file. */
export async function storePicture(
  dataDir: string,
  { hash, bytes }: DrawnPicture,
  at: number,
): Promise<void> {
  const file = fileOf(dataDir, hash);
  await mkdir(join(file, '..'), { recursive: true });
  const half = `${file}.${newId(at)}`;
  await writeFile(half, bytes);
  await rename(half, file);
}

/** Removes a picture that no row names any more. */
export async function removePicture(dataDir: string, hash: string): Promise<void> {
  await rm(fileOf(dataDir, hash), { force: true });
}

/** The bytes of a picture; null: there is no such file. */
export async function readPicture(dataDir: string, hash: string): Promise<Buffer | null> {
  try {
    return await readFile(fileOf(dataDir, hash));
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== 'ENOENT')
      log.error({ hash, error }, 'A picture cannot be read.');
    return null;
  }
}
