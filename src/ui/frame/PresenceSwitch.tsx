import CheckIcon from '@mui/icons-material/Check';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { toast } from 'sonner';
import { bestOf } from '../../core/context/presence';
import { lampOf } from '../../core/model/lamp';
import { HIDDEN } from '../theme/hidden';
import { stateTitle } from '../wording/states';
import { LampMark } from '../parts/LampMark';
import { PortError } from './api';
import { useSite } from './SiteContext';
import { useConnection } from './Connection';

/** How things stand for visitors, and whether one is in. */
export function PresenceSwitch() {
  const { siteKey, role, overview, setPresenceChoice } = useSite();
  const { notice, isConnected } = useConnection();
  if (overview === null) return null;
  const state = bestOf(overview.teams.map((team) => team.state));
  const isIn = overview.presenceChoice === 'in';
  const change = (): void => {
    setPresenceChoice(isIn ? 'out' : 'in').then(
      () =>
        toast(
          isIn
            ? 'You stopped answering. Visitors see this from now on.'
            : 'You are answering. Visitors see this from now on.',
          {
            action: {
              label: 'Undo',
              onClick: () => void setPresenceChoice(isIn ? 'in' : 'out').catch(notice),
            },
          },
        ),
      (error: unknown) => {
        notice(error);
        toast.error(error instanceof PortError ? error.sentence : 'That did not work. Try again.');
      },
    );
  };
  return (
    <>
      {overview.pausedAt === null ? null : role === 'responder' ? (
        <Box component="span" sx={{ fontSize: '0.8125rem', fontWeight: 700, color: 'error.main' }}>
          Paused
        </Box>
      ) : (
        <Button
          size="small"
          color="error"
          component={Link}
          href={`/s/${siteKey}/versions`}
          sx={{ fontSize: '0.8125rem', flex: 'none', fontWeight: 700 }}
        >
          Paused
        </Button>
      )}
      <Box
        role="status"
        sx={{ display: 'flex', alignItems: 'center', gap: 0.75, fontSize: '0.8125rem', whiteSpace: 'nowrap', px: 0.5 }}
      >
        <LampMark mark={lampOf(state, isConnected)} />
        <Box component="span" sx={{ display: { xs: 'none', lg: 'inline' } }}>
          {isConnected ? stateTitle(state) : 'Not connected'}
        </Box>
        <Box component="span" sx={{ ...HIDDEN, display: { lg: 'none' } }}>
          {isConnected ? stateTitle(state) : 'Not connected'}
        </Box>
      </Box>
      <Button
        size="small"
        variant="outlined"
        aria-pressed={isIn}
        onClick={change}
        startIcon={isIn ? <CheckIcon /> : undefined}
        sx={{ whiteSpace: 'nowrap', fontSize: '0.8125rem', flex: 'none' }}
      >
        {isIn ? 'Answering' : 'Start answering'}
      </Button>
    </>
  );
}
