import Alert from '@mui/material/Alert';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import { type ReactNode, useId } from 'react';
import { LIMITS } from '../../core/limits';
import { PUBLISHING_WORDS } from '../wording/screens/publishing';

interface FaultDialogProps {
  readonly title: string;
  readonly onClose: () => void;
  readonly children: ReactNode;
  /** Why the last attempt did not go through. */
  readonly fault: string | null;
  readonly actions: ReactNode;
}

/** A dialog about what visitors see, with what went wrong at its foot. */
export function FaultDialog({ title, onClose, children, fault, actions }: FaultDialogProps) {
  const id = useId();
  return (
    <Dialog open onClose={onClose} aria-labelledby={id} fullWidth maxWidth="sm">
      <DialogTitle id={id} sx={{ overflowWrap: 'anywhere' }}>
        {title}
      </DialogTitle>
      <DialogContent>
        {children}
        <Fault sentence={fault} />
      </DialogContent>
      <DialogActions>{actions}</DialogActions>
    </Dialog>
  );
}

export function Fault({ sentence }: { sentence: string | null }) {
  return sentence === null ? null : (
    <Alert severity="error" role="alert" sx={{ mt: 2 }}>
      {sentence}
    </Alert>
  );
}

export function RemarkField({ remark, onRemark }: { remark: string; onRemark: (remark: string) => void }) {
  return (
    <TextField
      label={PUBLISHING_WORDS.remark}
      fullWidth
      sx={{ mt: 2.5 }}
      value={remark}
      onChange={(event) => onRemark(event.target.value)}
      slotProps={{ htmlInput: { maxLength: LIMITS.remarkChars } }}
    />
  );
}
