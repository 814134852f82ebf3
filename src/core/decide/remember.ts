import type { EpochMs } from '../model/units';

/** What a browser keeps of a visitor under one key, at most 4 KB ([V7], [V8]). */
export interface Memory {
  readonly v: 1;
  /** Only once they have written. */
  readonly token: string | null;
  /** Until when the launcher stays put away; null: it does not. */
  readonly putAwayUntil: EpochMs | null;
}

export type Happening =
  | { readonly kind: 'wrote'; readonly token: string }
  | { readonly kind: 'put-away'; readonly until: EpochMs }
  | { readonly kind: 'token-refused' }
  | { readonly kind: 'forgotten' };

export const EMPTY_MEMORY: Memory = { v: 1, token: null, putAwayUntil: null };

/** The memory after something happened. */
export function remember(memory: Memory, happening: Happening): Memory {
  switch (happening.kind) {
    case 'wrote':
      return { ...memory, token: happening.token };
    case 'put-away':
      return { ...memory, putAwayUntil: happening.until };
    case 'token-refused':
      return { ...memory, token: null };
    case 'forgotten':
      return EMPTY_MEMORY;
  }
}

/** Reads what was kept; damaged, foreign or too long counts as none ([D4], [V8]). */
export function readMemory(text: string | null): Memory {
  if (text === null || text.length > 4096) return EMPTY_MEMORY;
  try {
    const kept: unknown = JSON.parse(text);
    if (typeof kept !== 'object' || kept === null || (kept as Memory).v !== 1) return EMPTY_MEMORY;
    const { token, putAwayUntil } = kept as Memory;
    return {
      v: 1,
      token: typeof token === 'string' && /^[\w-]{20,80}$/.test(token) ? token : null,
      putAwayUntil: typeof putAwayUntil === 'number' && Number.isFinite(putAwayUntil) ? putAwayUntil : null,
    };
  } catch {
    return EMPTY_MEMORY;
  }
}
