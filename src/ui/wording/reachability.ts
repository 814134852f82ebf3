import type { WidgetState } from '../../core/model/moment';
import type { DrawnMoment } from '../../core/model/moment';

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
  if (moment !== 'invited') return onlyWhile(moment, state);
  if (!hasInvitations) return 'no invitations';
  return state === 'closed' || state === 'nobody'
    ? onlyWhile(moment, state)
    : (why ?? 'not for this visitor here');
}

/** What a moment takes that this state is not; where the state would do, the owner has set something else for it. */
function onlyWhile(moment: DrawnMoment, state: WidgetState): string {
  const canAnswer = state !== 'nobody' && state !== 'closed';
  if (moment === 'nobody-home' || moment === 'note-left')
    return canAnswer ? 'only while nobody is answering' : SET_OTHERWISE;
  if (canAnswer) return SET_OTHERWISE;
  return state === 'closed' ? 'only during opening hours' : 'only while somebody is answering';
}

const SET_OTHERWISE = 'see “Who can answer?”';
