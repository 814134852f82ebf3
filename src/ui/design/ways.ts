import type { Design, Widget } from '../../core/model/design';
import { WAYS, WAYS_BY_TIME, type WayId } from '../../core/model/way';
import type { Moment } from '../../core/model/moment';
import { type WayLabel, labelOfWay } from '../../core/rehearse/label-of-way';
import type { Stone } from './stones';
import { type WayWords, laterWords, wayWords } from '../wording/ways';

/** A way as it is drawn and said. */
export interface DrawnWay extends WayWords {
  readonly id: WayId;
  readonly from: Moment;
  readonly to: Moment;
  /** Nothing goes there: it is drawn thin. */
  readonly isIdle: boolean;
  /** It waits for a change that nobody can foretell: it is drawn thin. */
  readonly isUncertain: boolean;
}

/** When a change of the state leads along a way, in words; null: nobody knows, undefined: it waits for none. */
export type LaterWords = (way: WayId) => string | null | undefined;

/** The ways of a widget that there are, in their order, with their words. */
export function waysOf(
  design: Design,
  widget: Widget,
  {
    teamName,
    first,
    later,
  }: { readonly teamName: (id: string) => string; readonly first: string | null; readonly later: LaterWords },
): DrawnWay[] {
  return WAYS.flatMap(({ id, from, to }) => {
    const label = labelOfWay(design, widget, id, first);
    if (label === null) return [];
    const words = wayWords(label, { teamName });
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

/** Labels of ways that lead nowhere as things are set. */
const IDLE: ReadonlySet<WayLabel['code']> = new Set([
  'no-invitations',
  'never-slow',
  'stays-waiting',
  'asks-nothing-else',
]);

/** Whether this visitor goes along a way by themselves: both its ends are reached so, and time alone leads along it. */
export function isWalkedWay({ id, from, to }: DrawnWay, stones: readonly Stone[]): boolean {
  const isWalked = (moment: Moment): boolean =>
    stones.some((one) => one.moment === moment && (one.nearness === 'here' || one.nearness === 'on-the-way'));
  return WAYS_BY_TIME.includes(id) && isWalked(from) && isWalked(to);
}
