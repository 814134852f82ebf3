import type { WidgetState } from '../../core/model/moment';
import type { DrawnMoment } from '../../core/model/moment';

const WHILE: Readonly<Record<WidgetState, string>> = {
  in: 'not while somebody is in',
  nearby: 'not while somebody is nearby',
  busy: 'not while everybody is busy',
  nobody: 'not while nobody is in',
  closed: 'not while closed',
};

/** Why a moment cannot be reached in these circumstances, as short as a moment card. */
export function againstWords(
  moment: DrawnMoment,
  {
    isShown,
    state,
    hasInvitations,
    why,
  }: { isShown: boolean; state: WidgetState; hasInvitations: boolean; why: string | null },
): string {
  if (!isShown) return 'not on this page';
  if (moment !== 'invited') return WHILE[state];
  if (!hasInvitations) return 'no invitations';
  return state === 'closed' || state === 'nobody' ? WHILE[state] : (why ?? 'not here, for this visitor');
}
