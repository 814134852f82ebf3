'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import type { Json } from '../../../core/model/json';
import type { LabelledClash } from './draft-saver';

interface ClashDialogProps {
  readonly clashes: readonly LabelledClash[];
  readonly onChoose: (which: 'mine' | 'theirs') => void;
}

/** Two people have changed the same thing: both values, and the choice. Theirs is saved until then. */
export function ClashDialog({ clashes, onChoose }: ClashDialogProps) {
  const [first] = clashes;
  if (first === undefined) return null;
  return (
    <Dialog open maxWidth="sm" fullWidth aria-labelledby="clash-title">
      <DialogTitle id="clash-title">Somebody else changed this too</DialogTitle>
      <DialogContent>
        <Typography variant="body2" sx={{ mb: 2 }}>
          Both of you have changed the same thing: {first.label}. Theirs is saved; yours is kept here until
          you choose. Visitors see neither before it is published.
        </Typography>
        <Wording title="Theirs" value={first.theirs} />
        <Wording title="Yours" value={first.mine} />
        {clashes.length === 1 ? null : (
          <Typography variant="body2" color="text.secondary">
            {clashes.length - 1} more after this one.
          </Typography>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={() => onChoose('theirs')}>Keep theirs</Button>
        <Button variant="contained" onClick={() => onChoose('mine')}>
          Use mine
        </Button>
      </DialogActions>
    </Dialog>
  );
}

function Wording({ title, value }: { title: string; value: Json | undefined }) {
  return (
    <Box sx={{ mb: 2 }}>
      <Typography component="h3" sx={{ fontSize: '0.8125rem', fontWeight: 700 }}>
        {title}
      </Typography>
      <Box
        component="blockquote"
        dir="auto"
        sx={{
          m: 0,
          mt: 0.5,
          px: 1.5,
          py: 1,
          borderRadius: '10px',
          bgcolor: 'var(--porch-lane)',
          whiteSpace: 'pre-wrap',
          overflowWrap: 'anywhere',
        }}
      >
        {wordsOf(value)}
      </Box>
    </Box>
  );
}

function wordsOf(value: Json | undefined): string {
  if (value === undefined) return 'Our text.';
  if (typeof value === 'string') return value;
  if (typeof value === 'boolean') return value ? 'On' : 'Off';
  return typeof value === 'number' ? String(value) : value === null ? 'Off' : 'Changed in several ways.';
}
