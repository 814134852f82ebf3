import { isRecord } from '../model/json';
import { DAY_MS, type EpochMs } from '../model/units';
import {
  EARLIER_VISITS_MAX,
  EMPTY_MEMORY,
  MEMORY_UNITS_MAX,
  type Memory,
  TRAIL_MAX,
  type VisitRecord,
} from '../model/memory';

/**
 * Reads what was kept: damaged, foreign or too long counts as none; instants in the future count as now ([D4], [V8]).
 */
export function readMemory(text: string | null, now: EpochMs): Memory {
  if (text === null || text.length > MEMORY_UNITS_MAX) return EMPTY_MEMORY;
  try {
    const kept: unknown = JSON.parse(text);
    if (!isRecord(kept) || kept['v'] !== 1) return EMPTY_MEMORY;
    const { token } = kept;
    return {
      v: 1,
      token: typeof token === 'string' && /^[\w-]{20,80}$/.test(token) ? token : null,
      seenId: typeof kept['seenId'] === 'number' ? count(kept['seenId']) : null,
      putAwayUntil: instantUpTo(kept['putAwayUntil'], now + DAY_MS),
      restUntil: instantUpTo(kept['restUntil'], now + 366 * DAY_MS),
      visit: readVisit(kept['visit'], now),
      before: listOf(kept['before'], (one) => instantUpTo(one, now)).slice(0, EARLIER_VISITS_MAX),
      counts: recordOf(kept['counts'], (one) => readCount(one, now)),
      trail: listOf(kept['trail'], (one) => readStep(one, now)).slice(-TRAIL_MAX),
      replies: recordOf(kept['replies'], (one) => (typeof one === 'string' ? one : null)),
    };
  } catch {
    return EMPTY_MEMORY; // damaged: begun anew
  }
}

function readVisit(kept: unknown, now: EpochMs): VisitRecord | null {
  if (!isRecord(kept)) return null;
  const startedAt = instantUpTo(kept['startedAt'], now);
  const lastAt = instantUpTo(kept['lastAt'], now);
  const [number, pages] = [count(kept['number']), count(kept['pages'])];
  if (startedAt === null || lastAt === null || number === 0 || pages === 0) return null;
  return {
    number,
    startedAt: Math.min(startedAt, lastAt),
    lastAt,
    doneMs: count(kept['doneMs']),
    tabs: count(kept['tabs']),
    pages,
    referrer: textOrNull(kept['referrer']),
    campaign: textOrNull(kept['campaign']),
    shown: count(kept['shown']),
    leftAt: instantUpTo(kept['leftAt'], now),
  };
}

function readCount(kept: unknown, now: EpochMs): readonly [number, number, EpochMs] | null {
  if (!Array.isArray(kept)) return null;
  const [visit, total, at] = kept as unknown[];
  const last = instantUpTo(at, now);
  return last === null ? null : [count(visit), count(total), last];
}

function readStep(kept: unknown, now: EpochMs): readonly [string, EpochMs] | null {
  if (!Array.isArray(kept) || typeof kept[0] !== 'string') return null;
  const at = instantUpTo(kept[1], now);
  return at === null ? null : [kept[0], at];
}

/** An instant, at most `limit`; null where it is none. */
function instantUpTo(kept: unknown, limit: EpochMs): EpochMs | null {
  return typeof kept === 'number' && kept > 0 ? Math.min(kept, limit) : null;
}

function count(kept: unknown): number {
  return typeof kept === 'number' && kept >= 0 && kept < 1e12 ? Math.floor(kept) : 0;
}

function textOrNull(kept: unknown): string | null {
  return typeof kept === 'string' ? kept : null;
}

function listOf<T>(kept: unknown, read: (one: unknown) => T | null): T[] {
  return Array.isArray(kept) ? kept.map(read).filter((one): one is Awaited<T> & T => one !== null) : [];
}

function recordOf<T>(kept: unknown, read: (one: unknown) => T | null): Record<string, T> {
  const entries = Object.entries(isRecord(kept) ? kept : {}).map(([name, one]) => [name, read(one)] as const);
  return Object.fromEntries(
    entries.filter((entry): entry is readonly [string, Awaited<T> & T] => entry[1] !== null),
  );
}
