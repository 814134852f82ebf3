import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import { lampOf } from '../../../core/model/lamp';
import type { WidgetState } from '../../../core/model/moment';
import { memo } from 'react';
import { LampMark } from '../../parts/LampMark';
import { STATE_CLAUSES } from '../../wording/states';
import { LANE_TOP, CARD_HEIGHT } from './path-layout';
import { PATH_WORDS } from '../../wording/screens/path';
import { SHARED_WORDS } from '../../wording/screens/shared';

export interface AvailabilityRow {
  readonly state: WidgetState;
  readonly words: string;
  readonly leadsTo: string;
  readonly isNow: boolean;
}

interface AvailabilityCardProps {
  /** The state that holds, and where it leads. */
  readonly row: AvailabilityRow;
  readonly left: number;
  readonly width: number;
  readonly isChosen: boolean;
  readonly onChoose: () => void;
}

/** *Who can answer?* as it stands on the path: where the state that holds leads. *Change* opens the rules for all states. */
export const AvailabilityCard = memo(function AvailabilityCard({
  row,
  left,
  width,
  isChosen,
  onChoose,
}: AvailabilityCardProps) {
  return (
    <Box
      component="section"
      aria-label={SHARED_WORDS.whoCanAnswer}
      sx={{
        position: 'absolute',
        left,
        top: LANE_TOP.lower,
        width,
        height: CARD_HEIGHT,
        display: 'flex',
        flexDirection: 'column',
        justifyContent: 'center',
        gap: 0.5,
        fontSize: '0.8125rem',
      }}
    >
      <b>{SHARED_WORDS.whoCanAnswer}</b>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 0.75, whiteSpace: 'nowrap', minWidth: 0 }}>
        <LampMark mark={lampOf(row.state, true)} size={18} />
        <Box component="span" sx={{ overflow: 'hidden', textOverflow: 'ellipsis' }}>
          <Box
            component="span"
            sx={{ display: 'inline-block', '::first-letter': { textTransform: 'uppercase' } }}
          >
            {STATE_CLAUSES[row.state]}
          </Box>{' '}
          → {row.leadsTo}
        </Box>
        <Link
          component="button"
          type="button"
          aria-label={PATH_WORDS.changeWhoCanAnswer}
          aria-pressed={isChosen}
          onClick={onChoose}
          sx={{ fontSize: '0.8125rem', flex: 'none' }}
        >
          {SHARED_WORDS.change}
        </Link>
      </Box>
    </Box>
  );
});
