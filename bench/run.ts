import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';
import autocannon from 'autocannon';
import Database from 'better-sqlite3';
import { readLogLine } from '../src/formats/traffic/access-log';
import { hashOf, newSecret } from '../src/server/ids';
import { benchDecide, benchHours, benchPages, benchRule, perSecond } from './engine';
import { type Running, fill, start, cpuMicroseconds, startHouse, stop } from './bench-server';
import { typeOnStage } from './stage';
import { barePairs, roundTrips } from './round-trip';
import { conversationIdOf, fillTalk, tokenOf } from './fill-talk';
import { timeHouse } from './large';
import { timeDraft } from './draft';
import { holdStreams } from './streams';
import { dieSilently, killUnderLoad } from './kills';
import type { Acknowledged, LoadOrder, LoadReport } from './load';
import { checkFile, load } from './throughput';

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

const VISITORS = 6000;
const LOAD_MS = 20_000;
const CALLERS = 64;

/** Loads a server and stops it; says what it took of the processor, which a machine that others use leaves almost as it is. */
async function loadOn(
  running: Running,
  order: LoadOrder,
): Promise<LoadReport & { readonly cpuEach: number }> {
  const before = cpuMicroseconds(running);
  const report = await load(order);
  const cpuEach = (cpuMicroseconds(running) - before) / report.count;
  stop(running);
  return { ...report, cpuEach };
}

/** How many messages a second are acknowledged, each held against the file afterwards, against bare POSTs by the same load. */
async function benchThroughput(): Promise<void> {
  const { dataDir, siteKey } = fill();
  fillTalk(dataDir, { conversations: VISITORS, entriesEach: 2, oneRunsOf: 1 });
  const tokens = Array.from({ length: VISITORS }, (_, number) => tokenOf(number));
  const house = await startHouse(dataDir);
  const order = { tokens, each: TURNS, callers: CALLERS, ms: LOAD_MS };
  const ours = await loadOn(house, { ...order, url: `${house.origin}/w/${siteKey}/messages` });
  const bare = await start('dist/bench/bare-server.mjs', {}, { body: '', headers: {} });
  const least = await loadOn(bare, { ...order, url: bare.origin, ms: LOAD_MS / 4 });
  const { lost, doubled, outOfOrder } = checkFile(dataDir, ours.acknowledged);
  const rate = (report: LoadReport) => (1000 * report.count) / report.ms;
  say(
    `acknowledged messages       ${Math.round(rate(ours))}/s over ${Math.round(ours.ms / 1000)} s, ${(rate(ours) / rate(least)).toFixed(2)} × bare POSTs (${Math.round(rate(least))}/s; goal 1500/s); ${ours.refused} refused`,
  );
  say(
    `                            ${Math.round(ours.cpuEach)} µs of CPU each, ${(ours.cpuEach / least.cpuEach).toFixed(1)} × a bare POST (${Math.round(least.cpuEach)} µs)`,
  );
  say(
    `                            ${ours.count} held against the file: ${lost} lost, ${doubled} doubled, ${outOfOrder} out of order`,
  );
}

const LARGE = { conversations: 100_000, entriesEach: 10, oneRunsOf: 10_000 };
const SMALL = { conversations: 120, entriesEach: 10, oneRunsOf: 12 };

/** The same requests in a house with a million messages and in a small one. */
async function benchLarge(): Promise<void> {
  const measured = [];
  for (const size of [SMALL, LARGE]) {
    const { dataDir, siteKey } = fill();
    fillTalk(dataDir, size);
    const cookie = signIn(dataDir);
    const numbers = Array.from({ length: 100 }, (_, place) => place * Math.floor(size.conversations / 100));
    const house = await startHouse(dataDir);
    const tokens = numbers.map(tokenOf);
    measured.push(await timeHouse(house, { siteKey, cookie, tokens, ids: numbers.map(conversationIdOf) }));
    stop(house);
  }
  const [small = [], large = []] = measured;
  for (const [place, { what, ms }] of large.entries()) {
    const less = small[place]?.ms ?? Number.NaN;
    say(
      `large house, ${what.padEnd(18)} ${ms.toFixed(1)} ms, ${(ms / less).toFixed(1)} × as long as in a small one (${less.toFixed(1)} ms; goal 2)`,
    );
  }
}

/** A change of the draft at the end of a short log and of a long one. */
async function benchDraft(): Promise<void> {
  const { dataDir, siteKey } = fill();
  const cookie = signIn(dataDir);
  const house = await startHouse(dataDir);
  const { short, long, rows } = await timeDraft(house, siteKey, cookie);
  stop(house);
  say(
    `a change of the draft       ${long.toFixed(1)} ms at ${rows} rows of its log, ${(long / short).toFixed(2)} × as long as at 10 (goal 1)`,
  );
}

const STREAMS = 2000;
const TALKERS = 200;

/** What open streams take of memory, and how long a burst takes among them. */
async function benchStreams(): Promise<void> {
  const { dataDir, siteKey } = fill();
  fillTalk(dataDir, { conversations: STREAMS + 200, entriesEach: 2, oneRunsOf: 1 });
  const cookie = signIn(dataDir);
  const tokens = Array.from({ length: STREAMS + 200 }, (_, number) => tokenOf(number));
  const house = await startHouse(dataDir);
  const { kilobytesEach, times } = await holdStreams(house, { siteKey, cookie, tokens, talkers: TALKERS });
  stop(house);
  const bare = await start('dist/bench/bare-server.mjs', {}, { body: '', headers: {} });
  const least = percentile(await barePairs(bare.origin, TALKERS, 1), 0.99) / 2;
  stop(bare);
  const p99 = percentile(times, 0.99);
  say(
    `${STREAMS} streams, ${TALKERS} talkers   ${kilobytesEach.toFixed(1)} KB a stream (goal 15); opening burst p99 ${p99.toFixed(0)} ms, ${(p99 / least).toFixed(1)} × as many bare POSTs (goal 500 ms)`,
  );
}

const KILLS = 100;
const DEATHS = 20;

/** Kills and dead lines under load: nothing that was acknowledged may be lost, doubled or out of order. */
async function benchKills(): Promise<void> {
  const { dataDir, siteKey } = fill();
  fillTalk(dataDir, { conversations: VISITORS, entriesEach: 2, oneRunsOf: 1 });
  const tokens = Array.from({ length: VISITORS }, (_, number) => tokenOf(number));
  const tell = (what: string, acknowledged: readonly Acknowledged[], more = '') => {
    const { lost, doubled, outOfOrder } = checkFile(dataDir, acknowledged);
    say(
      `${what.padEnd(28)}${acknowledged.length} acknowledged: ${lost} lost, ${doubled} doubled, ${outOfOrder} out of order${more} (goal 0)`,
    );
  };
  const killed = await killUnderLoad({ dataDir, siteKey }, tokens, KILLS);
  tell(
    `${KILLS} kills under load`,
    killed.acknowledged,
    `; ${killed.onTheirWay} messages were on their way at ${killed.met} of the kills`,
  );
  const house = await startHouse(dataDir);
  const { acknowledged, wrong } = await dieSilently(house, siteKey, { tokens, deaths: DEATHS });
  stop(house);
  tell(`${DEATHS} lines that died silently`, acknowledged, `, ${wrong} windows that heard otherwise`);
}

/** Five runs, each beside its reference: the middle one counts. */
const RUNS = 5;
/** No more than a visitor may say in a minute. */
const TURNS = 10;

/** What a round trip takes against two bare POSTs, at 1, 50 and 200 conversations. */
async function benchRoundTrips(house: Running, siteKey: string, cookie: string): Promise<void> {
  const bare = await start('dist/bench/bare-server.mjs', {}, { body: '', headers: {} });
  let first = 0;
  for (const [conversations, goal] of [
    [1, 5],
    [50, 3],
    [200, 3],
  ] as const) {
    const runs: { readonly p95: number; readonly ratio: number }[] = [];
    for (let run = 0; run < RUNS; run++, first += conversations) {
      const sides = { origin: house.origin, siteKey, cookie };
      const ours = percentile(await roundTrips(sides, { conversations, turns: TURNS, first }), 0.95);
      const least = percentile(await barePairs(bare.origin, conversations, TURNS), 0.95);
      runs.push({ p95: ours, ratio: ours / least });
    }
    const middle = runs.sort((a, b) => a.ratio - b.ratio)[Math.floor(RUNS / 2)];
    say(
      `message round trip at ${String(conversations).padEnd(5)} p95 ${middle?.p95.toFixed(1)} ms, ${middle?.ratio.toFixed(1)} × two bare POSTs (goal ${goal}; five runs: ${runs.map(({ ratio }) => ratio.toFixed(1)).join(', ')})`,
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

/** `npm run bench -- stage` measures the stage alone, `-- messages` what is said; `-- kills`, `-- large`, `-- streams` and `-- draft` what takes long. */
const [, , only] = process.argv;
const isAll = only === undefined;
if (isAll) {
  benchDecide();
  await benchRule();
  benchHours();
  benchPages();
  benchLog();
}
const ALONE = { kills: benchKills, large: benchLarge, streams: benchStreams, draft: benchDraft };
if (only !== undefined && Object.hasOwn(ALONE, only)) {
  await ALONE[only as keyof typeof ALONE]();
  process.exit(0);
}
const { dataDir, siteKey } = fill();
if (isAll) {
  benchBytes(dataDir);
  await benchStart(dataDir);
}
const cookie = signIn(dataDir);
const house = await startHouse(dataDir);
if (isAll) await benchFile(house, siteKey, dataDir);
if (isAll || only === 'stage') await benchStage(house, siteKey, cookie);
if (isAll || only === 'messages') {
  await benchRoundTrips(house, siteKey, cookie);
  await benchThroughput();
}
stop(house);
process.exit(0);
