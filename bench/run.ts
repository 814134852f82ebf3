import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';
import autocannon from 'autocannon';
import Database from 'better-sqlite3';
import { readLogLine } from '../src/formats/traffic/access-log';
import { hashOf, newSecret } from '../src/server/ids';
import { benchDecide, benchHours, benchPages, benchRule, perSecond } from './engine';
import { type Running, fill, start, stop } from './bench-server';
import { typeOnStage } from './stage';
import { barePairs, roundTrips } from './round-trip';

// Ratios hold from machine to machine, figures do not: each line stands against a reference measured in the same run.

const say = (line: string) => console.log(line);
const percentile = (times: readonly number[], share: number): number =>
  [...times].sort((a, b) => a - b)[Math.floor((times.length - 1) * share)] ?? 0;

/** The access-log scanner against an expression that takes the same parts out of the same lines. */
function benchLog(): void {
  const lines = Array.from(
    { length: 500 },
    (_, index) =>
      `203.0.113.${index % 250} - - [25/Nov/2026:22:${String(index % 60).padStart(2, '0')}:07 -0100] "GET /sky-log/${index}?utm_source=letter HTTP/1.1" 200 5120 "https://farrowisle.example/" "Mozilla/5.0 (X11; Linux x86_64) Gecko/20100101 Firefox/140.0"`,
  );
  const pattern =
    /^(\S+) \S+ \S+ \[(\d\d)\/(\w{3})\/(\d{4}):(\d\d):(\d\d):(\d\d) ([+-])(\d\d)(\d\d)\] "(\S+) (.*?)(?: \S+)?" (\d{3}) \S+ "((?:[^"\\]|\\.)*)" "((?:[^"\\]|\\.)*)"$/;
  const months = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
  const byExpression = (line: string) => {
    const [
      ,
      address,
      date,
      month,
      year,
      hour,
      minute,
      second,
      sign,
      zoneHour,
      zoneMinute,
      method,
      target,
      status,
      referrer,
      agent,
    ] = pattern.exec(line) ?? [];
    const zone = (sign === '-' ? -1 : 1) * (Number(zoneHour) * 60 + Number(zoneMinute)) * 60_000;
    const at =
      Date.UTC(
        Number(year),
        months.indexOf(month ?? ''),
        Number(date),
        Number(hour),
        Number(minute),
        Number(second),
      ) - zone;
    return { address, at, method, target, status: Number(status), referrer, agent };
  };
  let turn = 0;
  const next = () => lines[turn++ % lines.length] ?? '';
  const rounds = Array.from(
    { length: 3 },
    () => [perSecond(() => readLogLine(next())), perSecond(() => byExpression(next()))] as const,
  );
  const ratio = percentile(
    rounds.map(([ours, theirs]) => ours / theirs),
    0.5,
  );
  say(
    `access-log lines            ${Math.round((rounds[0]?.[0] ?? 0) / 1000)} k/s, ${ratio.toFixed(2)} × an expression doing the same (goal 2)`,
  );
}

async function requestsPerSecond(url: string, headers: Record<string, string>): Promise<number> {
  return (await autocannon({ url, connections: 50, duration: 4, headers })).requests.average;
}

async function benchFile(house: Running, siteKey: string, dataDir: string): Promise<void> {
  const db = new Database(join(dataDir, 'sunny-porch.db'), { readonly: true });
  const file = db
    .prepare<[], { name: string; body: Buffer }>(
      `SELECT name, body FROM published_file WHERE name LIKE '%.en.json'`,
    )
    .get();
  db.close();
  if (file === undefined) throw new Error('Expected a published design file.');
  const bare = await start(
    'dist/bench/bare-server.mjs',
    {},
    {
      body: file.body.toString('base64'),
      headers: { 'Content-Type': 'application/json', 'Content-Encoding': 'gzip' },
    },
  );
  const ours = { url: `${house.origin}/w/${siteKey}/${file.name}`, headers: { 'accept-encoding': 'gzip' } };
  const rounds: number[] = [];
  for (let round = 0; round < 3; round++) {
    const [a, b] = [
      await requestsPerSecond(ours.url, ours.headers),
      await requestsPerSecond(bare.origin, {}),
    ];
    rounds.push(a / b);
    say(
      `published design file       ${Math.round(a)}/s against ${Math.round(b)}/s of a bare server: ${(a / b).toFixed(2)}`,
    );
  }
  say(`                            median ${percentile(rounds, 0.5).toFixed(2)} (goal 0.8)`);
  stop(bare);
}

async function benchRoundTrips(house: Running, siteKey: string, cookie: string): Promise<void> {
  const bare = await start('dist/bench/bare-server.mjs', {}, { body: '', headers: {} });
  for (const [conversations, turns] of [
    [1, 8],
    [50, 6],
    [200, 4],
  ] as const) {
    const ours = await roundTrips({ origin: house.origin, siteKey, cookie }, conversations, turns);
    const least = await barePairs(bare.origin, conversations, turns);
    const part = (share: number) =>
      `${percentile(ours, share).toFixed(1)} ms (${(percentile(ours, share) / percentile(least, share)).toFixed(1)} ×)`;
    say(
      `message round trip at ${String(conversations).padEnd(5)} p50 ${part(0.5)}, p99 ${part(0.99)} of two bare POSTs`,
    );
  }
  stop(bare);
}

function benchBytes(dataDir: string): void {
  const { panel, watch } = JSON.parse(readFileSync('dist/widget/built.json', 'utf8')) as {
    panel: string;
    watch: string;
  };
  const db = new Database(join(dataDir, 'sunny-porch.db'), { readonly: true });
  const files = db
    .prepare<[], { name: string; kind: string; body: Buffer }>('SELECT name, kind, body FROM published_file')
    .all();
  db.close();
  const largest = (kind: string) =>
    Math.max(
      ...files
        .filter((file) => file.kind === kind)
        .map((file) => gzipSync(gunzipSync(file.body), { level: 9 }).length),
    );
  for (const [name, bytes, budget] of [
    ['porch.js', readFileSync('dist/widget/porch.js.gz').length, 12 * 1024],
    ['watch', readFileSync(join('dist/widget', `${watch}.gz`)).length, 7 * 1024],
    ['panel', readFileSync(join('dist/widget', `${panel}.gz`)).length, 28 * 1024],
    ['largest design file', largest('design'), 6 * 1024],
    ['facts file', largest('facts'), 1536],
  ] as const)
    say(`bytes of ${name.padEnd(19)} ${bytes} gzip, ${((100 * bytes) / budget).toFixed(0)} % of ${budget}`);
}

async function benchStart(dataDir: string): Promise<void> {
  const firstAnswer = async (begin: () => Promise<Running>, path: string): Promise<number> => {
    const began = performance.now();
    const running = await begin();
    await (await fetch(running.origin + path)).text();
    const took = performance.now() - began;
    stop(running);
    return took;
  };
  const ours = await firstAnswer(
    () => start('dist/server/entry.mjs', { PORCH_DATA: dataDir }),
    '/w/porch.js',
  );
  const bare = await firstAnswer(
    () => start('dist/bench/bare-server.mjs', {}, { body: '', headers: {} }),
    '/',
  );
  say(
    `start to first answer       ${ours.toFixed(0)} ms, ${(ours / bare).toFixed(1)} × a bare server (${bare.toFixed(0)} ms)`,
  );
}

/** A session of the demo's owner, written as signing in writes it. */
function signIn(dataDir: string): string {
  const db = new Database(join(dataDir, 'sunny-porch.db'));
  const secret = newSecret();
  const now = Date.now();
  db.prepare(
    `INSERT INTO session (token_hash, person_id, created_ms, seen_ms, expires_ms, agent) SELECT ?, id, ?, ?, ?, 'bench' FROM person WHERE name LIKE 'In%'`,
  ).run(hashOf(secret), now, now, now + 3_600_000);
  db.close();
  return `porch=${secret}`;
}

/** The stage follows what is typed, the words of the path in the same frame, the pictures soon after. */
async function benchStage(house: Running, siteKey: string, cookie: string): Promise<void> {
  const typed = await typeOnStage(house.origin, siteKey, cookie);
  const p95 = (part: 'stage' | 'words' | 'picture') => {
    const times = typed.map((one) => one[part]);
    return `p50 ${percentile(times, 0.5).toFixed(0)}, p95 ${percentile(times, 0.95).toFixed(0)}`;
  };
  const same = typed.filter(({ isSameFrame }) => isSameFrame).length;
  say(`stage follows a letter in   ${p95('stage')} ms (goal 50)`);
  say(`words of the path           ${p95('words')} ms, in the same frame ${same} of ${typed.length} times`);
  say(`thumbnail                   ${p95('picture')} ms (goal 300)`);
}

/** `npm run bench -- stage` measures the stage alone. */
const isStageOnly = process.argv[2] === 'stage';
if (!isStageOnly) {
  benchDecide();
  await benchRule();
  benchHours();
  benchPages();
  benchLog();
}
const { dataDir, siteKey } = fill();
if (!isStageOnly) {
  benchBytes(dataDir);
  await benchStart(dataDir);
}
const cookie = signIn(dataDir);
const house = await start('dist/server/entry.mjs', { PORCH_DATA: dataDir, TRUSTED_PROXIES: '127.0.0.1' });
if (!isStageOnly) await benchFile(house, siteKey, dataDir);
await benchStage(house, siteKey, cookie);
if (!isStageOnly) await benchRoundTrips(house, siteKey, cookie);
stop(house);
process.exit(0);
