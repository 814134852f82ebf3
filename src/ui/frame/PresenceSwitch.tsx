import CheckIcon from '@mui/icons-material/Check';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { toast } from 'sonner';
import { PortError } from './api';
import { SiteNow } from './SiteNow';
import { useSite } from './SiteContext';
import { useConnection } from './Connection';
import { FRAME_WORDS } from '../wording/screens/frame';
import { SHARED_WORDS } from '../wording/screens/shared';

/** How the site stands for visitors, and the switch of whoever looks. */
export function PresenceSwitch() {
  const { siteKey, role, overview, setPresenceChoice } = useSite();
  const { notice } = useConnection();
  const isIn = overview.presenceChoice === 'in';
  const change = (): void => {
    setPresenceChoice(isIn ? 'out' : 'in').then(
      () =>
        toast(isIn ? FRAME_WORDS.stoppedAnswering : FRAME_WORDS.nowAnswering, {
          action: {
            label: SHARED_WORDS.undo,
            onClick: () => void setPresenceChoice(isIn ? 'in' : 'out').catch(notice),
          },
        }),
      (error: unknown) => {
        notice(error);
        toast.error(error instanceof PortError ? error.sentence : FRAME_WORDS.didNotWork);
      },
    );
  };
  return (
    <>
      {overview.pausedAt === null ? null : role === 'responder' ? (
        <Box component="span" sx={{ fontSize: '0.8125rem', fontWeight: 700, color: 'error.main' }}>
          {FRAME_WORDS.paused}
        </Box>
      ) : (
        <Button
          size="small"
          color="error"
          component={Link}
          href={`/s/${siteKey}/versions`}
          sx={{ fontSize: '0.8125rem', flex: 'none', fontWeight: 700 }}
        >
          {FRAME_WORDS.paused}
        </Button>
      )}
      <SiteNow overview={overview} />
      <Button
        size="small"
        variant="outlined"
        aria-pressed={isIn}
        onClick={change}
        startIcon={isIn ? <CheckIcon /> : undefined}
        sx={{ whiteSpace: 'nowrap', fontSize: '0.8125rem', flex: 'none' }}
      >
        {isIn ? SHARED_WORDS.answering : FRAME_WORDS.startAnswering}
      </Button>
    </>
  );
}
