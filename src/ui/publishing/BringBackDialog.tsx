'use client';

import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { toast } from 'sonner';
import { LIMITS } from '../../core/limits';
import type { Design } from '../../core/model/design';
import { changesOf } from '../../core/publishing/changes';
import { PortError } from '../frame/port';
import { useSite } from '../frame/SiteContext';
import { changeContext } from './change-context';
import { ChangeList } from './ChangeList';
import { useDesign } from './use-design';

interface BringBackDialogProps {
  readonly number: number;
  readonly nextVersion: number;
  readonly load: (number: number) => Promise<Design>;
  readonly onClose: () => void;
  readonly onBringBack: (number: number, remark: string) => Promise<number>;
}

/** Says what changes for visitors when an earlier version comes back, and publishes it as a new one. */
export function BringBackDialog({ number, nextVersion, load, onClose, onBringBack }: BringBackDialogProps) {
  const { overview, notice } = useSite();
  const design = useDesign(number, load);
  const [remark, setRemark] = useState('');
  const [isBusy, setBusy] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const now = overview?.publishedDesign ?? null;
  const changes = design === null || now === null ? null : changesOf(now, design);
  const go = async (): Promise<void> => {
    setBusy(true);
    setFault(null);
    try {
      const made = await onBringBack(number, remark);
      onClose();
      toast.success(`Version ${number} is live again, as version ${made}. The draft is the same now; undo there gives back what you had.`);
    } catch (error) {
      notice(error);
      setFault(error instanceof PortError ? error.sentence : 'Nothing was brought back. Try again.');
    } finally {
      setBusy(false);
    }
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="back-title" fullWidth maxWidth="sm">
      <DialogTitle id="back-title" sx={{ fontFamily: '"Fraunces Variable"', fontSize: 23 }}>
        Bring back version {number}
      </DialogTitle>
      <DialogContent>
        {changes === null || overview === null || design === null ? null : changes.length === 0 ? (
          <Typography>It is the same as what is live: nothing changes for visitors.</Typography>
        ) : (
          <>
            <Typography sx={{ mb: 1 }}>This changes for visitors:</Typography>
            <ChangeList changes={changes} context={changeContext(overview, now, design)} />
          </>
        )}
        <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
          Hours, people and teams stay as they are now. The draft becomes this version too; undo there gives back what you had.
        </Typography>
        <TextField
          label="A remark for later (if you like)"
          fullWidth
          sx={{ mt: 2 }}
          value={remark}
          onChange={(event) => setRemark(event.target.value)}
          slotProps={{ htmlInput: { maxLength: LIMITS.remarkChars } }}
        />
        {fault === null ? null : (
          <Alert severity="error" role="alert" sx={{ mt: 2 }}>
            {fault}
          </Alert>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Not now</Button>
        <Button variant="contained" loading={isBusy} onClick={() => void go()}>
          Publish as version {nextVersion}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
