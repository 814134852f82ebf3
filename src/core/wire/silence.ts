import { type EpochMs, SECOND_MS } from '../model/units';

/** On every stream the server says at least this often that it is there: an event named `beat`, which says nothing more. */
export const BEAT_EVERY_MS = 5 * SECOND_MS;

/** A stream that has said nothing for so long is dead, though nothing says so: two beats are missing. */
export const SILENCE_MS = 12 * SECOND_MS;

export interface SilencePort {
  now(): EpochMs;
  /** Calls once at an instant. Gives the way to cancel. */
  wakeAt(instant: EpochMs, call: () => void): () => void;
  /** Calls whenever the page wakes: timers of a page that sleeps stand still. Gives the way to stop. */
  onWake(call: () => void): () => void;
}

export interface SilenceWatch {
  /** Something came, whatever it was. */
  heard(): void;
  stop(): void;
}

/** Watches one stream from now on, and calls once as soon as it has been silent for too long. */
export function watchSilence({ now, wakeAt, onWake }: SilencePort, silent: () => void): SilenceWatch {
  let heardAt = now();
  let cancel = (): void => undefined;
  const look = (): void => {
    cancel();
    if (now() - heardAt < SILENCE_MS) {
      cancel = wakeAt(heardAt + SILENCE_MS, look);
      return;
    }
    stop();
    silent();
  };
  const stopWakes = onWake(look);
  const stop = (): void => {
    cancel();
    stopWakes();
  };
  look();
  return {
    heard: () => {
      heardAt = now();
    },
    stop,
  };
}
