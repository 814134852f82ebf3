import { MOMENT_WORDS } from '../wording/moments';
import type { Stone } from './stones';
import type { DrawnTransition } from './transitions';

/** What a stone is called for a screen reader: all that is drawn on it, and where its ways lead. */
export function stoneName(
  { moment, nearness, words, outOfReach, crack, cases }: Stone,
  transitions: readonly DrawnTransition[],
): string {
  const isWalked = nearness === 'here' || nearness === 'on-the-way';
  return [
    MOMENT_WORDS[moment].name,
    isWalked ? 'this visitor gets here by themselves' : '',
    words,
    cases.length === 0 ? '' : `said differently for: ${cases.join('; ')}`,
    outOfReach ?? '',
    crack === null ? '' : `Dead end: ${crack}`,
    ...transitions
      .filter(({ from }) => from === moment)
      .map(({ to, full }) => `leads to ${MOMENT_WORDS[to].name}: ${full}`),
  ]
    .filter(Boolean)
    .join('. ');
}
