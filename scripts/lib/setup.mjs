// Installs what is missing: packages, the compiler they need once, and Debian's Chromium for the tests. Twice is harmless.
import { execFileSync, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { copyFileSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { homedir } from 'node:os';
import { dirname, join } from 'node:path';
import { stop } from './say.mjs';

const CHROMIUM = '/usr/bin/chromium';

/** Packages as package-lock.json names them, for the Node that runs. */
export function ensurePackages() {
  const stamp = 'node_modules/.porch-stamp';
  const wanted = createHash('sha256')
    .update(readFileSync('package-lock.json'))
    .update(process.version + process.arch)
    .digest('hex');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted && isSqliteUsable()) return;
  console.log('Installing packages …');
  run('npm', ['ci', '--ignore-scripts', '--no-audit', '--no-fund', '--loglevel=error']);
  ensureSqlite();
  writeFileSync(stamp, wanted);
}

/** The compiled part of better-sqlite3 is kept in a user cache, so that later clones install in seconds. */
function ensureSqlite() {
  const { version } = JSON.parse(readFileSync('node_modules/better-sqlite3/package.json', 'utf8'));
  const built = 'node_modules/better-sqlite3/build/Release/better_sqlite3.node';
  const cache = join(process.env.XDG_CACHE_HOME ?? join(homedir(), '.cache'), 'sunny-porch');
  const cached = join(cache, `better-sqlite3-${version}-${process.versions.modules}-${process.platform}-${process.arch}.node`);
  if (existsSync(cached)) {
    mkdirSync(dirname(built), { recursive: true });
    copyFileSync(cached, built);
    if (isSqliteUsable()) return;
  }
  ensureDebian('a compiler', ['python3', 'make', 'g++'], (name) => spawnSync(name, ['--version']).status === 0);
  const prefix = dirname(dirname(process.execPath));
  if (!existsSync(join(prefix, 'include/node/node.h')))
    stop(`Node's own headers are missing at ${prefix}/include/node: install Node with its headers, then try again.`);
  console.log('Compiling SQLite for this Node, once: about two minutes …');
  run('npm', ['rebuild', 'better-sqlite3', '--loglevel=error'], {
    npm_config_build_from_source: 'true',
    npm_config_nodedir: prefix,
  });
  if (!isSqliteUsable()) stop('SQLite was compiled but cannot be loaded by this Node. Remove node_modules and try again.');
  mkdirSync(cache, { recursive: true });
  copyFileSync(built, cached);
}

/** Asked in a process of its own: a broken binary can take the process with it. */
function isSqliteUsable() {
  const probe = `new (require('better-sqlite3'))(':memory:').prepare('select 1').get()`;
  return spawnSync(process.execPath, ['-e', probe], { stdio: 'ignore' }).status === 0;
}

/** Debian's Chromium; gives its path. */
export function ensureChromium() {
  ensureDebian('Chromium', ['chromium'], () => existsSync(CHROMIUM));
  return CHROMIUM;
}

function ensureDebian(what, packages, isThere) {
  const missing = packages.filter((name) => !isThere(name));
  if (missing.length === 0) return;
  const command = `apt-get update && apt-get install -y --no-install-recommends ${missing.join(' ')}`;
  if (process.getuid?.() !== 0 || spawnSync('apt-get', ['--version']).status !== 0)
    stop(`${what} is needed and missing. Install it with this one command, then try again:\n  sudo sh -c '${command}'`);
  console.log(`Installing ${what} from Debian …`);
  run('sh', ['-c', `(${command}) > /dev/null`], { DEBIAN_FRONTEND: 'noninteractive' });
}

function run(command, args, env = {}) {
  try {
    execFileSync(command, args, { stdio: ['ignore', 'inherit', 'inherit'], env: { ...process.env, ...env } });
  } catch {
    stop(`"${command} ${args.join(' ')}" failed; what it said stands above. Nothing else was done.`);
  }
}
