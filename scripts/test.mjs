// Every check there is; each counts. --only lint | unit | e2e runs a part. The last line is "N passed, N failed".
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { stop } from './lib/say.mjs';
import { ensureAll } from './lib/setup.mjs';

const only = process.argv.includes('--only') ? process.argv[process.argv.indexOf('--only') + 1] : null;
const rest = process.argv.includes('--') ? process.argv.slice(process.argv.indexOf('--') + 1) : [];
const does = (part) => only === null || only === part;
const RESULTS = 'test-results';
/** The whole suite runs in a zone that nobody's site is in: any use of the process's zone shows. */
const ENV = { ...process.env, TZ: 'Australia/Lord_Howe', NEXT_TELEMETRY_DISABLED: '1' };
const count = { passed: 0, failed: 0 };
const faults = [];

ensureAll({ withChromium: does('e2e') });
rmSync(RESULTS, { recursive: true, force: true });
mkdirSync(RESULTS, { recursive: true });
// Two cores: what needs no build is checked beside it, what goes by its types beside the unit tests; stories go alone.
const built = only === 'lint' ? Promise.resolve() : build();
await Promise.all([does('lint') && lint(built), does('unit') && built.then(unit), built]);
if (does('e2e')) e2e();
for (const fault of faults) console.log(`FAILED  ${fault}`);
console.log(`${count.passed} passed, ${count.failed} failed`);
process.exit(count.failed === 0 && count.passed > 0 ? 0 : 1);

async function build() {
  if ((await ended(start(['scripts/build.mjs'], { stdio: 'inherit' }))).status !== 0)
    stop('There is no build to test.');
}

async function lint(built) {
  const types = (project) => check(`types of ${project}`, 'node_modules/typescript/bin/tsc', ['-p', project]);
  const cruise = (name, env) =>
    check(
      name,
      'node_modules/dependency-cruiser/bin/dependency-cruise.mjs',
      ['src', '--config', '.dependency-cruiser.mjs', '--output-type', 'err'],
      env,
    );
  await check('prettier', 'node_modules/prettier/bin/prettier.cjs', ['--check', '--log-level=warn', '.']);
  await types('src/core/tsconfig.json');
  await types('src/widget/tsconfig.json');
  await cruise('imports', {});
  await cruise('imports of values', { DEPCRUISE: 'values' });
  await check('rules have tests', 'scripts/rules.mjs', []);
  await check('names are declared once, documents name what is there', 'scripts/names.mjs', []);
  await check('no more of an older style than is written down', 'scripts/style.mjs', []);
  await built; // it writes the types of routes
  await types('tsconfig.json');
  await check('eslint', 'node_modules/eslint/bin/eslint.js', ['.', '--max-warnings=0']);
}

async function check(name, program, args, env = {}) {
  const { status, said } = await ended(start([program, ...args], { env, stdio: 'pipe' }));
  if (status === 0) return tally(1, []);
  console.log(`\n${said}`);
  tally(0, [name]);
}

async function unit() {
  const report = join(RESULTS, 'unit.json');
  const reporters = ['--reporter=default', '--reporter=json', `--outputFile.json=${report}`];
  await ended(start(['node_modules/vitest/vitest.mjs', 'run', ...reporters, ...rest], { stdio: 'inherit' }));
  if (!existsSync(report)) return tally(0, ['vitest ended without a report']);
  const { testResults } = JSON.parse(readFileSync(report, 'utf8'));
  const tests = testResults.flatMap((file) => file.assertionResults);
  const broken = testResults.filter(
    (file) => file.status === 'failed' && file.assertionResults.every(({ status }) => status === 'passed'),
  );
  const failed = [
    ...tests.filter(({ status }) => status !== 'passed').map(({ fullName }) => fullName),
    ...broken.map(({ name }) => name),
  ];
  tally(tests.filter(({ status }) => status === 'passed').length, failed);
}

function e2e() {
  const report = join(RESULTS, 'e2e.json');
  spawnSync(
    process.execPath,
    ['node_modules/@playwright/test/cli.js', 'test', '--reporter=list,json', ...rest],
    { stdio: ['ignore', 'inherit', 'inherit'], env: { ...ENV, PLAYWRIGHT_JSON_OUTPUT_NAME: report } },
  );
  if (!existsSync(report)) return tally(0, ['playwright ended without a report']);
  const { suites, errors } = JSON.parse(readFileSync(report, 'utf8'));
  const specs = suites.flatMap(specsIn);
  sayTimes(suites);
  tally(specs.filter(({ ok }) => ok).length, [
    ...specs.filter(({ ok }) => !ok).map(({ title, file }) => `${file}: ${title}`),
    ...errors.map(({ message }) => message),
  ]);
}

/** How long each file of stories took, and the ten that took longest: where a split or a cut pays. */
function sayTimes(suites) {
  const msOf = (spec) =>
    spec.tests.flatMap(({ results }) => results).reduce((sum, { duration }) => sum + duration, 0);
  const seconds = (ms) => `${(ms / 1000).toFixed(1).padStart(7)} s`;
  for (const suite of suites)
    console.log(`${seconds(specsIn(suite).reduce((sum, spec) => sum + msOf(spec), 0))}  ${suite.file}`);
  console.log('The ten slowest stories:');
  const slowest = suites.flatMap(specsIn).sort((a, b) => msOf(b) - msOf(a));
  for (const spec of slowest.slice(0, 10)) console.log(`${seconds(msOf(spec))}  ${spec.file}: ${spec.title}`);
}

function specsIn(suite) {
  return [...suite.specs, ...(suite.suites ?? []).flatMap(specsIn)];
}

function start(args, { env = {}, stdio }) {
  return spawn(process.execPath, args, { stdio: ['ignore', stdio, stdio], env: { ...ENV, ...env } });
}

/** How a process ended, and what it said if that was not shown. */
function ended(child) {
  let said = '';
  for (const stream of [child.stdout, child.stderr])
    stream?.setEncoding('utf8').on('data', (part) => (said += part));
  return new Promise((resolve, reject) => {
    child.once('error', reject);
    child.once('close', (status) => resolve({ status, said }));
  });
}

function tally(passed, failed) {
  count.passed += passed;
  count.failed += failed.length;
  faults.push(...failed);
}
