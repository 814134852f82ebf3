'use client';

import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { useConnection } from './Connection';
import { useSite } from './SiteContext';
import { FRAME_WORDS } from '../wording/screens/frame';

/** An owner has changed what this person may do: the screens follow, or are over. */
export function RightsChanged() {
  const { onEvent } = useConnection();
  const { siteName, reload } = useSite();
  const [isRemoved, setRemoved] = useState(false);
  const router = useRouter();
  useEffect(
    () =>
      onEvent((event) => {
        if (event.kind !== 'rights') return;
        if (event.role === null) return setRemoved(true);
        router.refresh();
        void reload();
      }),
    [onEvent, router, reload],
  );
  return (
    <Dialog open={isRemoved} aria-labelledby="removed-title" maxWidth="xs" fullWidth>
      <DialogTitle id="removed-title">{FRAME_WORDS.removedTitle(siteName)}</DialogTitle>
      <DialogContent>{FRAME_WORDS.removedHelp}</DialogContent>
      <DialogActions>
        <Button variant="contained" href="/" autoFocus>
          {FRAME_WORDS.leaveSite}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
