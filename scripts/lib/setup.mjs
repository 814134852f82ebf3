// Installs what is missing: packages, the compiler they need once, and Debian's Chromium for the tests. Twice is harmless.
import { execFileSync, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { copyFileSync, existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { homedir } from 'node:os';
import { dirname, join } from 'node:path';
import { SHELL, WHOLE, findBrowser } from './browser.mjs';
import { stop } from './say.mjs';

/** Everything that is missing: packages as package-lock.json names them, and what of Debian they, and the tests, need. */
export function ensureAll({ withChromium = false } = {}) {
  const stamp = 'node_modules/.porch-stamp';
  const wanted = createHash('sha256')
    .update(readFileSync('package-lock.json'))
    .update(process.version + process.arch)
    .digest('hex');
  const hasPackages = existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted && isSqliteUsable();
  const mustCompile = !hasPackages && !existsSync(cachedSqlite());
  ensureDebian([
    ...(mustCompile ? missingCompiler() : []),
    ...(withChromium && findBrowser() === null ? [SHELL.package] : []),
  ]);
  if (withChromium && findBrowser() === WHOLE.path) tryDebian(SHELL.package);
  if (hasPackages) return;
  console.log('Installing packages …');
  run('npm', ['ci', '--ignore-scripts', '--no-audit', '--no-fund', '--loglevel=error']);
  ensureSqlite();
  writeFileSync(stamp, wanted);
}

function missingCompiler() {
  return ['python3', 'make', 'g++'].filter((name) => spawnSync(name, ['--version']).status !== 0);
}

/** Where the compiled part of better-sqlite3 is kept for this Node, so that later clones install in seconds. */
function cachedSqlite() {
  const { version } = JSON.parse(readFileSync('package-lock.json', 'utf8')).packages[
    'node_modules/better-sqlite3'
  ];
  const cache = join(process.env.XDG_CACHE_HOME ?? join(homedir(), '.cache'), 'sunny-porch');
  return join(
    cache,
    `better-sqlite3-${version}-${process.versions.modules}-${process.platform}-${process.arch}.node`,
  );
}

function ensureSqlite() {
  const built = 'node_modules/better-sqlite3/build/Release/better_sqlite3.node';
  const cached = cachedSqlite();
  if (existsSync(cached)) {
    mkdirSync(dirname(built), { recursive: true });
    copyFileSync(cached, built);
    if (isSqliteUsable()) return;
    rmSync(cached); // damaged: it is compiled anew below
    ensureDebian(missingCompiler());
  }
  const prefix = dirname(dirname(process.execPath));
  if (!existsSync(join(prefix, 'include/node/node.h')))
    stop(
      `Node's own headers are missing at ${prefix}/include/node: install Node with its headers, then try again.`,
    );
  console.log('Compiling SQLite for this Node, once: about two minutes …');
  run('npm', ['rebuild', 'better-sqlite3', '--loglevel=error'], {
    npm_config_build_from_source: 'true',
    npm_config_nodedir: prefix,
    JOBS: 'max',
  });
  if (!isSqliteUsable())
    stop('SQLite was compiled but cannot be loaded by this Node. Remove node_modules and try again.');
  mkdirSync(dirname(cached), { recursive: true });
  copyFileSync(built, cached);
}

/** Asked in a process of its own: a broken binary can take the process with it. */
function isSqliteUsable() {
  const probe = `new (require('better-sqlite3'))(':memory:').prepare('select 1').get()`;
  return spawnSync(process.execPath, ['-e', probe], { stdio: 'ignore' }).status === 0;
}

/** One update, one install, for all that is missing at once; without root the one command is said. */
function ensureDebian(missing) {
  if (missing.length === 0) return;
  const command = `apt-get update && apt-get install -y --no-install-recommends ${missing.join(' ')}`;
  if (process.getuid?.() !== 0 || spawnSync('apt-get', ['--version']).status !== 0)
    stop(
      `Missing: ${missing.join(', ')}. Install with this one command, then try again:\n  sudo sh -c '${command}'`,
    );
  console.log(`Installing from Debian: ${missing.join(', ')} …`);
  run('sh', ['-c', `(${command}) > /dev/null`], { DEBIAN_FRONTEND: 'noninteractive' });
}

/** What makes the tests faster and is not needed: where it cannot be had, nothing is said. */
function tryDebian(name) {
  if (process.getuid?.() !== 0) return;
  const install = `apt-get install -y --no-install-recommends ${name}`;
  spawnSync('sh', ['-c', `${install} || (apt-get update && ${install})`], {
    stdio: 'ignore',
    timeout: 120_000,
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
  });
}

function run(command, args, env = {}) {
  try {
    execFileSync(command, args, { stdio: ['ignore', 'inherit', 'inherit'], env: { ...process.env, ...env } });
  } catch {
    stop(`"${command} ${args.join(' ')}" failed; what it said stands above. Nothing else was done.`);
  }
}
