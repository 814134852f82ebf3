import { readFileSync } from 'node:fs';
import type { Running } from './bench-server';
import { type Stream, listen, makeAgent, post } from './http-client';
import { headersOf, messageOf } from './round-trip';

export interface Streamed {
  /** Of the server's memory, for each stream that is open; in KB. */
  readonly kilobytesEach: number;
  /** From a visitor's hand to the desk, where all talkers begin at once; in ms, one for each. */
  readonly times: readonly number[];
}

/** Pages of memory of a process, in KB. */
function residentKilobytes({ child }: Running): number {
  const [, pages = '0'] = readFileSync(`/proc/${child.pid}/statm`, 'utf8').split(' ');
  return Number(pages) * 4;
}

const sleep = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
/** Opened before anything is measured: the first ones make room that all use. */
const WARM = 200;
const AT_ONCE = 50;

/** Holds open streams of visitors, and lets some of them write all at once. */
export async function holdStreams(
  house: Running,
  {
    siteKey,
    cookie,
    tokens,
    talkers,
  }: { siteKey: string; cookie: string; tokens: readonly string[]; talkers: number },
): Promise<Streamed> {
  const base = `${house.origin}/w/${siteKey}`;
  const open: Stream[] = [];
  const openUpTo = async (count: number): Promise<void> => {
    while (open.length < count) {
      const from = open.length;
      const next = tokens.slice(from, Math.min(from + AT_ONCE, count));
      open.push(
        ...(await Promise.all(
          next.map((token, place) => listen(`${base}/stream`, headersOf(from + place, token))),
        )),
      );
    }
    await sleep(1500);
  };
  await openUpTo(WARM);
  const before = residentKilobytes(house);
  await openUpTo(tokens.length);
  const kilobytesEach = (residentKilobytes(house) - before) / (tokens.length - WARM);
  const desk = await listen(`${house.origin}/api/s/${siteKey}/stream`, { Cookie: cookie });
  const agent = makeAgent();
  const times = await Promise.all(
    tokens.slice(0, talkers).map(async (token, number) => {
      const body = `night ${number} of many`;
      const heard = desk.hear(body);
      const began = performance.now();
      await Promise.all([heard, post(agent, `${base}/messages`, headersOf(number, token), messageOf(body))]);
      return performance.now() - began;
    }),
  );
  for (const stream of [...open, desk]) stream.close();
  agent.destroy();
  return { kilobytesEach, times };
}
