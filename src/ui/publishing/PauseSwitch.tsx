'use client';

import Box from '@mui/material/Box';
import Switch from '@mui/material/Switch';
import { useState } from 'react';
import { toast } from 'sonner';
import { PortError } from '../frame/api';
import { dayWords } from '../wording/times';
import { useSite } from '../frame/SiteContext';
import { useConnection, usePort } from '../frame/Connection';
import { publishingPort } from './port';
import { PUBLISHING_WORDS } from '../wording/screens/publishing';
import { SHARED_WORDS } from '../wording/screens/shared';

/** One switch for the whole widget, which visitors see at once. */
export function PauseSwitch() {
  const { overview, reload, zone } = useSite();
  const { notice } = useConnection();
  const port = usePort(publishingPort);
  const [isBusy, setBusy] = useState(false);
  const pausedAt = overview.pausedAt;
  const set = async (isPaused: boolean, isUndo = false): Promise<void> => {
    setBusy(true);
    try {
      await port.setPaused(isPaused);
      await reload();
      if (!isUndo)
        toast.success(isPaused ? PUBLISHING_WORDS.isPaused : PUBLISHING_WORDS.isBack, {
          action: { label: SHARED_WORDS.undo, onClick: () => void set(!isPaused, true) },
        });
    } catch (error) {
      notice(error);
      toast.error(error instanceof PortError ? error.sentence : SHARED_WORDS.nothingChanged);
    } finally {
      setBusy(false);
    }
  };
  return (
    <Box
      component="section"
      aria-label={PUBLISHING_WORDS.pause}
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 1.5,
        p: 1.5,
        mb: 4,
        border: '1px solid var(--porch-rail)',
        borderRadius: '12px',
        bgcolor: 'background.paper',
      }}
    >
      <Switch
        checked={pausedAt !== null}
        disabled={isBusy}
        onChange={(event) => void set(event.target.checked)}
        slotProps={{ input: { 'aria-labelledby': 'pause-name', 'aria-describedby': 'pause-what' } }}
      />
      <Box>
        <Box id="pause-name" sx={{ fontWeight: 600 }}>
          {PUBLISHING_WORDS.pauseTheWidget}
        </Box>
        <Box id="pause-what" sx={{ fontSize: '0.8125rem', color: 'text.secondary' }}>
          {pausedAt === null
            ? PUBLISHING_WORDS.pauseHelp
            : PUBLISHING_WORDS.pausedSince(dayWords(pausedAt, zone))}
        </Box>
      </Box>
    </Box>
  );
}
