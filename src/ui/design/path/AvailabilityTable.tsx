import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { lampOf } from '../../../core/model/lamp';
import { LampMark } from '../../parts/LampMark';
import { type TeamRow, foldedTeams } from './availability-rows';
import type { AvailabilityRow } from './AvailabilityCard';
import { PATH_WORDS } from '../../wording/screens/path';
import { SHARED_WORDS } from '../../wording/screens/shared';

interface AvailabilityTableProps {
  readonly rows: readonly AvailabilityRow[];
  /** Empty: there is only one team. */
  readonly teams: readonly TeamRow[];
  readonly isChosen: boolean;
  readonly onChoose: () => void;
}

/** *Who can answer?* as a table, with the row that holds now. Choosing it opens its behaviours. */
export function AvailabilityTable({ rows, teams, isChosen, onChoose }: AvailabilityTableProps) {
  return (
    <ButtonBase
      aria-label={PATH_WORDS.whoCanAnswerRows(
        rows.map((row) => `${row.isNow ? PATH_WORDS.nowBefore : ''}${row.words}: ${row.leadsTo}`).join('. '),
      )}
      aria-pressed={isChosen}
      onClick={onChoose}
      sx={{
        display: 'block',
        width: '100%',
        textAlign: 'start',
        bgcolor: 'background.paper',
        border: '1px solid var(--porch-edge)',
        borderRadius: '12px 14px 11px 13px',
        px: 1.5,
        py: 1,
        ...(isChosen ? { boxShadow: '0 0 0 2px var(--porch-door)' } : {}),
      }}
    >
      <Box sx={{ fontSize: '0.8125rem', fontWeight: 700, pb: 0.25 }}>{SHARED_WORDS.whoCanAnswer}</Box>
      {rows.map((row) => (
        <Box
          key={row.state}
          sx={{
            display: 'grid',
            gridTemplateColumns: '1.25rem 4.625rem 1fr auto',
            alignItems: 'center',
            fontSize: '0.8125rem',
            lineHeight: '1.3125rem',
            fontWeight: row.isNow ? 700 : 400,
          }}
        >
          <LampMark mark={lampOf(row.state, true)} size={15} />
          <span>{row.words}</span>
          <span>→ {row.leadsTo}</span>
          <span>{row.isNow ? PATH_WORDS.now : ''}</span>
        </Box>
      ))}
      {teams.length === 0 ? null : (
        <Box sx={{ fontSize: '0.8125rem', lineHeight: '1.3125rem' }}>{foldedTeams(teams)}</Box>
      )}
    </ButtonBase>
  );
}
