import type { Design, Widget } from '../../../core/model/design';
import { TRANSITIONS, TRANSITIONS_BY_TIME, type TransitionId } from '../../../core/model/transition';
import type { Moment } from '../../../core/model/moment';
import { type TransitionLabel, labelOfTransition } from '../../../core/rehearse/label-of-transition';
import type { MomentCard } from './moment-cards';
import { type TransitionWords, laterWords, transitionWords } from '../../wording/transitions';

/** A transition as it is drawn and said. */
export interface DrawnTransition extends TransitionWords {
  readonly id: TransitionId;
  readonly from: Moment;
  readonly to: Moment;
  /** Nothing goes there: it is drawn thin. */
  readonly isIdle: boolean;
  /** It waits for a change that nobody can foretell: it is drawn thin. */
  readonly isUncertain: boolean;
}

/** When a change of the state leads along a transition, in words; null: nobody knows, undefined: it waits for none. */
export type LaterWords = (transition: TransitionId) => string | null | undefined;

/** The transitions of a widget that there are, in their order, with their words. */
export function transitionsOf(
  design: Design,
  widget: Widget,
  {
    teamName,
    first,
    later,
  }: { readonly teamName: (id: string) => string; readonly first: string | null; readonly later: LaterWords },
): DrawnTransition[] {
  return TRANSITIONS.flatMap(({ id, from, to }) => {
    const label = labelOfTransition(design, widget, id, first);
    if (label === null) return [];
    const words = transitionWords(label, { teamName });
    const when = IDLE.has(label.code) ? undefined : later(id);
    return [
      {
        id,
        from,
        to,
        isIdle: IDLE.has(label.code),
        isUncertain: when === null,
        ...(when ? laterWords(words, when) : words),
      },
    ];
  });
}

/** Labels of transitions that lead nowhere as things are set. */
const IDLE: ReadonlySet<TransitionLabel['code']> = new Set([
  'no-invitations',
  'stays-waiting',
  'asks-nothing-else',
]);

/** Whether this visitor goes along a transition by themselves: both its ends are reached so, and time alone leads along it. */
export function isVisitedTransition(
  { id, from, to }: DrawnTransition,
  momentCards: readonly MomentCard[],
): boolean {
  const isWalked = (moment: Moment): boolean =>
    momentCards.some(
      (one) => one.moment === moment && (one.reachability === 'here' || one.reachability === 'on-the-way'),
    );
  return TRANSITIONS_BY_TIME.includes(id) && isWalked(from) && isWalked(to);
}
