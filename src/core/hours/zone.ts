import { type EpochMs, HOUR_MS, MINUTE_MS } from '../model/units';

/**
 * [H16] Offsets of a zone as they travel: alternating minutes since the change before (the first since 1970), and
 * minutes east of UTC from then on. The first offset also holds for all that lies before.
 */
export type ZoneOffsets = readonly number[];

/** The same, ready to be asked: from `starts[i]` on, the wall clock is `offsets[i]` ahead of UTC, both in ms. */
export interface Zone {
  readonly starts: readonly EpochMs[];
  readonly offsets: readonly number[];
}

/** Reads offsets as they travel. */
export function toZone(pairs: ZoneOffsets): Zone {
  const starts: number[] = [];
  const offsets: number[] = [];
  let at = 0;
  for (let index = 0; index + 1 < pairs.length; index += 2) {
    at += (pairs[index] ?? 0) * MINUTE_MS;
    starts.push(at);
    offsets.push((pairs[index + 1] ?? 0) * MINUTE_MS);
  }
  return { starts, offsets };
}

/** Offset of the wall clock at an instant, in ms east of UTC; 0 for a zone without data. */
export function offsetAt(zone: Zone, instant: EpochMs): number {
  return zone.offsets[indexAt(zone, instant)] ?? 0;
}

/** Place of the offset that holds at an instant. */
function indexAt({ starts }: Zone, instant: EpochMs): number {
  let low = 0;
  let high = starts.length - 1;
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if ((starts[middle] ?? 0) <= instant) low = middle;
    else high = middle - 1;
  }
  return low;
}

/** A run of instants, from `from` on, up to and without `until`. */
export interface Span {
  readonly from: EpochMs;
  readonly until: EpochMs;
}

/** No wall clock is further from UTC than this. */
const OFFSET_MAX_MS = 26 * HOUR_MS;

/**
 * [H4] The smallest run of instants that holds every instant at which the wall clock reads a date-time in
 * [from, until), both in ms as if the wall were UTC; null where there is none ([H3] says which date an interval has).
 */
export function spanOfWall(zone: Zone, from: number, until: number): Span | null {
  const { starts, offsets } = zone;
  let first = Infinity;
  let last = -Infinity;
  const nearest = indexAt(zone, from - OFFSET_MAX_MS);
  for (let index = nearest; index < starts.length; index++) {
    if (index > nearest && (starts[index] ?? 0) >= until + OFFSET_MAX_MS) break;
    const offset = offsets[index] ?? 0;
    const begins = index === 0 ? -Infinity : (starts[index] ?? 0);
    const ends = starts[index + 1] ?? Infinity;
    const low = Math.max(from - offset, begins);
    const high = Math.min(until - offset, ends);
    if (low >= high) continue;
    first = Math.min(first, low);
    last = Math.max(last, high);
  }
  return first < last ? { from: first, until: last } : null;
}
