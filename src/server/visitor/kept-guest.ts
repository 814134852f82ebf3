import {
  copyFileSync,
  existsSync,
  mkdirSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
  utimesSync,
} from 'node:fs';
import { join } from 'node:path';
import type { EpochMs } from '../../core/model/units';

/** How many builds of a part of the guest are kept: pages that were opened before an upgrade still ask for theirs ([L9]). */
const KEPT_BUILDS = 10;
const PARTS = ['panel', 'watch'] as const;
/** Names of parts that are named by their content. */
export const PART_NAME = /^(panel|watch)-[0-9a-f]{16}\.js$/;

/** Where they are kept: with the data, so that a new program, in a new folder, finds them. */
export function keptGuestDir(dataDir: string): string {
  return join(dataDir, 'guest');
}

/** Keeps the parts that this program was built with beside those of the programs before it; what is older than the last ten goes. */
export function keepGuest(widgetDir: string, dataDir: string, at: EpochMs): void {
  const dir = keptGuestDir(dataDir);
  mkdirSync(dir, { recursive: true });
  const built = readdirSync(widgetDir).filter((name) => PART_NAME.test(name.replace(/\.(gz|br)$/, '')));
  for (const name of built) {
    const file = join(dir, name);
    if (!existsSync(file)) {
      copyFileSync(join(widgetDir, name), `${file}.part`); // whole or not at all: it is served for a long time
      renameSync(`${file}.part`, file);
    }
    utimesSync(file, at / 1000, at / 1000);
  }
  for (const part of PARTS) for (const name of namesTooOld(dir, part)) rmSync(join(dir, name));
}

/** Files of the builds of a part beyond those used last. */
function namesTooOld(dir: string, part: string): readonly string[] {
  const names = readdirSync(dir).filter(
    (name) => name.startsWith(`${part}-`) && PART_NAME.test(partOf(name)),
  );
  const builds = [...new Set(names.map(partOf))]
    .map((build) => ({ build, usedMs: usedAt(dir, names, build) }))
    .sort((a, b) => b.usedMs - a.usedMs);
  const old = new Set(builds.slice(KEPT_BUILDS).map(({ build }) => build));
  return names.filter((name) => old.has(partOf(name)));
}

function partOf(name: string): string {
  return name.replace(/\.(gz|br)$/, '');
}

function usedAt(dir: string, names: readonly string[], build: string): EpochMs {
  return Math.max(
    ...names.filter((name) => partOf(name) === build).map((name) => statSync(join(dir, name)).mtimeMs),
  );
}
