import type { Circumstances } from '../model/circumstances';
import type { PublishedSite } from '../wire/published-site';
import { type Reached, heldStill, taken } from './reach';
import { beginWalk } from './walk';

/** The invitation that a visitor gets first in these circumstances, by the steps that `reach` found; null: none. */
export function firstInvited(
  site: PublishedSite,
  circumstances: Circumstances,
  reached: readonly Reached[],
): string | null {
  const by = reached.find(({ moment }) => moment === 'invited')?.by ?? null;
  if (by === null) return null;
  const start = beginWalk(heldStill(site, circumstances).site, {
    ...circumstances,
    heardAt: circumstances.now,
  });
  const walk = by.reduce(taken, start);
  return (
    walk.circumstances.invited?.id ??
    walk.seen.flatMap((one) => (one.kind === 'invited' ? [one.id] : []))[0] ??
    null
  );
}
