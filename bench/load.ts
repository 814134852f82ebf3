import { makeAgent, post } from './http-client';
import { headersOf, messageOf } from './round-trip';
import { randomBytes } from 'node:crypto';

/** What a load process is to do. */
export interface LoadOrder {
  readonly url: string;
  /** Of whom: each sends `each` messages at most, one after the other. */
  readonly tokens: readonly string[];
  readonly each: number;
  readonly callers: number;
  readonly ms: number;
}

/** One acknowledged message, as its sender knows it. */
export interface Acknowledged {
  readonly clientId: string;
  readonly entryId: number;
  readonly seq: number;
  readonly conversationId: string;
}

export interface LoadReport {
  readonly ms: number;
  readonly acknowledged: readonly Acknowledged[];
  readonly count: number;
  readonly refused: number;
}

// A process of its own, so that making the load takes nothing from what is measured.
process.once('message', (order: LoadOrder) => void run(order).then((report) => process.send?.(report)));

async function run({ url, tokens, each, callers, ms }: LoadOrder): Promise<LoadReport> {
  const agent = makeAgent();
  const acknowledged: Acknowledged[] = [];
  let [next, count, refused] = [0, 0, 0];
  const began = performance.now();
  const isOver = (): boolean => performance.now() - began > ms;
  const call = async (): Promise<void> => {
    for (let number = next++; number < tokens.length && !isOver(); number = next++) {
      const headers = headersOf(number, tokens[number] ?? null);
      for (let turn = 0; turn < each && !isOver(); turn++) {
        const clientId = randomBytes(13).toString('hex');
        const { status, text } = await post(agent, url, headers, messageOf(`night ${turn}`, { clientId }));
        if (status !== 200) refused++;
        else count++;
        if (status !== 200 || !text.startsWith('{')) continue;
        const told = JSON.parse(text) as { entries: { id: number; seq: number; conversationId: string }[] };
        for (const { id, seq, conversationId } of told.entries)
          acknowledged.push({ clientId, entryId: id, seq, conversationId });
      }
    }
  };
  await Promise.all(Array.from({ length: callers }, call));
  const took = performance.now() - began;
  agent.destroy();
  return { ms: took, acknowledged, count, refused };
}
