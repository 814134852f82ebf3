import Box from '@mui/material/Box';
import { bestOf } from '../../core/context/presence';
import { hoursAt, hoursOf } from '../../core/hours/hours-now';
import { lampOf } from '../../core/model/lamp';
import { SECOND_MS } from '../../core/model/units';
import type { Overview } from '../../core/wire/desk';
import { LampMark } from '../parts/LampMark';
import { useNow } from '../parts/use-now';
import { HIDDEN } from '../theme/hidden';
import { openUntilWords, stateTitle } from '../wording/states';
import { useConnection } from './Connection';
import { FRAME_WORDS } from '../wording/screens/frame';

/** How the site stands for visitors: whether somebody is there, and its opening hours, which move with the clock. */
export function SiteNow({ overview }: { readonly overview: Overview }) {
  const { isConnected } = useConnection();
  const now = useNow(overview.now, 15 * SECOND_MS);
  const state = bestOf(overview.teams.map((team) => team.state));
  const [calendarId, ...others] = Object.keys(overview.calendars);
  const { facts, overrides } = overview;
  const hours =
    facts === null || calendarId === undefined || others.length > 0
      ? null
      : hoursOf({ facts, pointer: { overrides } }, calendarId);
  const people = isConnected ? stateTitle(state) : FRAME_WORDS.notConnected;
  const words =
    hours === null || !isConnected ? people : openUntilWords(hours.zone, now, hoursAt(hours, now));
  // One's own switch beside it says as much.
  const isSaid = hours === null && isConnected && state === 'in' && overview.presenceChoice === 'in';
  return (
    <Box
      role="status"
      title={words === people ? people : `${words} · ${people}`}
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 0.75,
        fontSize: '0.8125rem',
        whiteSpace: 'nowrap',
        px: 0.5,
      }}
    >
      <LampMark mark={lampOf(state, isConnected)} />
      <Box component="span" aria-hidden sx={{ display: { xs: 'none', lg: isSaid ? 'none' : 'inline' } }}>
        {words}
      </Box>
      <Box component="span" sx={HIDDEN}>
        {words === people ? people : `${words}, ${people}`}
      </Box>
    </Box>
  );
}
