'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
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
import { PortError } from '../frame/port';
import { useSite } from '../frame/SiteContext';

interface PublishDialogProps {
  readonly isOpen: boolean;
  readonly onClose: () => void;
  readonly revision: number;
  /** Null: nothing was published yet. */
  readonly changes: readonly string[] | null;
  readonly nextVersion: number;
}

/** Says in words what will change, and makes it live. */
export function PublishDialog({ isOpen, onClose, revision, changes, nextVersion }: PublishDialogProps) {
  const { port, reload, notice, siteKey } = useSite();
  const [remark, setRemark] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const [isBusy, setBusy] = useState(false);
  const publish = async (): Promise<void> => {
    setBusy(true);
    setFault(null);
    try {
      const version = await port.publish({ revision, remark });
      await reload();
      setRemark('');
      onClose();
      toast.success(`Version ${version} is live. The next page view on your site shows it.`, {
        action: { label: 'Is the tag there?', onClick: () => window.location.assign(`/s/${siteKey}/install`) },
      });
    } catch (error) {
      notice(error);
      setFault(error instanceof PortError ? error.sentence : 'Nothing was published. Try again.');
    } finally {
      setBusy(false);
    }
  };
  return (
    <Dialog open={isOpen} onClose={onClose} aria-labelledby="publish-title" fullWidth maxWidth="sm">
      <DialogTitle id="publish-title" sx={{ fontFamily: '"Fraunces Variable"', fontSize: 23 }}>
        Publish version {nextVersion}
      </DialogTitle>
      <DialogContent>
        {changes === null ? (
          <Typography>A widget where there was none.</Typography>
        ) : (
          <>
            <Typography sx={{ mb: 1 }}>
              {changes.length === 1 ? 'This changes for visitors:' : `These ${changes.length} things change for visitors:`}
            </Typography>
            <Box
              component="ul"
              tabIndex={0}
              aria-label="Changes"
              sx={{ m: 0, pl: 2.5, maxHeight: 260, overflow: 'auto', overflowWrap: 'anywhere' }}
            >
              {changes.map((sentence) => (
                <li key={sentence}>{sentence}</li>
              ))}
            </Box>
          </>
        )}
        <TextField
          label="A remark for later (if you like)"
          fullWidth
          sx={{ mt: 3 }}
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
        <Button onClick={onClose}>Not yet</Button>
        <Button variant="contained" loading={isBusy} onClick={() => void publish()}>
          Publish
        </Button>
      </DialogActions>
    </Dialog>
  );
}
