import { randomBytes } from 'node:crypto';
import { Relay } from '../tests/e2e/relay';
import { type Running, start, stop } from './bench-server';
import type { Acknowledged } from './load';
import { type Heard, listen, makeAgent, post } from './http-client';
import { headersOf, messageOf } from './round-trip';

const sleep = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
const newClientId = () => randomBytes(13).toString('hex');

/** A visitor who keeps what is not acknowledged and sends it again, as their browser does: one message after the other. */
class Sender {
  readonly acknowledged: Acknowledged[] = [];
  /** Whether a message of theirs was sent and has no answer yet. */
  isWaiting = false;
  private readonly headers: Record<string, string>;

  constructor(number: number, token: string) {
    this.headers = headersOf(number, token);
  }

  /** Sends a message until it is acknowledged; `urlNow` says where the server is at the time. */
  async say(body: string, urlNow: () => string, isOver: () => boolean = () => false): Promise<void> {
    const clientId = newClientId();
    while (!isOver()) {
      const agent = makeAgent();
      const sent = post(agent, urlNow(), this.headers, messageOf(body, { clientId }));
      this.isWaiting = true;
      const answer = await Promise.race([sent, sleep(2000).then(() => null)]).catch(() => null);
      this.isWaiting = false;
      agent.destroy();
      if (answer?.status === 200) {
        const told = JSON.parse(answer.text) as {
          entries: { id: number; seq: number; conversationId: string }[];
        };
        for (const { id, seq, conversationId } of told.entries)
          this.acknowledged.push({ clientId, entryId: id, seq, conversationId });
        return;
      }
      await sleep(30);
    }
  }
}

const SENDERS = 24;

export interface Killed {
  readonly acknowledged: readonly Acknowledged[];
  /** Messages that were sent and not answered when the server died, over all kills; and the kills that met any. */
  readonly onTheirWay: number;
  readonly met: number;
}

/** Kills the server −9 in the midst of load, again and again; whoever was not answered sends again. */
export async function killUnderLoad(
  { dataDir, siteKey }: { dataDir: string; siteKey: string },
  tokens: readonly string[],
  kills: number,
): Promise<Killed> {
  const acknowledged: Acknowledged[] = [];
  let [onTheirWay, met] = [0, 0];
  const startHouse = () =>
    start('dist/server/entry.mjs', { PORCH_DATA: dataDir, TRUSTED_PROXIES: '127.0.0.1' });
  for (let kill = 0; kill < kills; kill++) {
    let house: Running = await startHouse();
    let isOver = false;
    const urlNow = () => `${house.origin}/w/${siteKey}/messages`;
    // Limits are counted in memory, and forgiven with each start; every kill has senders of its own all the same.
    const senders = Array.from({ length: SENDERS }, (_, place) => {
      const number = (kill * SENDERS + place) % tokens.length;
      return new Sender(number, tokens[number] ?? '');
    });
    const talking = senders.map(async (sender) => {
      for (let turn = 0; turn < 5 && !isOver; turn++) await sender.say(`night ${kill}-${turn}`, urlNow);
    });
    await sleep(20 + Math.random() * 150);
    const waiting = senders.filter((sender) => sender.isWaiting).length;
    onTheirWay += waiting;
    met += waiting > 0 ? 1 : 0;
    stop(house);
    await new Promise((resolve) => house.child.once('exit', resolve));
    house = await startHouse();
    await Promise.all(talking);
    isOver = true;
    stop(house);
    await new Promise((resolve) => house.child.once('exit', resolve));
    acknowledged.push(...senders.flatMap((sender) => sender.acknowledged));
  }
  return { acknowledged, onTheirWay, met };
}

export interface Died {
  readonly acknowledged: readonly Acknowledged[];
  /** Entries that a window heard in another order, twice after it had asked for what it missed, or not at all. */
  readonly wrong: number;
}

/**
 * Lines that die without a sign, under load: what was sent and not answered is sent again by a new line, and the stream
 * is opened anew and asks for what came after the last entry it heard.
 */
export async function dieSilently(
  house: Running,
  siteKey: string,
  { tokens, deaths }: { tokens: readonly string[]; deaths: number },
): Promise<Died> {
  const acknowledged: Acknowledged[] = [];
  let wrong = 0;
  for (let death = 0; death < deaths; death++) {
    const relay = new Relay();
    const origin = await relay.open(house.origin);
    const number = tokens.length - 1 - death;
    const sender = new Sender(number, tokens[number] ?? '');
    const headers = headersOf(number, tokens[number] ?? '');
    const heard = new Map<number, Heard>();
    const take = (entry: Heard): void => void heard.set(entry.id, entry);
    const before = await listen(`${origin}/w/${siteKey}/stream`, headers, take);
    const talking = (async () => {
      for (let turn = 0; turn < 8; turn++)
        await sender.say(`night ${death}-${turn}`, () => `${origin}/w/${siteKey}/messages`);
    })();
    await sleep(10 + Math.random() * 40);
    relay.stall();
    await sleep(300);
    const last = Math.max(0, ...heard.keys());
    const again = await listen(
      `${origin}/w/${siteKey}/stream`,
      { ...headers, 'Last-Event-ID': String(last) },
      take,
    );
    await talking;
    await sleep(200);
    const own = sender.acknowledged.map(({ entryId }) => entryId);
    const told = [...heard.keys()].filter((id) => own.includes(id));
    if (told.join() !== [...own].sort((a, b) => a - b).join()) wrong++;
    acknowledged.push(...sender.acknowledged);
    before.close();
    again.close();
    relay.close();
  }
  return { acknowledged, wrong };
}
