import { type StreamEvent, eventCutter } from './event-stream';

export interface StreamPort {
  open(signal: AbortSignal): Promise<Response>;
  hear(event: StreamEvent): void;
  setConnected(value: boolean): void;
  /** Resolves when it is time for the next try. */
  pause(failedTries: number): Promise<void>;
}

export interface MessageStream {
  /** Keeps one stream open, or none. */
  listen(value: boolean): void;
  /** The same again from the start, where one is kept: it was opened for somebody else. */
  restart(): void;
}

/** One stream of events that resumes where it broke, later and later the more tries have failed. */
export function messageStream({ open, hear, setConnected, pause }: StreamPort): MessageStream {
  const state = { own: null as AbortController | null };

  const run = async ({ signal }: AbortController): Promise<void> => {
    for (let failedTries = 0; !signal.aborted; failedTries++) {
      try {
        const { ok, status, body } = await open(signal);
        if (!ok || body === null) throw new Error(`The stream answered ${status}.`);
        failedTries = 0;
        setConnected(true);
        await readAll(body, hear);
      } catch {
        // Whatever broke it, it is opened again below.
      }
      if (signal.aborted) return;
      setConnected(false);
      await pause(failedTries);
    }
  };

  const begin = (): void => {
    state.own = new AbortController();
    void run(state.own);
  };

  return {
    listen: (value) => {
      if (value === (state.own !== null)) return;
      state.own?.abort();
      state.own = null;
      if (value) begin();
    },
    restart: () => {
      if (state.own === null) return;
      state.own.abort();
      begin();
    },
  };
}

async function readAll(body: ReadableStream<Uint8Array>, hear: (event: StreamEvent) => void): Promise<void> {
  const cut = eventCutter(hear);
  const decoder = new TextDecoder();
  const reader = body.getReader();
  for (let part = await reader.read(); !part.done; part = await reader.read())
    cut(decoder.decode(part.value, { stream: true }));
}
