import { EMPTY_MEMORY, type Happening, type Memory, readMemory, remember } from '../core/decide/remember';

/** What this browser keeps for the visitor; in this page only where the level or the browser forbids more ([V7]). */
export interface Keep {
  read(): Memory;
  happen(happening: Happening): void;
  /** Key of the tab's storage for what is unsent; null where nothing may be stored. */
  readonly tabKey: string | null;
  /** Whether something was sent on the page before that is not acknowledged yet. */
  hasUnsent(): boolean;
}

/** `mayStore` is false while the page waits for consent. Storage that throws (blocked, full) counts as none. */
export function keepFor(siteKey: string, mayStore: boolean): Keep {
  const key = `sunny-porch:${siteKey}`;
  let memory = mayStore ? readMemory(fromStorage(key)) : EMPTY_MEMORY;
  return {
    tabKey: mayStore ? key : null,
    hasUnsent: () => mayStore && fromStorage(key, 'sessionStorage') !== null,
    read: () => memory,
    happen: (happening) => {
      memory = remember(memory, happening);
      if (mayStore) toStorage(key, memory === EMPTY_MEMORY ? null : JSON.stringify(memory));
    },
  };
}

function fromStorage(key: string, kind: 'localStorage' | 'sessionStorage' = 'localStorage'): string | null {
  try {
    return window[kind].getItem(key);
  } catch {
    return null;
  }
}

function toStorage(key: string, text: string | null): void {
  try {
    if (text === null) localStorage.removeItem(key);
    else localStorage.setItem(key, text);
  } catch {
    // Blocked or full: this page still knows.
  }
}
