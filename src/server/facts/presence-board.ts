import { type EpochMs, SECOND_MS } from '../../core/model/units';
import type { ServerTime } from '../live/clock';

/** Who answers the server's pings ([S2]). In memory only: after a restart nobody is in until they answer. */
export interface PresenceBoard {
  /** A stream of the person opened. Gives what to call when it closes. */
  arrive(personId: string): () => void;
  /** The person's page answered a ping. */
  answer(personId: string): void;
  isThere(personId: string): boolean;
  /** Called whenever somebody may have come or gone. */
  onChange(call: (personId: string) => void): void;
}

export const PING_EVERY_MS = 20 * SECOND_MS;
export const SILENT_AFTER_MS = 60 * SECOND_MS;
/** A page that is loaded anew closes its stream for a moment; that is not going away. */
const RELOAD_MS = 3 * SECOND_MS;

export function makePresenceBoard(clock: ServerTime): PresenceBoard {
  const streams = new Map<string, number>();
  const answeredAt = new Map<string, EpochMs>();
  const calls: ((personId: string) => void)[] = [];
  const tell = (personId: string): void => calls.forEach((call) => call(personId));
  const isThere = (personId: string): boolean => {
    const at = answeredAt.get(personId);
    return at !== undefined && clock.now() - at < SILENT_AFTER_MS;
  };
  return {
    isThere,
    arrive: (personId) => {
      streams.set(personId, (streams.get(personId) ?? 0) + 1);
      return () => {
        const left = (streams.get(personId) ?? 1) - 1;
        if (left > 0) return void streams.set(personId, left);
        streams.delete(personId);
        clock.wakeAt(clock.now() + RELOAD_MS, () => {
          if (streams.has(personId)) return;
          answeredAt.delete(personId);
          tell(personId);
        });
      };
    },
    answer: (personId) => {
      if (!streams.has(personId)) return;
      const wasThere = isThere(personId);
      const at = clock.now();
      answeredAt.set(personId, at);
      clock.wakeAt(at + SILENT_AFTER_MS, () => answeredAt.get(personId) === at && tell(personId));
      if (!wasThere) tell(personId);
    },
    onChange: (call) => {
      calls.push(call);
    },
  };
}
