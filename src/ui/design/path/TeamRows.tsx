import Box from '@mui/material/Box';
import { lampOf } from '../../../core/model/lamp';
import { LampMark } from '../../parts/LampMark';
import { SHARED_WORDS } from '../../wording/screens/shared';
import { STATE_WORDS } from '../../wording/states';
import { TEAMS_SHOWN, type TeamRow, foldedTeams } from './availability-rows';

/** The teams of a widget that has several, each with its lamp; the best of them is the widget's state. */
export function TeamRows({ rows }: { rows: readonly TeamRow[] }) {
  if (rows.length === 0) return null;
  if (rows.length > TEAMS_SHOWN)
    return <Box sx={{ fontSize: '0.8125rem', py: 0.25 }}>{foldedTeams(rows)}</Box>;
  return (
    <Box component="ul" aria-label={SHARED_WORDS.teams} sx={{ m: 0, p: 0, listStyle: 'none' }}>
      {rows.map(({ id, name, state, leadsTo }) => (
        <Box
          component="li"
          key={id}
          sx={{
            display: 'flex',
            alignItems: 'center',
            gap: 0.75,
            fontSize: '0.8125rem',
            lineHeight: '1.375rem',
          }}
        >
          <LampMark mark={lampOf(state, true)} size={15} />
          <span>
            <b>{name}</b>: {STATE_WORDS[state]} → {leadsTo}
          </span>
        </Box>
      ))}
    </Box>
  );
}
