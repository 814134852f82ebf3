'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Json, Patch } from '../../core/draft/patch';
import type { Design } from '../../core/model/design';
import { changesOf } from '../../core/publishing/changes';
import { newClientId } from '../frame/new-client-id';
import { PortError } from '../frame/port';
import { useSite } from '../frame/SiteContext';
import { changeContext } from './change-context';
import { ChangeList } from './ChangeList';
import type { JudgedFile } from './DesignFile';

interface DesignFileDialogProps extends JudgedFile {
  readonly onClose: () => void;
  readonly onTaken: () => void;
}

/** What a file would change in the draft; or why it does not fit, line by line. */
export function DesignFileDialog({ name, answer, draft, onClose, onTaken }: DesignFileDialogProps) {
  const { overview, port, notice } = useSite();
  const [isBusy, setBusy] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const { design, faults } = answer;
  const changes = design === null ? [] : changesOf(draft.design, design);
  const take = async (wanted: Design): Promise<void> => {
    setBusy(true);
    setFault(null);
    try {
      const patches = Object.entries(wanted).map(([part, value]): Patch => ({ op: 'set', path: [part], value: value as Json }));
      const saved = await port.saveChange({ clientId: newClientId(), base: draft.revision, patches, label: 'a design from a file' });
      if (saved.kind === 'behind')
        return setFault('Somebody has changed the draft since the file was read. Nothing was changed; take the file in again.');
      onTaken();
      onClose();
    } catch (error) {
      notice(error);
      setFault(error instanceof PortError ? error.sentence : 'Nothing was changed. Try again.');
    } finally {
      setBusy(false);
    }
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="file-title" fullWidth maxWidth="sm">
      <DialogTitle id="file-title" sx={{ fontFamily: '"Fraunces Variable"', fontSize: 23, overflowWrap: 'anywhere' }}>
        {design === null ? `${name} does not fit` : `Take in ${name}`}
      </DialogTitle>
      <DialogContent>
        {design === null ? (
          <>
            <Typography sx={{ mb: 1 }}>
              Nothing was changed. {faults.length === 1 ? 'This is why:' : `These ${faults.length} things are why:`}
            </Typography>
            <Box
              component="ul"
              tabIndex={0}
              aria-label="What does not fit"
              sx={{ m: 0, pl: 2.5, maxHeight: 320, overflow: 'auto', overflowWrap: 'anywhere' }}
            >
              {faults.map(({ line, column, path, sentence }) => (
                <Box component="li" key={`${line} ${column} ${path} ${sentence}`} sx={{ mb: 0.75 }}>
                  <b>
                    Line {line}, sign {column}
                  </b>
                  {path === '' ? '' : ` (${path})`}: {sentence}
                </Box>
              ))}
            </Box>
          </>
        ) : changes.length === 0 ? (
          <Typography>It is the same as the draft: nothing would change.</Typography>
        ) : (
          <>
            <Typography sx={{ mb: 1 }}>
              {changes.length === 1 ? 'This would change in the draft:' : `These ${changes.length} things would change in the draft:`}
            </Typography>
            {overview === null ? null : <ChangeList changes={changes} context={changeContext(overview, draft.design, design)} />}
          </>
        )}
        {fault === null ? null : (
          <Alert severity="error" role="alert" sx={{ mt: 2 }}>
            {fault}
          </Alert>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{design === null || changes.length === 0 ? 'Close' : 'Not now'}</Button>
        {design === null || changes.length === 0 ? null : (
          <Button variant="contained" loading={isBusy} onClick={() => void take(design)}>
            Put it in the draft
          </Button>
        )}
      </DialogActions>
    </Dialog>
  );
}
