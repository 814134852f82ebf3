import { WAY_WORDS } from '../wording/moments';
import { DRAWN_WAYS, LANE_TOP, PATH_HEIGHT, type PathMeasures, STONES, STONE_HEIGHT, columnLeft } from './path-layout';

interface Drawing {
  readonly d: string;
  readonly x: number;
  readonly y: number;
  readonly anchor: 'start' | 'middle';
}

/** The ways at rest: fine curves with their short words; decorative, as each stone says where it leads. */
export function PathWays({ measures, width }: { measures: PathMeasures; width: number }) {
  return (
    <svg aria-hidden width={width} height={PATH_HEIGHT} style={{ position: 'absolute', inset: 0 }}>
      {DRAWN_WAYS.filter(({ shownAtRest }) => shownAtRest).map(({ id }) => {
        const { d, x, y, anchor } = DRAWINGS[id]?.(measures) ?? { d: '', x: 0, y: 0, anchor: 'middle' };
        return (
          <g key={id}>
            <path d={d} fill="none" stroke="var(--porch-edge)" strokeWidth={1.5} />
            <text
              x={x}
              y={y}
              textAnchor={anchor}
              fontSize={12}
              fill="var(--porch-ink)"
              stroke="var(--porch-board)"
              strokeWidth={4}
              paintOrder="stroke"
              style={{ fontFamily: 'inherit' }}
            >
              {WAY_WORDS[id].short}
            </text>
          </g>
        );
      })}
    </svg>
  );
}

const MIDDLE = { upper: LANE_TOP.upper + STONE_HEIGHT / 2, lower: LANE_TOP.lower + STONE_HEIGHT / 2 } as const;

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

const DRAWINGS: Partial<Record<string, (measures: PathMeasures) => Drawing>> = {
  W2: along('passing-by', 'at-the-door'),
  W6: (measures) => {
    const [a, b] = [edges('passing-by', measures), edges('nobody-home', measures)];
    const lane = a.bottom + 12;
    const d = `M${a.centre + 20} ${a.bottom}C${a.centre + 22} ${lane} ${a.centre + 34} ${lane} ${a.centre + 60} ${lane}H${b.left - 64}C${b.left - 26} ${lane} ${b.left - 40} ${b.middle} ${b.left} ${b.middle}`;
    return { d, x: (a.right + b.left) / 2, y: lane + 4, anchor: 'middle' };
  },
  W7: along('at-the-door', 'waiting'),
  W8: between('at-the-door', 'nobody-home'),
  W9: along('waiting', 'talking'),
  W15: along('talking', 'goodbye'),
  W17: along('nobody-home', 'note-left'),
  W19: between('talking', 'note-left'),
};
