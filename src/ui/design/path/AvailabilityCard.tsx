import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { lampOf } from '../../../core/model/lamp';
import type { WidgetState } from '../../../core/model/moment';
import { memo } from 'react';
import { LampMark } from '../../parts/LampMark';
import { LANE_TOP, CARD_HEIGHT } from './path-layout';

export interface AvailabilityRow {
  readonly state: WidgetState;
  readonly words: string;
  readonly leadsTo: string;
  readonly isNow: boolean;
}

/** *Who can answer?* as it stands on the path: which state leads where. Choosing it opens its settings. */
interface AvailabilityCardProps {
  readonly rows: readonly AvailabilityRow[];
  readonly left: number;
  readonly width: number;
  readonly isChosen: boolean;
  readonly onChoose: () => void;
}

export const AvailabilityCard = memo(function AvailabilityCard({
  rows,
  left,
  width,
  isChosen,
  onChoose,
}: AvailabilityCardProps) {
  return (
    <Box
      component="section"
      aria-label="Who can answer?"
      sx={{ position: 'absolute', left, top: LANE_TOP.lower - 4, width, height: CARD_HEIGHT + 6 }}
    >
      <ButtonBase
        aria-pressed={isChosen}
        onClick={onChoose}
        sx={{
          fontSize: '0.8125rem',
          fontWeight: 600,
          lineHeight: '1rem',
          mb: '2px',
          px: '4px',
          mx: '-4px',
          borderRadius: '6px',
          whiteSpace: 'pre',
          ...(isChosen ? { boxShadow: '0 0 0 2px var(--porch-door)' } : {}),
        }}
      >
        Who can answer?{' '}
        <Box component="span" sx={{ fontWeight: 400, color: 'text.secondary' }}>
          decided when it opens
        </Box>
      </ButtonBase>
      <Box
        component="ul"
        sx={{
          m: 0,
          p: 0,
          listStyle: 'none',
          display: 'grid',
          gridTemplateColumns: 'fit-content(62%) minmax(0, 1fr)',
          columnGap: 1.5,
        }}
      >
        {rows.map((row) => (
          <Box
            component="li"
            key={row.state}
            sx={{
              display: 'flex',
              alignItems: 'center',
              gap: 0.5,
              fontSize: '0.8125rem',
              lineHeight: '1.25rem',
              whiteSpace: 'nowrap',
              minWidth: 0,
              fontWeight: row.isNow ? 700 : 400,
            }}
          >
            <LampMark mark={lampOf(row.state, true)} size={15} />
            <Box component="span" sx={{ overflow: 'hidden', textOverflow: 'ellipsis' }}>
              {row.isNow ? 'now ' : ''}
              {row.words} → {row.leadsTo}
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
});
