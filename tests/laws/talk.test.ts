import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { EMPTY_MEMORY, type Memory } from '../../src/core/model/memory';
import type { VisitorEntry } from '../../src/core/wire/talk';
import { wakeBy } from '../../src/widget/clock';
import { mergeEntries } from '../../src/widget/panel/merge';
import { type Talk, type TalkPort, talkWith } from '../../src/widget/panel/talk';
import type { Unsent, UnsentStore } from '../../src/widget/panel/unsent';
import type { PanelPort } from '../../src/widget/port';
import { madeTalk } from '../made/site';

/** What can befall one POST between browser and server. */
type Fate = 'taken' | 'lost-on-the-way' | 'answer-lost' | 'busy' | 'too-many';
const FATES: readonly Fate[] = ['taken', 'lost-on-the-way', 'answer-lost', 'busy', 'too-many'];

interface Told {
  readonly clientId: string;
  readonly body: string;
  readonly newToken?: string;
}

/** A server that stores first and acknowledges second, whose line to the browser is cut as fate has it. */
function serverWith(fates: readonly Fate[]) {
  const entries: VisitorEntry[] = [];
  const tokens = new Set<string>();
  let turn = 0;
  const store = ({ clientId, body }: Told): VisitorEntry => {
    const known = entries.find((entry) => entry.clientId === clientId);
    if (known !== undefined) return known;
    const seq = entries.length + 1;
    const entry: VisitorEntry = {
      id: seq * 3,
      conversationId: 'talk',
      seq,
      kind: 'message',
      author: 'visitor',
      clientId,
      name: null,
      body,
      storedMs: 1,
    };
    entries.push(entry);
    return entry;
  };
  const json = (status: number, value: unknown) =>
    Promise.resolve(new Response(JSON.stringify(value), { status }));
  const answer = (input: string, init: RequestInit = {}): Promise<Response> => {
    if (input.includes('/stream?')) return Promise.reject(new TypeError('cut'));
    if (input.endsWith('/conversation')) return json(200, { conversation: madeTalk(), entries });
    const fate = fates[turn++] ?? 'taken';
    const told = JSON.parse(init.body as string) as Told;
    if (fate === 'lost-on-the-way') return Promise.reject(new TypeError('cut'));
    if (fate === 'busy') return json(503, {});
    if (fate === 'too-many') return json(429, {});
    const given = new Headers(init.headers).get('Authorization')?.slice(7) ?? told.newToken ?? '';
    if (told.newToken === undefined && !tokens.has(given)) return json(401, {});
    tokens.add(given);
    const entry = store(told);
    return fate === 'answer-lost'
      ? Promise.reject(new TypeError('cut'))
      : json(200, { conversation: madeTalk(), entries: [entry], state: 'in' });
  };
  return { entries, tokens, answer };
}

/** The tab's storage: it outlives the page. */
function madeStore(): UnsentStore {
  let kept = JSON.stringify({ token: null, items: [] });
  return {
    read: () => JSON.parse(kept) as Unsent,
    write: (unsent) => {
      kept = JSON.stringify(unsent);
    },
  };
}

function portWith(keep: { memory: Memory }): TalkPort {
  const nothing = () => undefined;
  return {
    frame: {
      root: { lang: 'en' },
      launcher: { dataset: { widget: 'main' } },
    } as unknown as PanelPort['frame'],
    surroundings: { now: Date.now, wakeAt: wakeBy(Date.now) } as PanelPort['surroundings'],
    base: 'https://porch.example/w/aaaaaaaaaaaa',
    memory: {
      tabKey: null,
      level: () => 'asked',
      read: () => keep.memory,
      write: (memory: Memory) => {
        keep.memory = memory;
      },
    },
    passKey: 'sunny-porch:draft:aaaaaaaaaaaa',
    page: () => 'https://farrowisle.example/',
    hearTeams: nothing,
    setAsksFor: nothing,
    asksFor: () => null,
    hearConversation: nothing,
    setAsksAgain: nothing,
    ask: nothing,
    close: nothing,
    accept: nothing,
    decline: nothing,
    designName: () => 'd1-0000000000000000',
    widgetKey: () => 'main',
    onChange: nothing,
  };
}

/** One page view: what it began ends with it, and nothing of it writes any more. */
function newPage(answer: (input: string, init?: RequestInit) => Promise<Response>) {
  let isHere = true;
  const never = new Promise<Response>(() => undefined);
  vi.stubGlobal('fetch', async (input: string, init?: RequestInit) => {
    const wasHere = isHere;
    const outcome = await Promise.allSettled([answer(input, init)]);
    if (!wasHere || !isHere) return never;
    const [one] = outcome;
    if (one.status === 'rejected') throw one.reason;
    return one.value;
  });
  return {
    leave: () => {
      isHere = false;
    },
    store: (kept: UnsentStore): UnsentStore => ({
      read: kept.read,
      write: (unsent) => isHere && kept.write(unsent),
    }),
  };
}

describe('the visitor’s side of a conversation', () => {
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });

  it('[M7] an entry that was missed is seen by its number, and asked for once', async () => {
    const { entries, answer } = serverWith([]);
    const keep = { memory: { ...EMPTY_MEMORY, token: 'a'.repeat(43) } };
    const written = (seq: number): VisitorEntry => ({
      id: seq * 3,
      conversationId: 'talk',
      seq,
      kind: 'message',
      author: 'person',
      clientId: null,
      name: 'Inês',
      body: `no. ${seq}`,
      storedMs: 1,
    });
    const asked: string[] = [];
    let say = (_entry: VisitorEntry): void => undefined;
    newPage((input, init) => {
      asked.push(input.replace(/.*\//, '').replace(/\?.*/, ''));
      if (!input.includes('/stream?')) return answer(input, init);
      const body = new ReadableStream<Uint8Array>({
        start: (controller) => {
          say = (entry) =>
            controller.enqueue(
              new TextEncoder().encode(`id: ${entry.id}\nevent: entry\ndata: ${JSON.stringify(entry)}\n\n`),
            );
        },
      });
      return Promise.resolve(new Response(body));
    });
    for (const target of ['document', 'window']) vi.stubGlobal(target, new EventTarget());
    entries.push(written(1));
    const talk = talkWith(portWith(keep), madeStore());
    await talk.begin();
    talk.setListening(true);
    await vi.advanceTimersByTimeAsync(10);
    entries.push(written(2), written(3));
    say(written(3)); // the second never came
    await vi.advanceTimersByTimeAsync(10);
    expect(talk.picture().entries.map(({ seq }) => seq)).toEqual([1, 2, 3]);
    entries.pop();
    say(written(5)); // and the fourth is not to be had
    say(written(6));
    await vi.advanceTimersByTimeAsync(10);
    expect(asked.filter((one) => one === 'conversation')).toHaveLength(3);
    talk.setListening(false);
  });

  it('what is answered after the window was closed is unread, also on the next page, until it was before the visitor’s eyes', async () => {
    const { entries, answer } = serverWith([]);
    const keep = { memory: EMPTY_MEMORY };
    const heard: number[] = [];
    const port = {
      ...portWith(keep),
      hearConversation: (_: unknown, unread: number) => void heard.push(unread),
    };
    newPage(answer);
    const talk = talkWith(port, madeStore());
    talk.send('Is it dark yet?'); // and the window is closed before it is acknowledged
    await vi.advanceTimersByTimeAsync(100);
    const [question] = entries;
    if (question === undefined) throw new Error('Expected a question.');
    entries.push({ ...question, id: 9, seq: 2, author: 'person', clientId: null });
    for (const page of [talk, talkWith(port, madeStore())]) {
      await page.begin();
      expect(heard.at(-1)).toBe(1);
    }
    talk.sawAll();
    await talkWith(port, madeStore()).begin();
    expect(heard.at(-1)).toBe(0);
  });

  it('law: whatever is cut and however often the page is left, each message ends on the server once, in order, and both lists are equal', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.constantFrom(...FATES), { maxLength: 14 }),
        fc.array(fc.record({ pause: fc.integer({ min: 0, max: 5000 }), leaves: fc.boolean() }), {
          minLength: 1,
          maxLength: 5,
        }),
        async (fates, turns) => {
          const server = serverWith(fates);
          const keep = { memory: EMPTY_MEMORY };
          const store = madeStore();
          let page = newPage(server.answer);
          let talk = talkWith(portWith(keep), page.store(store));
          for (const [index, { pause, leaves }] of turns.entries()) {
            talk.send(`word ${index}`);
            await vi.advanceTimersByTimeAsync(pause);
            if (!leaves) continue;
            page.leave();
            vi.clearAllTimers();
            page = newPage(server.answer);
            talk = talkWith(portWith(keep), page.store(store));
            await talk.begin().catch(() => undefined);
          }
          await vi.advanceTimersByTimeAsync(10 * 60_000);
          const words = turns.map((_, index) => `word ${index}`);
          expect(server.entries.map(({ body }) => body)).toEqual(words);
          expect(talk.picture().outbox).toEqual([]);
          expect(talk.picture().entries).toEqual(server.entries);
          expect(server.tokens.size).toBe(1);
          await reloaded(keep, server.entries);
        },
      ),
      { numRuns: 300, seed: 20261124 },
    );
  });

  async function reloaded(keep: { memory: Memory }, entries: readonly VisitorEntry[]): Promise<Talk> {
    const talk = talkWith(portWith(keep));
    await talk.begin();
    expect(talk.picture().entries).toEqual(entries);
    return talk;
  }

  it('what the server refuses for good comes back to the field, and the next one goes out', async () => {
    const answers = [new Response('{}', { status: 400 })];
    const server = serverWith([]);
    vi.stubGlobal(
      'fetch',
      (input: string, init: RequestInit) => answers.shift() ?? server.answer(input, init),
    );
    const talk = talkWith(portWith({ memory: EMPTY_MEMORY }));
    talk.send('too odd');
    talk.send('fine');
    await vi.advanceTimersByTimeAsync(1000);
    expect(talk.picture().refused?.body).toBe('too odd');
    expect(server.entries.map(({ body }) => body)).toEqual(['fine']);
  });
});

describe('mergeEntries', () => {
  it('law: merging in any order, any number of times, ends equal', () => {
    const all = Array.from({ length: 12 }, (_, index): VisitorEntry => ({
      id: index * 2 + 1,
      conversationId: 'talk',
      seq: index + 1,
      kind: 'message',
      author: 'visitor',
      clientId: null,
      name: null,
      body: `word ${index}`,
      storedMs: 1,
    }));
    fc.assert(
      fc.property(fc.array(fc.subarray(all), { minLength: 1, maxLength: 8 }), (parts) => {
        const merged = [...parts, all].reduce<VisitorEntry[]>((known, more) => mergeEntries(known, more), []);
        expect(merged).toEqual(all);
        expect(mergeEntries(merged, merged)).toEqual(all);
      }),
      { numRuns: 500, seed: 20261124 },
    );
  });
});
