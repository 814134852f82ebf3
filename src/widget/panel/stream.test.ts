import { describe, expect, it } from 'vitest';
import { madeSurroundings } from '../../../tests/made/surroundings';
import type { StreamEvent } from './event-stream';
import { pauseFor } from './retry';
import { messageStream } from './stream';

/** A line that answers each opening in turn: text that ends, `held` that stays open, a status, no answer (null), or none ever (`dead`). */
function lineWith(answers: (string | number | null)[]) {
  const surroundings = madeSurroundings();
  const opened: { at: number; signal: AbortSignal }[] = [];
  const heard: StreamEvent[] = [];
  const connected: boolean[] = [];
  const wakes = new Set<() => void>();
  const bodies: ReadableStreamDefaultController<Uint8Array>[] = [];
  const heldBody = (signal: AbortSignal) =>
    new ReadableStream<Uint8Array>({
      start: (controller) => {
        bodies.push(controller);
        signal.addEventListener('abort', () => controller.error(signal.reason));
      },
    });
  const stream = messageStream({
    open: (signal) => {
      opened.push({ at: surroundings.now(), signal });
      const answer = answers.shift();
      if (answer === null) return Promise.reject(new TypeError('cut'));
      if (typeof answer === 'number') return Promise.resolve(new Response(null, { status: answer }));
      if (answer === undefined || answer === 'held') return Promise.resolve(new Response(heldBody(signal)));
      if (answer === 'dead')
        return new Promise((_, reject) =>
          signal.addEventListener('abort', () => reject(signal.reason as Error)),
        );
      return Promise.resolve(new Response(answer));
    },
    hear: (event) => heard.push(event),
    setConnected: (value) => connected.push(value),
    pause: (failedTries) => pauseFor(surroundings, failedTries),
    ...surroundings,
    onWake: (call) => {
      wakes.add(call);
      return () => wakes.delete(call);
    },
  });
  const say = (): void => bodies.at(-1)?.enqueue(new TextEncoder().encode('event: beat\ndata: {}\n\n'));
  /** How many are open now. */
  const open = () => opened.filter(({ signal }) => !signal.aborted).length;
  return { stream, surroundings, opened, heard, connected, wakes, say, open };
}

describe('the stream', () => {
  it('hears each event, and opens again where the line broke, later and later while it stays broken', async () => {
    const line = lineWith(['id: 7\nevent: entry\ndata: {}\n\n', null, 503, 'held']);
    line.stream.listen(true);
    await line.surroundings.pass(15_000);
    expect(line.heard).toEqual([{ name: 'entry', id: '7', data: '{}' }]);
    expect(line.opened.map(({ at }) => at)).toEqual([0, 1000, 3000, 7000]);
    expect(line.connected).toEqual([true, false, false, false, true]);
  });

  it('asked twice it keeps one; let go, it opens no more', async () => {
    const line = lineWith(['held', 'held']);
    line.stream.listen(true);
    line.stream.listen(true);
    await line.surroundings.pass(11_000);
    expect(line.opened).toHaveLength(1);
    line.stream.listen(false);
    expect(line.opened[0]?.signal.aborted).toBe(true);
    await line.surroundings.pass(60_000);
    expect(line.opened).toHaveLength(1);
  });

  it('started anew, the old one is cut; where none is kept, none begins', async () => {
    const line = lineWith(['held', 'held']);
    line.stream.restart();
    expect(line.opened).toHaveLength(0);
    line.stream.listen(true);
    line.stream.restart();
    await line.surroundings.pass(11_000);
    expect(line.opened.map(({ signal }) => signal.aborted)).toEqual([true, false]);
  });

  it('[S6] a line that dies without a sign is left after twelve silent seconds, and opened again at once; never two', async () => {
    const line = lineWith(['held', 'held']);
    line.stream.listen(true);
    for (let beats = 0; beats < 4; beats++) {
      await line.surroundings.pass(5000);
      line.say();
    }
    await line.surroundings.pass(11_000);
    expect(line.opened).toHaveLength(1);
    await line.surroundings.pass(1500);
    expect(line.opened.map(({ at }) => at)).toEqual([0, 32_000]);
    expect(line.connected).toEqual([true, false, true]);
    expect(line.open()).toBe(1);
  });

  it('a server that accepts and never answers is asked again, later and later', async () => {
    const line = lineWith(['dead', 'dead', 'held']);
    line.stream.listen(true);
    await line.surroundings.pass(30_000);
    expect(line.opened.map(({ at }) => at)).toEqual([0, 13_000, 27_000]);
    expect(line.open()).toBe(1);
  });

  it('a page that wakes looks at once: its timers have stood still', async () => {
    const line = lineWith(['held', 'held']);
    line.stream.listen(true);
    await line.surroundings.pass(0);
    line.surroundings.sleep(3_600_000);
    await line.surroundings.pass(0);
    expect(line.opened).toHaveLength(1);
    line.wakes.forEach((wake) => wake());
    await line.surroundings.pass(0);
    expect(line.opened).toHaveLength(2);
    expect([line.open(), line.wakes.size]).toEqual([1, 1]);
  });
});
