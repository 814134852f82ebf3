import type { DrawnMoment } from '../../../core/model/moment';
import type { Moment } from '../../../core/model/moment';
import type { TransitionId } from '../../../core/model/transition';

/** Where a moment card stands: column 1 to 6, upper lane or lower. */
export interface CardPlace {
  readonly moment: DrawnMoment;
  readonly column: number;
  readonly lane: 'upper' | 'lower';
}

/** Fixed places, in visit order. Slow reply is where “somebody” turns into “not yet”: it stands in the lower lane. */
export const CARD_PLACES: readonly CardPlace[] = [
  { moment: 'passing-by', column: 1, lane: 'upper' },
  { moment: 'invited', column: 2, lane: 'upper' },
  { moment: 'at-the-door', column: 3, lane: 'upper' },
  { moment: 'waiting', column: 4, lane: 'upper' },
  { moment: 'talking', column: 5, lane: 'upper' },
  { moment: 'goodbye', column: 6, lane: 'upper' },
  { moment: 'nobody-home', column: 3, lane: 'lower' },
  { moment: 'slow-reply', column: 4, lane: 'lower' },
  { moment: 'note-left', column: 5, lane: 'lower' },
];

/** The transitions that stand between the moment cards at rest; the inspector says all of them. */
export const TRANSITIONS_AT_REST: readonly TransitionId[] = [
  'invitation-shown',
  'launcher-clicked',
  'invitation-accepted',
  'first-message-sent',
  'availability-lost',
  'responder-joined',
  'answer-overdue',
  'answer-after-all',
  'address-left',
  'conversation-ended',
  'note-sent',
];

export interface PathMeasures {
  readonly cardWidth: number;
  readonly pitch: number;
}

export const CARD_HEIGHT = 58;
export const LANE_TOP = { upper: 8, lower: 90 } as const;
export const PATH_HEIGHT = 156;
const MARGIN = 16;
const FREE_RIGHT = 74;

/** Pitch and width of the moment cards for a width: 204 and 152 from 1280 on, narrower without pictures below. */
export function pathMeasures(width: number): PathMeasures {
  const cardWidth = width < 1200 ? 116 : 152;
  return {
    cardWidth,
    pitch: Math.max(cardWidth + 24, Math.floor((width - MARGIN - FREE_RIGHT - cardWidth - 16) / 5)),
  };
}

/** Left edge of a column. */
export function columnLeft(column: number, { pitch }: PathMeasures): number {
  return MARGIN + (column - 1) * pitch;
}

/** The moment card an arrow key leads to from one: along a lane, or to the nearest column of the other. */
export function neighbourOf(moment: DrawnMoment, key: string): DrawnMoment | null {
  const here = CARD_PLACES.find((momentCard) => momentCard.moment === moment);
  if (here === undefined) return null;
  const lane = (name: 'upper' | 'lower') => CARD_PLACES.filter((momentCard) => momentCard.lane === name);
  if (key === 'ArrowRight') return lane(here.lane).find(({ column }) => column > here.column)?.moment ?? null;
  if (key === 'ArrowLeft')
    return (
      lane(here.lane)
        .filter(({ column }) => column < here.column)
        .at(-1)?.moment ?? null
    );
  const other = key === 'ArrowDown' ? 'lower' : key === 'ArrowUp' ? 'upper' : here.lane;
  if (other === here.lane) return null;
  const nearest = [...lane(other)].sort(
    (a, b) => Math.abs(a.column - here.column) - Math.abs(b.column - here.column),
  )[0];
  return nearest?.moment ?? null;
}

/** Whether a moment stands in the right half: a card beside it stands on the other side. */
export function isFarRight(moment: Moment): boolean {
  return (CARD_PLACES.find((momentCard) => momentCard.moment === moment)?.column ?? 1) > 3;
}
