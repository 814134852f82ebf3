import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { CONVERSATIONS_WORDS } from '../wording/screens/conversations';
import { SHARED_WORDS } from '../wording/screens/shared';

interface EndDialogProps {
  readonly isOpen: boolean;
  readonly onClose: () => void;
  readonly onEnd: () => void;
}

/** Asks once before a conversation is ended without a word. */
export function EndDialog({ isOpen, onClose, onEnd }: EndDialogProps) {
  return (
    <Dialog open={isOpen} onClose={onClose}>
      <DialogTitle>{CONVERSATIONS_WORDS.endQuestion}</DialogTitle>
      <DialogContent>{CONVERSATIONS_WORDS.endHelp}</DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{SHARED_WORDS.cancel}</Button>
        <Button
          variant="contained"
          autoFocus
          onClick={() => {
            onClose();
            onEnd();
          }}
        >
          {CONVERSATIONS_WORDS.endConversation}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
