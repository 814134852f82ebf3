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
import type { Design } from '../../core/model/design';
import { LIMITS } from '../../core/limits';
import { PortError } from '../frame/port';
import { useSite } from '../frame/SiteContext';
import { CheckSentence } from './KeptVisits';
import { useKept } from './use-kept';

interface PublishDialogProps {
  readonly isOpen: boolean;
  readonly onClose: () => void;
  readonly revision: number;
  /** Null: nothing was published yet. */
  readonly changes: readonly string[] | null;
  readonly nextVersion: number;
  readonly design: Design;
  readonly nameOfInvitation: (id: string) => string;
}

/** Says in words what will change, and makes it live. */
export function PublishDialog({ isOpen, onClose, revision, changes, nextVersion, design, nameOfInvitation }: PublishDialogProps) {
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
        <Checks design={design} nameOf={nameOfInvitation} />
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

/** What the kept visits come to: those that do not hold are told one by one. They warn, and do not forbid. */
function Checks({ design, nameOf }: { design: Design; nameOf: (id: string) => string }) {
  const { all: checks } = useKept(design);
  if (checks.length === 0) return null;
  const broken = checks.filter(({ result }) => result?.holds !== true);
  if (broken.length === 0)
    return (
      <Alert severity="success" sx={{ mt: 2 }}>
        {checks.length === 1 ? 'The kept visit comes to what it must.' : `All ${checks.length} kept visits come to what they must.`}
      </Alert>
    );
  return (
    <Alert severity="warning" sx={{ mt: 2 }}>
      {broken.length} of {checks.length} kept visits {broken.length === 1 ? 'does' : 'do'} not come to what{' '}
      {broken.length === 1 ? 'it' : 'they'} must:
      <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
        {broken.map((one) => (
          <li key={one.visit.id}>
            <CheckSentence checked={one} nameOf={nameOf} />
          </li>
        ))}
      </Box>
    </Alert>
  );
}
