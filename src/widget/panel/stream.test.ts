import { describe, expect, it } from 'vitest';
import { madeSurroundings } from '../../../tests/made/surroundings';
import type { StreamEvent } from './event-stream';
import { pauseFor } from './retry';
import { messageStream } from './stream';

/** A line that answers each opening in turn: text that ends, `held` that stays open, a status, or no answer at all. */
function lineWith(answers: (string | number | null)[]) {
  const surroundings = madeSurroundings();
  const opened: { at: number; signal: AbortSignal }[] = [];
  const heard: StreamEvent[] = [];
  const connected: boolean[] = [];
  const stream = messageStream({
    open: (signal) => {
      opened.push({ at: surroundings.now(), signal });
      const answer = answers.shift();
      if (answer === null) return Promise.reject(new TypeError('cut'));
      if (typeof answer === 'number') return Promise.resolve(new Response(null, { status: answer }));
      if (answer === undefined || answer === 'held')
        return Promise.resolve(new Response(new ReadableStream<Uint8Array>({})));
      return Promise.resolve(new Response(answer));
    },
    hear: (event) => heard.push(event),
    setConnected: (value) => connected.push(value),
    pause: (failedTries) => pauseFor(surroundings, failedTries),
  });
  return { stream, surroundings, opened, heard, connected };
}

describe('the stream', () => {
  it('hears each event, and opens again where the line broke, later and later while it stays broken', async () => {
    const line = lineWith(['id: 7\nevent: entry\ndata: {}\n\n', null, 503, 'held']);
    line.stream.listen(true);
    await line.surroundings.pass(20_000);
    expect(line.heard).toEqual([{ name: 'entry', id: '7', data: '{}' }]);
    expect(line.opened.map(({ at }) => at)).toEqual([0, 1000, 3000, 7000]);
    expect(line.connected).toEqual([true, false, false, false, true]);
  });

  it('asked twice it keeps one; let go, it opens no more', async () => {
    const line = lineWith(['held', 'held']);
    line.stream.listen(true);
    line.stream.listen(true);
    await line.surroundings.pass(60_000);
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
    await line.surroundings.pass(60_000);
    expect(line.opened.map(({ signal }) => signal.aborted)).toEqual([true, false]);
  });
});
