import { MOMENT_WORDS } from '../../wording/moments';
import type { MomentCard } from './moment-cards';
import type { DrawnTransition } from './transitions';

/** What a moment card is called for a screen reader: all that is drawn on it, and where its transitions lead. */
export function momentCardName(
  { moment, reachability, words, outOfReach, deadEnd, cases }: MomentCard,
  transitions: readonly DrawnTransition[],
): string {
  const isWalked = reachability === 'here' || reachability === 'on-the-way';
  return [
    MOMENT_WORDS[moment].name,
    isWalked ? 'this visitor gets here by themselves' : '',
    words,
    cases.length === 0 ? '' : `other wording for: ${cases.join('; ')}`,
    outOfReach ?? '',
    deadEnd === null ? '' : `Dead end: ${deadEnd}`,
    ...transitions
      .filter(({ from }) => from === moment)
      .map(({ to, full }) => `leads to ${MOMENT_WORDS[to].name}: ${full}`),
  ]
    .filter(Boolean)
    .join('. ');
}
