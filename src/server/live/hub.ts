import { BEAT_EVERY_MS } from '../../core/wire/silence';
import type { EventBody, HttpRequest, Sink } from '../http/exchange';
import { log } from '../log';
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
    /** Whose stream it is: one that they opened before is closed, as its line may be dead without a sign. */
    holder?: string | null;
    sink: Sink;
    onClose?: () => void;
  }): HubStream;
  send(channel: string, event: HubEvent): void;
  /** Open streams of a channel; those of others, where a holder is named. */
  count(channel: string, otherThan?: string | null): number;
  /** Says one thing more to the streams of a channel, and ends them. */
  end(channel: string, last: HubEvent): void;
  closeAll(): void;
}

export interface HubStream {
  send(event: HubEvent): void;
  isOpen(): boolean;
  close(): void;
}

interface Listener {
  readonly sink: Sink;
  close(): void;
}

/** A reader that is this far behind is dropped; it resumes from its last id. A desk may have a thousand entries to read at once. */
const BEHIND_BYTES_MAX = 2 * 1024 * 1024;
/** [S7] What was said still holds. An event, no comment: a browser's own reader of streams tells of no comment. */
const BEAT = encodeEvent({ name: 'beat', data: {} });

export function makeHub(clock: ServerTime): Hub {
  const channels = new Map<string, Set<Listener>>();
  const all = new Set<Listener>();
  const byHolder = new Map<string, Listener>();
  let isBeating = false;

  const beat = (): void => {
    for (const listener of [...all]) push(listener, BEAT);
    isBeating = all.size > 0;
    if (isBeating) clock.wakeAt(clock.now() + BEAT_EVERY_MS, beat);
  };

  const push = (listener: Listener, bytes: Uint8Array): void => {
    if (listener.sink.behind() > BEHIND_BYTES_MAX) {
      listener.sink.drop(); // what waits for it would stay in memory until its line dies
      return listener.close();
    }
    try {
      listener.sink.write(bytes);
    } catch {
      listener.close(); // its reader has gone; it comes back by itself
    }
  };

  return {
    open: ({ channels: names, holder = null, sink, onClose }) => {
      if (holder !== null) byHolder.get(holder)?.close();
      const close = (): void => {
        if (!all.delete(listener)) return;
        if (holder !== null && byHolder.get(holder) === listener) byHolder.delete(holder);
        for (const name of names) {
          channels.get(name)?.delete(listener);
          if (channels.get(name)?.size === 0) channels.delete(name);
        }
        onClose?.();
        try {
          sink.end();
        } catch {
          // Its reader has gone.
        }
      };
      const listener: Listener = { sink, close };
      all.add(listener);
      if (holder !== null) byHolder.set(holder, listener);
      for (const name of names) channels.set(name, (channels.get(name) ?? new Set()).add(listener));
      if (!isBeating) {
        isBeating = true;
        clock.wakeAt(clock.now() + BEAT_EVERY_MS, beat);
      }
      return {
        close,
        isOpen: () => all.has(listener),
        send: (event) => all.has(listener) && push(listener, encodeEvent(event)),
      };
    },
    send: (channel, event) => {
      const listeners = channels.get(channel);
      if (listeners === undefined) return;
      const bytes = encodeEvent(event);
      for (const listener of [...listeners]) push(listener, bytes);
    },
    count: (channel, otherThan = null) => {
      const listeners = channels.get(channel);
      const own = otherThan === null ? undefined : byHolder.get(otherThan);
      return (listeners?.size ?? 0) - (own !== undefined && listeners?.has(own) ? 1 : 0);
    },
    end: (channel, last) => {
      const bytes = encodeEvent(last);
      for (const listener of [...(channels.get(channel) ?? [])]) {
        push(listener, bytes);
        listener.close();
      }
    },
    closeAll: () => {
      for (const listener of [...all]) listener.close();
    },
  };
}

function encodeEvent({ name, data, id }: HubEvent): Uint8Array {
  return encode(`${id === undefined ? '' : `id: ${id}\n`}event: ${name}\ndata: ${JSON.stringify(data)}\n\n`);
}

function encode(text: string): Uint8Array {
  return Buffer.from(text, 'utf8');
}

/** The body of a stream: it is opened when its head was sent, and then told what it is to know at first. */
export function openEvents(
  hub: Hub,
  options: () => Omit<Parameters<Hub['open']>[0], 'sink'>,
  first: (opened: HubStream) => Promise<void>,
): EventBody {
  return {
    start: (sink) => {
      const opened = hub.open({ ...options(), sink });
      first(opened).catch((error: unknown) => {
        log.error({ error }, 'A stream could not be begun.');
        opened.close(); // its reader opens another one
      });
      return opened.close;
    },
  };
}

/** Headers of every event stream; no proxy may hold it back or change it. */
export const STREAM_HEADERS = {
  'Content-Type': 'text/event-stream; charset=utf-8',
  'Cache-Control': 'no-cache, no-transform',
  'X-Accel-Buffering': 'no',
} as const;

/** Whom a stream is for: somebody's tab, by the id it made up for itself. Null: it named none. */
export function holderOf(request: HttpRequest, who: string): string | null {
  const tab = new URL(request.url).searchParams.get('tab') ?? '';
  return /^[a-z0-9]{26}$/.test(tab) ? `${who}:${tab}` : null;
}
