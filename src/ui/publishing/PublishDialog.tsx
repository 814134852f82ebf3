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
import { type ReactNode, useState } from 'react';
import { toast } from 'sonner';
import type { Board } from '../../core/boards/board';
import { LIMITS } from '../../core/limits';
import type { Change } from '../../core/publishing/changes';
import { PortError } from '../frame/port';
import { useSite } from '../frame/SiteContext';
import { boardSentence } from '../wording/boards';
import type { ChangeContext } from '../wording/changes';
import { wallWords } from '../wording/times';
import { ChangeList } from './ChangeList';
import { PrivateLink } from './PrivateLink';
import { NOW, WhenLive } from './WhenLive';

interface PublishDialogProps {
  readonly isOpen: boolean;
  readonly onClose: () => void;
  readonly revision: number;
  /** Null: nothing was published yet. */
  readonly changes: readonly Change[] | null;
  readonly context: ChangeContext;
  readonly nextVersion: number;
  readonly boards: readonly Board[];
  /** What the kept visits come to. */
  readonly checks: ReactNode;
  /** The draft may be another afterwards. */
  readonly onPublished: () => void;
}

/** Says in words what will change, and makes it live: at once, from a moment on, or for a time. */
export function PublishDialog({
  isOpen,
  onClose,
  revision,
  changes,
  context,
  nextVersion,
  boards,
  checks,
  onPublished,
}: PublishDialogProps) {
  const { port, reload, notice, siteKey, zone } = useSite();
  const [remark, setRemark] = useState('');
  const [when, setWhen] = useState(NOW);
  const [fault, setFault] = useState<string | null>(null);
  const [errors, setErrors] = useState<Readonly<Record<string, string>>>({});
  const [isBusy, setBusy] = useState(false);
  const isSet = when.kind === 'now' || (when.from !== '' && (when.kind === 'later' || when.until !== ''));
  const publish = async (): Promise<void> => {
    setBusy(true);
    setFault(null);
    setErrors({});
    try {
      const version = await port.publish({
        revision,
        remark,
        from: when.kind === 'now' ? null : when.from,
        until: when.kind === 'period' ? when.until : null,
        takesBack: when.kind === 'period' && when.takesBack,
      });
      await reload();
      onPublished();
      setRemark('');
      setWhen(NOW);
      onClose();
      if (when.kind === 'now')
        toast.success(`Version ${version} is live. The next page view on your site shows it.`, {
          action: { label: 'Is the tag there?', onClick: () => window.location.assign(`/s/${siteKey}/install`) },
        });
      else
        toast.success(`Version ${version} is set for ${wallWords(when.from)}.`, {
          action: { label: 'Versions', onClick: () => window.location.assign(`/s/${siteKey}/versions`) },
        });
    } catch (error) {
      notice(error);
      const told = error instanceof PortError ? error.errors : {};
      setErrors(told);
      if (told['from'] === undefined && told['until'] === undefined)
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
            <ChangeList changes={changes} context={context} />
          </>
        )}
        {boards.length === 0 ? null : <LooseBoards boards={boards} />}
        {checks}
        <PrivateLink />
        <WhenLive when={when} onWhen={setWhen} zoneName={zone} errors={errors} />
        <TextField
          label="A remark for later (if you like)"
          fullWidth
          sx={{ mt: 2.5 }}
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
        <Button variant="contained" loading={isBusy} disabled={!isSet} onClick={() => void publish()}>
          {when.kind === 'now' ? 'Publish' : 'Set it'}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

/** What there is to mend in the draft: what it would mean for visitors. It warns, and does not forbid. */
function LooseBoards({ boards }: { boards: readonly Board[] }) {
  const [mend, look] = [boards.filter(({ level }) => level === 'mend'), boards.filter(({ level }) => level === 'look')];
  return (
    <Alert severity={mend.length > 0 ? 'warning' : 'info'} role="group" aria-label="Loose boards" sx={{ mt: 2 }}>
      {[mend.length > 0 ? `${mend.length} to mend` : '', look.length > 0 ? `${look.length} worth a look` : ''].filter(Boolean).join(', ')}:
      <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
        {[...mend, ...look].slice(0, BOARDS_SHOWN).map((board) => (
          <li key={board.key}>{boardSentence(board)}</li>
        ))}
      </Box>
      {boards.length > BOARDS_SHOWN ? `and ${boards.length - BOARDS_SHOWN} more; Today lists them all.` : null}
    </Alert>
  );
}

const BOARDS_SHOWN = 4;
