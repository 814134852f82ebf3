import { EMPTY_MEMORY, type Memory } from '../core/model/memory';
import type { Level } from '../core/model/circumstances';

/**
 * What this browser keeps for the visitor under one key; in this page only where the level or the browser forbids more
 * ([V7]). What visitors asked for is read here; visits and counters are the visit runtime's, which judges them before it believes
 * them.
 */
export interface VisitorStore {
  level(): Level;
  setLevel(level: Level): void;
  /** As it is now, with what other tabs have written ([I12]). Any part of it may be damaged. */
  read(): Memory;
  write(memory: Memory): void;
  /** Key of the tab's storage for what is unsent; null where nothing may be stored. */
  readonly tabKey: string | null;
  /** Whether something was sent on the page before that is not acknowledged yet. */
  hasUnsent(): boolean;
}

const EMPTY_TEXT = JSON.stringify(EMPTY_MEMORY);

/** Storage that throws (blocked, full) counts as none. */
export function visitorStoreFor(siteKey: string, first: Level): VisitorStore {
  const key = `sunny-porch:${siteKey}`;
  let level = first;
  let seen = '';
  let memory = EMPTY_MEMORY;
  return {
    level: () => level,
    setLevel: (next) => {
      level = next;
    },
    tabKey: first === 'none' ? null : key,
    hasUnsent: () => level !== 'none' && fromStorage('sessionStorage', key) !== '',
    read: () => {
      const text = level === 'none' ? seen : fromStorage('localStorage', key);
      if (text !== seen) memory = loosely((seen = text));
      return memory;
    },
    write: (next) => {
      memory = next;
      const text = JSON.stringify(next);
      if (level === 'none') return;
      seen = text === EMPTY_TEXT ? '' : text; // nothing at page load, before there is something
      toStorage(key, seen);
    },
  };
}

/** Damaged counts as none ([V8]). */
function loosely(text: string): Memory {
  try {
    const kept = { ...EMPTY_MEMORY, ...(JSON.parse(text || '{}') as Memory) };
    return kept.v === 1 ? kept : EMPTY_MEMORY;
  } catch {
    return EMPTY_MEMORY; // blocked or damaged
  }
}

function fromStorage(kind: 'localStorage' | 'sessionStorage', key: string): string {
  try {
    return window[kind].getItem(key) ?? '';
  } catch {
    return ''; // blocked
  }
}

function toStorage(key: string, text: string): void {
  try {
    if (text === fromStorage('localStorage', key)) return;
    if (text === '') localStorage.removeItem(key);
    else localStorage.setItem(key, text);
  } catch {
    // Blocked or full: this page still knows.
  }
}
