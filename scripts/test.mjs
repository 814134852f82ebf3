// Every check there is, one after the other; each counts. --only lint | unit | e2e runs a part. The last line is "N passed, N failed".
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { build } from './build.mjs';
import { ensureAll } from './lib/setup.mjs';

const only = process.argv.includes('--only') ? process.argv[process.argv.indexOf('--only') + 1] : null;
const rest = process.argv.includes('--') ? process.argv.slice(process.argv.indexOf('--') + 1) : [];
const does = (part) => only === null || only === part;
const RESULTS = 'test-results';
const count = { passed: 0, failed: 0 };
const faults = [];

ensureAll({ withChromium: does('e2e') });
rmSync(RESULTS, { recursive: true, force: true });
mkdirSync(RESULTS, { recursive: true });
if (only !== 'lint') build();
if (does('lint')) lint();
if (does('unit')) unit();
if (does('e2e')) e2e();
for (const fault of faults) console.log(`FAILED  ${fault}`);
console.log(`${count.passed} passed, ${count.failed} failed`);
process.exit(count.failed === 0 && count.passed > 0 ? 0 : 1);

function lint() {
  check('prettier', 'node_modules/prettier/bin/prettier.cjs', ['--check', '--log-level=warn', '.']);
  for (const project of ['tsconfig.json', 'src/core/tsconfig.json', 'src/widget/tsconfig.json'])
    check(`types of ${project}`, 'node_modules/typescript/bin/tsc', ['-p', project]);
  check('eslint', 'node_modules/eslint/bin/eslint.js', ['.', '--max-warnings=0']);
  const cruiser = ['src', '--config', '.dependency-cruiser.mjs', '--output-type', 'err'];
  check('imports', 'node_modules/dependency-cruiser/bin/dependency-cruise.mjs', cruiser);
  check('imports of values', 'node_modules/dependency-cruiser/bin/dependency-cruise.mjs', cruiser, {
    DEPCRUISE: 'values',
  });
  check('rules have tests', 'scripts/rules.mjs', []);
  check('names are declared once, documents name what is there', 'scripts/names.mjs', []);
  check('no more of an older style than is written down', 'scripts/style.mjs', []);
}

function check(name, program, args, env = {}) {
  const { status, stdout, stderr } = node([program, ...args], { env, stdio: 'pipe' });
  if (status === 0) return tally(1, []);
  console.log(`\n${stdout}${stderr}`);
  tally(0, [name]);
}

function unit() {
  const report = join(RESULTS, 'unit.json');
  node(
    [
      'node_modules/vitest/vitest.mjs',
      'run',
      '--reporter=default',
      '--reporter=json',
      `--outputFile.json=${report}`,
      ...rest,
    ],
    {},
  );
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
  node(['node_modules/@playwright/test/cli.js', 'test', '--reporter=list,json', ...rest], {
    env: { PLAYWRIGHT_JSON_OUTPUT_NAME: report },
  });
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

/** The whole suite runs in a zone that nobody's site is in: any use of the process's zone shows. */
function node(args, { env = {}, stdio = 'inherit' }) {
  const spawned = spawnSync(process.execPath, args, {
    stdio: ['ignore', stdio, stdio],
    encoding: 'utf8',
    maxBuffer: 64 * 1024 * 1024,
    env: { ...process.env, TZ: 'Australia/Lord_Howe', NEXT_TELEMETRY_DISABLED: '1', ...env },
  });
  return spawned;
}

function tally(passed, failed) {
  count.passed += passed;
  count.failed += failed.length;
  faults.push(...failed);
}
