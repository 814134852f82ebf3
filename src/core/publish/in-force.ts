import type { EpochMs } from '../model/units';

/** A version made live: from an instant on, or for a period only ([L6]). */
export interface Publication {
  readonly id: string;
  readonly version: number;
  readonly from: EpochMs;
  /** Null: until another one is published. */
  readonly until: EpochMs | null;
}

/**
 * [L5] Which version is in force at an instant: that of the period the instant lies in, else what was published last
 * before it. Null: nothing was. A period goes back to what is published *then*, not to what was before it ([L6]).
 */
export function versionInForce(publications: readonly Publication[], now: EpochMs): number | null {
  const period = periodAt(publications, now);
  if (period !== null) return period.version;
  return (
    publications
      .filter(({ from, until }) => until === null && from <= now)
      .reduce<Publication | null>(later, null)?.version ?? null
  );
}

/** [L6] The period an instant lies in; null: none. */
export function periodAt(publications: readonly Publication[], now: EpochMs): Publication | null {
  return publications.find(({ from, until }) => until !== null && from <= now && now < until) ?? null;
}

/** Of two of the same instant the one of the higher number counts: it was made later. */
function later(best: Publication | null, one: Publication): Publication {
  return best === null || one.from > best.from || (one.from === best.from && one.version > best.version)
    ? one
    : best;
}

/** [L5] The next instant at which the version in force is another one; null: none is planned. */
export function nextVersionChange(publications: readonly Publication[], now: EpochMs): EpochMs | null {
  const current = versionInForce(publications, now);
  const edges = publications
    .flatMap(({ from, until }) => (until === null ? [from] : [from, until]))
    .filter((at) => at > now);
  return edges.sort((a, b) => a - b).find((at) => versionInForce(publications, at) !== current) ?? null;
}

/** [L6] Periods may not overlap: the ones that a new one would meet, the earliest first. */
export function overlapping(
  publications: readonly Publication[],
  from: EpochMs,
  until: EpochMs,
): Publication[] {
  return publications
    .filter((one) => one.until !== null && one.from < until && from < one.until)
    .sort((a, b) => a.from - b.from);
}
