import type { TransitionId } from '../../../core/model/transition';
import { memo } from 'react';
import ButtonBase from '@mui/material/ButtonBase';
import { SHORT_CHARACTERS_MAX } from '../../wording/transitions';
import {
  LANE_TOP,
  PATH_HEIGHT,
  type PathMeasures,
  CARD_PLACES,
  CARD_HEIGHT,
  TRANSITIONS_AT_REST,
  columnLeft,
} from './path-layout';
import { LineHeads, TransitionLine } from './TransitionLine';
import type { DrawnTransition } from './transitions';

interface PathTransitionsProps {
  readonly measures: PathMeasures;
  readonly width: number;
  readonly transitions: readonly DrawnTransition[];
  /** Ways this visitor goes along by themselves. */
  readonly visited: readonly TransitionId[];
  readonly chosen: TransitionId | null;
  readonly onChoose: (transition: TransitionId) => void;
}

interface Drawing {
  readonly d: string;
  readonly x: number;
  readonly y: number;
  readonly anchor: 'start' | 'middle';
  /** Its words stand on the lower lane's ground. */
  readonly isLow?: boolean;
}

/**
 * The transitions at rest: lines with their short words, each of which opens its settings. Left out for a screen reader
 * and the Tab key: moment cards say where they lead, and the inspector opens the same settings.
 */
export const PathTransitions = memo(function PathTransitions({
  measures,
  width,
  transitions,
  visited,
  chosen,
  onChoose,
}: PathTransitionsProps) {
  const fits = measures.cardWidth >= 152 ? SHORT_CHARACTERS_MAX : 6;
  const drawn = TRANSITIONS_AT_REST.flatMap((id) => {
    const transition = transitions.find((one) => one.id === id);
    const drawing = DRAWINGS[id]?.(measures);
    return transition === undefined || drawing === undefined ? [] : [{ transition, drawing }];
  });
  return (
    <div aria-hidden>
      <svg width={width} height={PATH_HEIGHT} style={{ position: 'absolute', inset: 0 }}>
        <LineHeads />
        {drawn.map(({ transition, drawing }) => (
          <g key={transition.id} data-transition={transition.id}>
            <TransitionLine
              d={drawing.d}
              isWalked={visited.includes(transition.id)}
              isIdle={transition.isIdle}
              isUncertain={transition.isUncertain}
              isChosen={transition.id === chosen}
            />
          </g>
        ))}
      </svg>
      {drawn.map(({ transition, drawing }) =>
        transition.short.length > fits ? null : (
          <ButtonBase
            key={transition.id}
            data-transition-words={transition.id}
            tabIndex={-1}
            onClick={() => onChoose(transition.id)}
            sx={{
              position: 'absolute',
              left: drawing.x,
              top: drawing.y - 4,
              transform: drawing.anchor === 'middle' ? 'translate(-50%, -50%)' : 'translateY(-50%)',
              fontSize: '0.8125rem',
              lineHeight: '1rem',
              px: '3px',
              ml: drawing.anchor === 'middle' ? 0 : '-3px',
              whiteSpace: 'nowrap',
              borderRadius: '6px',
              bgcolor: drawing.isLow ? 'var(--porch-lane)' : 'background.paper',
              ...(transition.id === chosen ? { boxShadow: '0 0 0 2px var(--porch-door)' } : {}),
              '&:hover': { textDecoration: 'underline' },
            }}
          >
            {transition.short}
          </ButtonBase>
        ),
      )}
    </div>
  );
});

const MIDDLE = {
  upper: LANE_TOP.upper + CARD_HEIGHT / 2,
  lower: LANE_TOP.lower + CARD_HEIGHT / 2,
} as const;

function edges(moment: string, measures: PathMeasures) {
  const place = CARD_PLACES.find((momentCard) => momentCard.moment === moment);
  if (place === undefined) throw new Error(`Expected a card for "${moment}".`);
  const left = columnLeft(place.column, measures);
  return {
    left,
    right: left + measures.cardWidth,
    centre: left + measures.cardWidth / 2,
    middle: MIDDLE[place.lane],
    top: LANE_TOP[place.lane],
    bottom: LANE_TOP[place.lane] + CARD_HEIGHT,
  };
}

function along(from: string, to: string): (measures: PathMeasures) => Drawing {
  return (measures) => {
    const [a, b] = [edges(from, measures), edges(to, measures)];
    const mid = (a.right + b.left) / 2;
    return {
      d: `M${a.right} ${a.middle}H${b.left}`,
      x: mid,
      y: a.middle - 8,
      anchor: 'middle',
    };
  };
}

/** Straight down, or up, from one lane to the other. */
function between(from: string, to: string): (measures: PathMeasures) => Drawing {
  return (measures) => {
    const [a, b] = [edges(from, measures), edges(to, measures)];
    const isDown = a.top < b.top;
    const [start, end] = isDown ? [a.bottom, b.top] : [a.top, b.bottom];
    return {
      d: `M${a.centre} ${start}V${end}`,
      x: a.centre + 8,
      y: (start + end) / 2 + 4,
      anchor: 'start',
    };
  };
}

const DRAWINGS: Partial<Record<TransitionId, (measures: PathMeasures) => Drawing>> = {
  'invitation-shown': along('passing-by', 'invited'),
  // Under Invited, in the gap between the lanes.
  'launcher-clicked': (measures) => {
    const [a, b] = [edges('passing-by', measures), edges('at-the-door', measures)];
    const low = a.bottom + 13;
    const d = `M${a.centre} ${a.bottom}C${a.centre + 6} ${low} ${a.centre + 20} ${low} ${a.centre + 44} ${low}H${b.left - 14}C${b.left + 6} ${low} ${b.left + 22} ${low - 2} ${b.left + 26} ${b.bottom}`;
    return { d, x: (a.right + b.left) / 2, y: low + 4, anchor: 'middle' };
  },
  'invitation-accepted': along('invited', 'at-the-door'),
  'first-message-sent': along('at-the-door', 'waiting'),
  'availability-lost': between('at-the-door', 'nobody-home'),
  'responder-joined': along('waiting', 'talking'),
  'answer-overdue': between('waiting', 'slow-reply'),
  // Answered after all: back up across the lanes.
  'answer-after-all': (measures) => {
    const [a, b] = [edges('slow-reply', measures), edges('talking', measures)];
    const d = `M${a.right - 20} ${a.top}C${a.right - 10} ${a.top - 14} ${b.left + 10} ${b.bottom + 16} ${b.left + 30} ${b.bottom}`;
    return { d, x: (a.right + b.left) / 2 + 4, y: (a.top + b.bottom) / 2 + 4, anchor: 'middle' };
  },
  'address-left': (measures) => ({ ...along('slow-reply', 'note-left')(measures), isLow: true }),
  'conversation-ended': along('talking', 'goodbye'),
  // Under Slow reply, along the lower edge.
  'note-sent': (measures) => {
    const [a, b] = [edges('nobody-home', measures), edges('note-left', measures)];
    const low = PATH_HEIGHT - 3;
    const d = `M${a.right - 30} ${a.bottom}C${a.right - 20} ${low} ${a.right - 4} ${low} ${a.right + 14} ${low}H${b.left - 14}C${b.left + 4} ${low} ${b.left + 20} ${low} ${b.left + 30} ${b.bottom}`;
    return {
      d,
      x: a.right + (measures.pitch - measures.cardWidth) / 2,
      y: a.bottom - 8,
      anchor: 'middle',
      isLow: true,
    };
  },
};
