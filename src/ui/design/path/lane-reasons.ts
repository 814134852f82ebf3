import type { MomentCard } from './moment-cards';
import { CARD_PLACES, type CardPlace } from './path-layout';
import { PATH_WORDS } from '../../wording/screens/path';

type Told = Pick<MomentCard, 'moment' | 'outOfReach'>;

/**
 * Why moments are dimmed, once for each lane: the reason that most of its dimmed moments have. Where both lanes have the
 * same, it is said once; no sentence where nothing is dimmed.
 */
export function laneReasons(momentCards: readonly Told[]): readonly string[] {
  const [above, below] = [reasonOf('upper', momentCards), reasonOf('lower', momentCards)];
  if (above === null || below === null || above === below) {
    const one = above ?? below;
    return one === null ? [] : [PATH_WORDS.dimmedLane(one)];
  }
  return [PATH_WORDS.above(above), PATH_WORDS.below(below)];
}

/** Why most of the dimmed moments of a lane are; null: none of them is. */
export function reasonOf(lane: CardPlace['lane'], momentCards: readonly Told[]): string | null {
  const counts = new Map<string, number>();
  for (const { moment, outOfReach } of momentCards) {
    const isIn = CARD_PLACES.some((one) => one.moment === moment && one.lane === lane);
    if (isIn && outOfReach !== null) counts.set(outOfReach, (counts.get(outOfReach) ?? 0) + 1);
  }
  return [...counts].sort(([, a], [, b]) => b - a)[0]?.[0] ?? null;
}
