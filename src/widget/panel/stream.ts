import { type SilencePort, watchSilence } from '../../core/wire/silence';
import { type StreamEvent, eventCutter } from './event-stream';

export interface StreamPort extends SilencePort {
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

/**
 * One stream of events that resumes where it broke, later and later the more tries have failed; one that has gone silent
 * counts as broken, and is opened again at once where it had been alive.
 */
export function messageStream(port: StreamPort): MessageStream {
  const state = { own: null as AbortController | null };

  const run = async ({ signal }: AbortController): Promise<void> => {
    for (let failedTries = 0; !signal.aborted;) {
      const end = await oneLine(port, signal);
      if (signal.aborted) return;
      port.setConnected(false);
      if (end !== 'failed') failedTries = 0;
      if (end !== 'silent') await port.pause(failedTries++);
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

/** Opens the stream once and hears it to its end: it never came, it broke, or it fell silent after it had come. */
async function oneLine(port: StreamPort, own: AbortSignal): Promise<'failed' | 'broken' | 'silent'> {
  const line = new AbortController();
  const watch = watchSilence(port, () => line.abort());
  const stop = (): void => line.abort();
  own.addEventListener('abort', stop);
  let hasCome = false;
  try {
    const { ok, status, body } = await port.open(line.signal);
    if (!ok || body === null) throw new Error(`The stream answered ${status}.`);
    hasCome = true;
    port.setConnected(true);
    await readAll(body, port.hear, watch.heard);
  } catch {
    // Whatever broke it, it is opened again.
  }
  watch.stop();
  own.removeEventListener('abort', stop);
  if (!hasCome) return 'failed';
  return line.signal.aborted ? 'silent' : 'broken';
}

async function readAll(
  body: ReadableStream<Uint8Array>,
  hear: (event: StreamEvent) => void,
  heard: () => void,
): Promise<void> {
  const cut = eventCutter(hear);
  const decoder = new TextDecoder();
  const reader = body.getReader();
  for (let part = await reader.read(); !part.done; part = await reader.read()) {
    heard();
    cut(decoder.decode(part.value, { stream: true }));
  }
}
