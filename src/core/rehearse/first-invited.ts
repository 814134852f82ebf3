import type { Circumstances } from '../model/circumstances';
import type { PublishedSite } from '../wire/published-site';
import { type ReachableMoment, frozenSite, taken } from './find-reachability';
import { beginSimulation } from './visit-simulation';

/** The invitation that a visitor gets first in these circumstances, by the steps that `reach` found; null: none. */
export function firstInvited(
  site: PublishedSite,
  circumstances: Circumstances,
  reached: readonly ReachableMoment[],
): string | null {
  const by = reached.find(({ moment }) => moment === 'invited')?.by ?? null;
  if (by === null) return null;
  const start = beginSimulation(frozenSite(site, circumstances).site, {
    ...circumstances,
    heardAt: circumstances.now,
  });
  const simulation = by.reduce(taken, start);
  return (
    simulation.circumstances.invited?.id ??
    simulation.seen.flatMap((one) => (one.kind === 'invited' ? [one.id] : []))[0] ??
    null
  );
}
