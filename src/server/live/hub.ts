import { SECOND_MS } from '../../core/model/units';
import type { ServerTime } from './clock';

/** One event of a stream. Only those with an id can be resumed from. */
export interface HubEvent {
  readonly name: string;
  readonly data: unknown;
  readonly id?: number;
}

/** Sends events to open streams by channel. Encodes once per broadcast; one heartbeat for all. */
export interface Hub {
  open(options: {
    channels: readonly string[];
    first?: readonly HubEvent[];
    onClose?: () => void;
  }): HubStream;
  send(channel: string, event: HubEvent): void;
  count(channel: string): number;
  closeAll(): void;
}

export interface HubStream {
  readonly body: ReadableStream<Uint8Array>;
  send(event: HubEvent): void;
  close(): void;
}

interface Listener {
  readonly controller: ReadableStreamDefaultController<Uint8Array>;
  readonly close: () => void;
}

/** [S7] With the window open the stream tells within 5 s that what it said still holds; a word is fresh for 15 s ([S6]). */
const BEAT_EVERY_MS = 5 * SECOND_MS;
/** A reader that is this far behind is dropped; it resumes from its last id. */
const BEHIND_BYTES_MAX = 256 * 1024;
const BEAT = encode(': beat\n\n');

export function makeHub(clock: ServerTime): Hub {
  const channels = new Map<string, Set<Listener>>();
  const all = new Set<Listener>();
  let isBeating = false;

  const beat = (): void => {
    for (const listener of [...all]) push(listener, BEAT);
    isBeating = all.size > 0;
    if (isBeating) clock.wakeAt(clock.now() + BEAT_EVERY_MS, beat);
  };

  const push = (listener: Listener, bytes: Uint8Array): void => {
    const { controller } = listener;
    if ((controller.desiredSize ?? 0) < -BEHIND_BYTES_MAX) return listener.close();
    try {
      controller.enqueue(bytes);
    } catch {
      listener.close(); // its reader has gone; it comes back by itself
    }
  };

  return {
    open: ({ channels: names, first = [], onClose }) => {
      let listener: Listener | null = null;
      const leave = (): void => {
        if (listener === null || !all.delete(listener)) return;
        for (const name of names) {
          channels.get(name)?.delete(listener);
          if (channels.get(name)?.size === 0) channels.delete(name);
        }
        onClose?.();
      };
      const close = (): void => {
        leave();
        try {
          listener?.controller.close();
        } catch {
          // Already closed by its reader.
        }
      };
      const body = new ReadableStream<Uint8Array>(
        {
          start: (controller) => {
            listener = { controller, close };
            all.add(listener);
            for (const name of names) channels.set(name, (channels.get(name) ?? new Set()).add(listener));
            for (const event of first) controller.enqueue(encodeEvent(event));
          },
          cancel: leave,
        },
        { highWaterMark: 16 * 1024, size: (chunk) => chunk.byteLength },
      );
      if (!isBeating) {
        isBeating = true;
        clock.wakeAt(clock.now() + BEAT_EVERY_MS, beat);
      }
      return { body, close, send: (event) => listener !== null && push(listener, encodeEvent(event)) };
    },
    send: (channel, event) => {
      const listeners = channels.get(channel);
      if (listeners === undefined) return;
      const bytes = encodeEvent(event);
      for (const listener of [...listeners]) push(listener, bytes);
    },
    count: (channel) => channels.get(channel)?.size ?? 0,
    closeAll: () => {
      for (const listener of [...all]) listener.close();
    },
  };
}

function encodeEvent({ name, data, id }: HubEvent): Uint8Array {
  return encode(`${id === undefined ? '' : `id: ${id}\n`}event: ${name}\ndata: ${JSON.stringify(data)}\n\n`);
}

function encode(text: string): Uint8Array {
  return new TextEncoder().encode(text);
}

/** Headers of every event stream; no proxy may hold it back or change it. */
export const STREAM_HEADERS = {
  'Content-Type': 'text/event-stream; charset=utf-8',
  'Cache-Control': 'no-cache, no-transform',
  'X-Accel-Buffering': 'no',
} as const;
