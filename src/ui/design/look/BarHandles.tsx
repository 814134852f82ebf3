import Box from '@mui/material/Box';
import { type KeyboardEvent, type PointerEvent, useRef } from 'react';
import { BAR_PX_MAX } from '../../../core/look/collisions';
import type { Bars } from '../../../core/model/page-bars';
import type { StageView } from '../stage/stage-geometry';
import { LOOK_PANEL_WORDS } from '../../wording/screens/look-panel';

interface BarHandlesProps {
  readonly bars: Bars;
  readonly view: StageView;
  /** While one is drawn; null once it is not. */
  readonly onDraw: (bars: Bars | null) => void;
  readonly onMark: (bars: Bars) => void;
}

const STEPS: Readonly<Record<string, number>> = { ArrowUp: 1, ArrowDown: -1, PageUp: 10, PageDown: -10 };
const STEP_PX = 4;
const WIDE_PX = 600;

/** Draws the bars of the owner's page where they are: each edge is pulled as far as its bar reaches. */
export function BarHandles({ bars, view, onDraw, onMark }: BarHandlesProps) {
  const held = useRef<{ readonly edge: keyof Bars; readonly from: number; readonly was: Bars } | null>(null);
  const drawn = useRef<Bars | null>(null);
  const inwards = (edge: keyof Bars): 1 | -1 => (edge === 'upper' ? 1 : -1);
  const drop = (isKept: boolean): void => {
    if (isKept && drawn.current !== null) onMark(drawn.current);
    held.current = null;
    drawn.current = null;
    onDraw(null);
  };
  const move = ({ clientY }: PointerEvent): void => {
    const { current } = held;
    if (current === null) return;
    const { edge, from, was } = current;
    drawn.current = { ...was, [edge]: within(was[edge] + (inwards(edge) * (clientY - from)) / view.scale) };
    onDraw(drawn.current);
  };
  const push = (edge: keyof Bars, event: KeyboardEvent): void => {
    const by = STEPS[event.key];
    if (by === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    onMark({ ...bars, [edge]: within(bars[edge] - inwards(edge) * by * STEP_PX) });
  };
  return (['upper', 'lower'] as const).map((edge) => (
    <Box
      key={edge}
      role="slider"
      tabIndex={0}
      aria-orientation="vertical"
      aria-label={LOOK_PANEL_WORDS.barOfPage(edge)}
      aria-valuemin={0}
      aria-valuemax={BAR_PX_MAX}
      aria-valuenow={bars[edge]}
      aria-valuetext={bars[edge] === 0 ? 'none' : LOOK_PANEL_WORDS.barHeight(bars[edge])}
      data-bar-handle={edge}
      onPointerDown={(event) => {
        if (event.button !== 0) return;
        event.currentTarget.setPointerCapture(event.pointerId);
        held.current = { edge, from: event.clientY, was: bars };
      }}
      onPointerMove={move}
      onPointerUp={() => drop(true)}
      onPointerCancel={() => drop(false)}
      onKeyDown={(event) => push(edge, event)}
      style={{
        top: view.top + (edge === 'upper' ? bars.upper : view.pageHeight - bars.lower) * view.scale,
        left: view.left,
        width: view.pageWidth * view.scale,
        // Beside the switches of the stage and the signposts, where there is room for that.
        ...(view.pageWidth * view.scale < WIDE_PX
          ? { justifyContent: 'center' }
          : { paddingInlineStart: '62%' }),
      }}
      sx={{
        position: 'absolute',
        height: 24,
        transform: 'translateY(-50%)',
        cursor: 'ns-resize',
        touchAction: 'none',
        display: 'flex',
        alignItems: 'center',
        '&::before': {
          content: '""',
          position: 'absolute',
          insetInline: 0,
          top: 11,
          borderTop: '2px dashed var(--porch-door)',
        },
        '&:focus-visible': { outline: '2px solid var(--porch-door)', outlineOffset: -4 },
      }}
    >
      <Box
        sx={{
          position: 'relative',
          whiteSpace: 'nowrap',
          px: 1.25,
          py: 0.25,
          fontSize: '0.8125rem',
          borderRadius: '8px',
          bgcolor: 'background.paper',
          border: '1px solid var(--porch-edge)',
          transform: edge === 'upper' ? 'translateY(40%)' : 'translateY(-40%)',
        }}
      >
        {bars[edge] === 0 ? LOOK_PANEL_WORDS.pullBarOut : LOOK_PANEL_WORDS.barHeightDragged(bars[edge])}
      </Box>
    </Box>
  ));
}

function within(px: number): number {
  return Math.min(BAR_PX_MAX, Math.max(0, Math.round(px)));
}
