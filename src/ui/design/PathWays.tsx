import type { WayId } from '../../core/model/way';
import { memo } from 'react';
import ButtonBase from '@mui/material/ButtonBase';
import { SHORT_SIGNS_MAX } from '../wording/ways';
import {
  LANE_TOP,
  PATH_HEIGHT,
  type PathMeasures,
  STONES,
  STONE_HEIGHT,
  WAYS_AT_REST,
  columnLeft,
} from './path-layout';
import { WayLine } from './WayLine';
import type { DrawnWay } from './ways';

interface PathWaysProps {
  readonly measures: PathMeasures;
  readonly width: number;
  readonly ways: readonly DrawnWay[];
  /** Ways this visitor goes along by themselves. */
  readonly walked: readonly WayId[];
  readonly chosen: WayId | null;
  readonly onChoose: (way: WayId) => void;
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
 * The ways at rest: fine curves with their short words, each of which opens its settings. Left out for a screen reader
 * and the Tab key: stones say where they lead, and signposts open the same settings.
 */
export const PathWays = memo(function PathWays({
  measures,
  width,
  ways,
  walked,
  chosen,
  onChoose,
}: PathWaysProps) {
  const fits = measures.stoneWidth >= 150 ? SHORT_SIGNS_MAX : 6;
  const drawn = WAYS_AT_REST.flatMap((id) => {
    const way = ways.find((one) => one.id === id);
    const drawing = DRAWINGS[id]?.(measures);
    return way === undefined || drawing === undefined ? [] : [{ way, drawing }];
  });
  return (
    <div aria-hidden>
      <svg width={width} height={PATH_HEIGHT} style={{ position: 'absolute', inset: 0 }}>
        {drawn.map(({ way, drawing }) => (
          <g key={way.id} data-way={way.id}>
            <WayLine
              d={drawing.d}
              isWalked={walked.includes(way.id)}
              isIdle={way.isIdle}
              isUncertain={way.isUncertain}
              isChosen={way.id === chosen}
            />
          </g>
        ))}
      </svg>
      {drawn.map(({ way, drawing }) =>
        way.short.length > fits ? null : (
          <ButtonBase
            key={way.id}
            data-way-words={way.id}
            tabIndex={-1}
            onClick={() => onChoose(way.id)}
            sx={{
              position: 'absolute',
              left: drawing.x,
              top: drawing.y - 4,
              transform: drawing.anchor === 'middle' ? 'translate(-50%, -50%)' : 'translateY(-50%)',
              fontSize: 12,
              lineHeight: '16px',
              px: '3px',
              ml: drawing.anchor === 'middle' ? 0 : '-3px',
              whiteSpace: 'nowrap',
              borderRadius: '6px',
              bgcolor: drawing.isLow ? 'var(--porch-lane)' : 'background.paper',
              ...(way.id === chosen ? { boxShadow: '0 0 0 2px var(--porch-door)' } : {}),
              '&:hover': { textDecoration: 'underline' },
            }}
          >
            {way.short}
          </ButtonBase>
        ),
      )}
    </div>
  );
});

const MIDDLE = {
  upper: LANE_TOP.upper + STONE_HEIGHT / 2,
  lower: LANE_TOP.lower + STONE_HEIGHT / 2,
} as const;

function edges(moment: string, measures: PathMeasures) {
  const place = STONES.find((stone) => stone.moment === moment);
  if (place === undefined) throw new Error(`Expected a stone for "${moment}".`);
  const left = columnLeft(place.column, measures);
  return {
    left,
    right: left + measures.stoneWidth,
    centre: left + measures.stoneWidth / 2,
    middle: MIDDLE[place.lane],
    top: LANE_TOP[place.lane],
    bottom: LANE_TOP[place.lane] + STONE_HEIGHT,
  };
}

function along(from: string, to: string): (measures: PathMeasures) => Drawing {
  return (measures) => {
    const [a, b] = [edges(from, measures), edges(to, measures)];
    const mid = (a.right + b.left) / 2;
    return {
      d: `M${a.right} ${a.middle}C${mid} ${a.middle + 5} ${mid} ${b.middle - 5} ${b.left} ${b.middle}`,
      x: mid,
      y: a.middle - 8,
      anchor: 'middle',
    };
  };
}

function between(upper: string, lower: string): (measures: PathMeasures) => Drawing {
  return (measures) => {
    const [a, b] = [edges(upper, measures), edges(lower, measures)];
    return {
      d: `M${a.centre} ${a.bottom}C${a.centre + 4} ${a.bottom + 8} ${b.centre - 4} ${b.top - 8} ${b.centre} ${b.top}`,
      x: a.centre + 8,
      y: (a.bottom + b.top) / 2 + 4,
      anchor: 'start',
    };
  };
}

const DRAWINGS: Partial<Record<WayId, (measures: PathMeasures) => Drawing>> = {
  W1: along('passing-by', 'invited'),
  // Under Invited, in the gap between the lanes.
  W2: (measures) => {
    const [a, b] = [edges('passing-by', measures), edges('at-the-door', measures)];
    const low = a.bottom + 13;
    const d = `M${a.centre} ${a.bottom}C${a.centre + 6} ${low} ${a.centre + 20} ${low} ${a.centre + 44} ${low}H${b.left - 14}C${b.left + 6} ${low} ${b.left + 22} ${low - 2} ${b.left + 26} ${b.bottom}`;
    return { d, x: (a.right + b.left) / 2, y: low + 4, anchor: 'middle' };
  },
  W4: along('invited', 'at-the-door'),
  W7: along('at-the-door', 'waiting'),
  W8: between('at-the-door', 'nobody-home'),
  W9: along('waiting', 'talking'),
  W10: between('waiting', 'slow-reply'),
  // Answered after all: back up across the lanes.
  W12: (measures) => {
    const [a, b] = [edges('slow-reply', measures), edges('talking', measures)];
    const d = `M${a.right - 20} ${a.top}C${a.right - 10} ${a.top - 14} ${b.left + 10} ${b.bottom + 16} ${b.left + 30} ${b.bottom}`;
    return { d, x: (a.right + b.left) / 2 + 4, y: (a.top + b.bottom) / 2 + 4, anchor: 'middle' };
  },
  W13: (measures) => ({ ...along('slow-reply', 'note-left')(measures), isLow: true }),
  W15: along('talking', 'goodbye'),
  // Under Slow reply, along the lower edge.
  W17: (measures) => {
    const [a, b] = [edges('nobody-home', measures), edges('note-left', measures)];
    const low = PATH_HEIGHT - 3;
    const d = `M${a.right - 30} ${a.bottom}C${a.right - 20} ${low} ${a.right - 4} ${low} ${a.right + 14} ${low}H${b.left - 14}C${b.left + 4} ${low} ${b.left + 20} ${low} ${b.left + 30} ${b.bottom}`;
    return {
      d,
      x: a.right + (measures.pitch - measures.stoneWidth) / 2,
      y: a.bottom - 8,
      anchor: 'middle',
      isLow: true,
    };
  },
  W19: between('talking', 'note-left'),
};
