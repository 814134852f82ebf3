import { MOMENT_WORDS } from '../../wording/moments';
import type { MomentCard } from './moment-cards';
import type { DrawnTransition } from './transitions';
import { PATH_WORDS } from '../../wording/screens/path';

/** What a moment card is called for a screen reader: all that is drawn on it, and where its transitions lead. */
export function momentCardName(
  { moment, reachability, words, outOfReach, deadEnd, cases }: MomentCard,
  transitions: readonly DrawnTransition[],
): string {
  const isWalked = reachability === 'here' || reachability === 'on-the-way';
  return [
    MOMENT_WORDS[moment].name,
    isWalked ? PATH_WORDS.getsHereByThemselves : '',
    words,
    cases.length === 0 ? '' : PATH_WORDS.otherWordingFor(cases.join('; ')),
    outOfReach ?? '',
    deadEnd === null ? '' : PATH_WORDS.deadEnd(deadEnd),
    ...transitions
      .filter(({ from }) => from === moment)
      .map(({ to, full }) => PATH_WORDS.leadsTo(MOMENT_WORDS[to].name, full)),
  ]
    .filter(Boolean)
    .join('. ');
}
