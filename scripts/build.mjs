// Builds the guest, the server and the application; what is built already for these sources is left as it is.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { stop } from './lib/say.mjs';
import { ensureAll } from './lib/setup.mjs';

const STAMP = 'dist/built-stamp';
const SOURCES = [
  'src',
  'scripts/build-widget.mjs',
  'scripts/build-server.mjs',
  'scripts/lib/short-names.json',
  'next.config.ts',
  'tsconfig.json',
  'package-lock.json',
];

export function build() {
  ensureAll();
  const wanted = digestOf(SOURCES);
  if (existsSync(STAMP) && existsSync('.next/BUILD_ID') && readFileSync(STAMP, 'utf8') === wanted) return;
  console.log('Building …');
  run(process.execPath, ['scripts/build-widget.mjs']);
  run(process.execPath, ['scripts/build-server.mjs']);
  run(process.execPath, ['node_modules/next/dist/bin/next', 'build']);
  writeFileSync(STAMP, wanted);
}

function run(command, args) {
  const env = { ...process.env, NODE_ENV: 'production', NEXT_TELEMETRY_DISABLED: '1' };
  const { status } = spawnSync(command, args, { stdio: ['ignore', 'inherit', 'inherit'], env });
  if (status !== 0) stop('The build failed; what was wrong stands above.');
}

function digestOf(places) {
  const hash = createHash('sha256').update(process.version);
  for (const place of places) for (const file of filesIn(place)) hash.update(file).update(readFileSync(file));
  return hash.digest('hex');
}

function filesIn(place) {
  if (statSync(place).isFile()) return [place];
  const inside = readdirSync(place)
    .sort()
    .flatMap((name) => filesIn(join(place, name)));
  return inside.filter((file) => !/\.test\.tsx?$/.test(file));
}

if (process.argv[1] === fileURLToPath(import.meta.url)) build();
