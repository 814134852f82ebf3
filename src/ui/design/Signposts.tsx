import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import type { Corner } from '../../core/model/design';
import type { DrawnMoment } from '../../core/rehearse/stand-at';
import { MOMENT_WORDS } from '../wording/moments';
import type { DrawnWay } from './ways';

interface SignpostsProps {
  readonly moment: DrawnMoment;
  readonly ways: readonly DrawnWay[];
  readonly distance: 'near' | 'whole';
  readonly onDistance: (distance: 'near' | 'whole') => void;
  readonly onChoose: (moment: DrawnMoment) => void;
  readonly isPhone: boolean;
  readonly corner: Corner;
}

const POST = {
  fontSize: 12,
  bgcolor: 'background.paper',
  border: '1px solid var(--porch-edge)',
  borderRadius: '10px',
  px: 1.25,
  minHeight: 28,
  textAlign: 'start',
} as const;

/** On the stage, away from the widget: how far one stands, and where the chosen stone's ways lead. */
export function Signposts({ moment, ways, distance, onDistance, onChoose, isPhone, corner }: SignpostsProps) {
  const side = corner.endsWith('right') ? { left: 12 } : { right: 12 };
  const align = corner.endsWith('right') ? 'flex-start' : 'flex-end';
  if (isPhone) return null;
  return (
    <>
      <Box role="group" aria-label="Distance" sx={{ position: 'absolute', top: 24, ...side, display: 'flex', zIndex: 4 }}>
        {(['near', 'whole'] as const).map((one, index) => (
          <ButtonBase
            key={one}
            aria-pressed={distance === one}
            onClick={() => onDistance(one)}
            sx={{
              ...POST,
              fontWeight: distance === one ? 700 : 400,
              borderRadius: index === 0 ? '10px 0 0 10px' : '0 10px 10px 0',
              ml: index === 0 ? 0 : '-1px',
            }}
          >
            {one === 'near' ? 'Near' : 'Whole page'}
          </ButtonBase>
        ))}
      </Box>
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
            <ButtonBase onClick={() => onChoose(other)} sx={POST}>
              <span>
                {isFrom ? '◂ from ' : '▸ to '}
                <b>{MOMENT_WORDS[other].name}</b>: {full}
              </span>
            </ButtonBase>
          </li>
        ))}
      </Box>
    </>
  );
}

/** The ways of a stone, those that lead here first. */
export function postsOf(ways: readonly DrawnWay[], moment: DrawnMoment) {
  const from = ways.filter((way) => way.to === moment).map((way) => ({ ...way, other: way.from, isFrom: true }));
  const to = ways.filter((way) => way.from === moment).map((way) => ({ ...way, other: way.to, isFrom: false }));
  return [...from, ...to];
}
