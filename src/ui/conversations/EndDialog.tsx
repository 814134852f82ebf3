import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';

interface EndDialogProps {
  readonly isOpen: boolean;
  readonly onClose: () => void;
  readonly onEnd: () => void;
}

/** Asks once before a conversation is ended without a word. */
export function EndDialog({ isOpen, onClose, onEnd }: EndDialogProps) {
  return (
    <Dialog open={isOpen} onClose={onClose}>
      <DialogTitle>End this conversation?</DialogTitle>
      <DialogContent>The visitor is told that you ended it. They can start a new one.</DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Cancel</Button>
        <Button
          variant="contained"
          autoFocus
          onClick={() => {
            onClose();
            onEnd();
          }}
        >
          End conversation
        </Button>
      </DialogActions>
    </Dialog>
  );
}
