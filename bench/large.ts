import { request } from 'node:http';
import { type Running, SITE_ORIGIN } from './bench-server';
import { makeAgent, post } from './http-client';
import { headersOf, messageOf } from './round-trip';

/** What is asked of a house, and the middle of how long it took. */
export interface Timed {
  readonly what: string;
  readonly ms: number;
}

const TIMES = 15;

const middleOf = (times: readonly number[]): number =>
  [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? 0;

async function middle(work: (turn: number) => Promise<unknown>): Promise<number> {
  await work(0); // whatever is read once
  const times: number[] = [];
  for (let turn = 1; turn <= TIMES; turn++) {
    const began = performance.now();
    await work(turn);
    times.push(performance.now() - began);
  }
  return middleOf(times);
}

function get(url: string, headers: Record<string, string>): Promise<string> {
  return new Promise((resolve, reject) => {
    const asked = request(url, { headers, agent }, (response) => {
      let text = '';
      response.setEncoding('utf8');
      response.on('data', (part: string) => (text += part));
      response.on('end', () =>
        response.statusCode === 200
          ? resolve(text)
          : reject(new Error(`${url} was answered ${response.statusCode}.`)),
      );
    });
    asked.on('error', reject);
    asked.end();
  });
}
const agent = makeAgent();

/** What a desk and a visitor ask for most, of a house with conversations that `fillTalk` made. */
export async function timeHouse(
  { origin }: Running,
  {
    siteKey,
    cookie,
    tokens,
    ids,
  }: { siteKey: string; cookie: string; tokens: readonly string[]; ids: readonly string[] },
): Promise<Timed[]> {
  const desk = { Cookie: cookie };
  const base = `${origin}/api/s/${siteKey}`;
  const pick = <T>(list: readonly T[], turn: number): T => list[(turn * 7) % list.length] as T;
  const timed = async (what: string, work: (turn: number) => Promise<unknown>): Promise<Timed> => ({
    what,
    ms: await middle(work),
  });
  return [
    await timed('the list', () => get(`${base}/conversations`, desk)),
    await timed('one conversation', (turn) => get(`${base}/conversations/${pick(ids, turn)}`, desk)),
    await timed('a visitor’s reload', (turn) =>
      get(`${origin}/w/${siteKey}/conversation`, {
        ...headersOf(turn, pick(tokens, turn)),
        Origin: SITE_ORIGIN,
      }),
    ),
    await timed('a message', async (turn) => {
      const url = `${origin}/w/${siteKey}/messages`;
      const { status, text } = await post(
        agent,
        url,
        headersOf(turn, pick(tokens, turn)),
        messageOf('night'),
      );
      if (status !== 200) throw new Error(`A message was answered ${status}: ${text}`);
    }),
    await timed('Today', () => get(`${base}/overview`, desk)),
  ];
}
