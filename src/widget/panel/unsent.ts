import type { Outgoing } from './outbox';

/** What was sent here and is not acknowledged yet, with the token that the first of it was sent under. */
export interface Unsent {
  readonly token: string | null;
  readonly items: readonly Outgoing[];
}

/** Keeps what is unsent through a change of page: for this tab, and only where the level allows it ([V7]). */
export interface UnsentStore {
  read(): Unsent;
  write(unsent: Unsent): void;
}

const NONE: Unsent = { token: null, items: [] };

/** Over the tab's own storage; blocked or full, this page still knows. */
export function unsentStore(key: string, mayStore: boolean): UnsentStore {
  return {
    read: () => {
      if (!mayStore) return NONE;
      try {
        return toUnsent(JSON.parse(sessionStorage.getItem(key) ?? 'null'));
      } catch {
        return NONE; // blocked or damaged
      }
    },
    write: ({ token, items }) => {
      if (!mayStore) return;
      try {
        if (items.length === 0) sessionStorage.removeItem(key);
        else sessionStorage.setItem(key, JSON.stringify({ token, items }));
      } catch {
        // This page still knows.
      }
    },
  };
}

/** Damaged counts as none ([V8]). */
function toUnsent(kept: unknown): Unsent {
  const { token, items } = (kept ?? {}) as { token?: unknown; items?: unknown };
  if (!Array.isArray(items)) return NONE;
  return {
    token: typeof token === 'string' ? token : null,
    items: items.filter(isOutgoing).map((one) => ({ ...one, standing: 'waiting' })),
  };
}

function isOutgoing(one: unknown): one is Outgoing {
  const { clientId, body, note, page } = (one ?? {}) as Partial<Outgoing>;
  return [clientId, body, page].every((part) => typeof part === 'string') && typeof note === 'object';
}
