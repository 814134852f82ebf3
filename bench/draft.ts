import { randomBytes } from 'node:crypto';
import type { Running } from './bench-server';
import { makeAgent, post } from './http-client';

const ROWS = 2000;
const MEASURED = 40;

const middleOf = (times: readonly number[]): number =>
  [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? 0;

/** Milliseconds of a change, the middle of many, after ten changes and after as many as are kept. */
export async function timeDraft(
  { origin }: Running,
  siteKey: string,
  cookie: string,
): Promise<{ readonly short: number; readonly long: number; readonly rows: number }> {
  const agent = makeAgent();
  const headers = { 'Content-Type': 'application/json', Cookie: cookie, Origin: origin };
  const { revision } = (await (
    await fetch(`${origin}/api/s/${siteKey}/draft`, { headers: { Cookie: cookie } })
  ).json()) as { revision: number };
  let base = revision;
  const change = async (): Promise<number> => {
    const clientId = randomBytes(13).toString('hex');
    const patches = [{ op: 'set', path: ['siteName'], value: `Night ${base}` }];
    const began = performance.now();
    const { status, text } = await post(
      agent,
      `${origin}/api/s/${siteKey}/draft`,
      headers,
      JSON.stringify({ clientId, base, label: 'Site name', patches }),
    );
    const took = performance.now() - began;
    if (status !== 200) throw new Error(`A change was answered ${status}: ${text}`);
    base++;
    return took;
  };
  const measure = async (): Promise<number> => {
    const times: number[] = [];
    for (let turn = 0; turn < MEASURED; turn++) times.push(await change());
    return middleOf(times);
  };
  for (let turn = 0; turn < 10; turn++) await change();
  const short = await measure();
  while (base < revision + ROWS) await change();
  const long = await measure();
  agent.destroy();
  return { short, long, rows: ROWS };
}
