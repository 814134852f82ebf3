import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { memo } from 'react';
import type { Corner } from '../../core/model/design';
import type { WayId } from '../../core/model/way';
import type { DrawnMoment } from '../../core/rehearse/stand-at';
import { MOMENT_WORDS } from '../wording/moments';
import { PILL } from './pill';
import type { DrawnWay } from './ways';

interface SignpostsProps {
  readonly moment: DrawnMoment;
  readonly ways: readonly DrawnWay[];
  readonly onChoose: (moment: DrawnMoment) => void;
  readonly onWay: (way: WayId) => void;
  readonly corner: Corner;
}

const POST = { ...PILL, textAlign: 'start' } as const;

/** On the stage, away from the widget: where the chosen stone's ways lead. A stone is gone to, a way opens its settings. */
export const Signposts = memo(function Signposts({ moment, ways, onChoose, onWay, corner }: SignpostsProps) {
  const side = corner.endsWith('right') ? { left: 12 } : { right: 12 };
  const align = corner.endsWith('right') ? 'flex-start' : 'flex-end';
  return (
    <Box
      component="ul"
      aria-label="Ways from and to here"
      sx={{
        position: 'absolute',
        bottom: 8,
        ...side,
        m: 0,
        p: 0,
        listStyle: 'none',
        display: 'flex',
        flexDirection: 'column',
        gap: 0.75,
        alignItems: align,
        maxWidth: 'max(220px, calc(100% - 412px))',
        zIndex: 4,
      }}
    >
      {postsOf(ways, moment).map(({ id, other, isFrom, full }) => (
        <li key={id + String(isFrom)}>
          <Box sx={POST}>
            <ButtonBase onClick={() => onChoose(other)} sx={{ fontSize: 12, minHeight: 28 }}>
              <span>
                {isFrom ? '◂ from ' : '▸ to '}
                <b>{MOMENT_WORDS[other].name}</b>:
              </span>
            </ButtonBase>{' '}
            <ButtonBase
              onClick={() => onWay(id)}
              sx={{
                fontSize: 12,
                minHeight: 28,
                textAlign: 'start',
                textDecoration: 'underline dotted',
                textUnderlineOffset: 3,
              }}
            >
              {full}
            </ButtonBase>
          </Box>
        </li>
      ))}
    </Box>
  );
});

/** The ways of a stone, those that lead here first. */
export function postsOf(ways: readonly DrawnWay[], moment: DrawnMoment) {
  const from = ways
    .filter((way) => way.to === moment)
    .map((way) => ({ ...way, other: way.from, isFrom: true }));
  const to = ways
    .filter((way) => way.from === moment)
    .map((way) => ({ ...way, other: way.to, isFrom: false }));
  return [...from, ...to];
}
