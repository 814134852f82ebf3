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
import { DRAFT_WORDS } from '../../wording/screens/draft';

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
      <DialogTitle id="clash-title">{DRAFT_WORDS.clashTitle}</DialogTitle>
      <DialogContent>
        <Typography variant="body2" sx={{ mb: 2 }}>
          {DRAFT_WORDS.clashHelp(first.label)}
        </Typography>
        <Wording title={DRAFT_WORDS.theirs} value={first.theirs} />
        <Wording title={DRAFT_WORDS.yours} value={first.mine} />
        {clashes.length === 1 ? null : (
          <Typography variant="body2" color="text.secondary">
            {DRAFT_WORDS.moreClashes(clashes.length - 1)}
          </Typography>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={() => onChoose('theirs')}>{DRAFT_WORDS.keepTheirs}</Button>
        <Button variant="contained" onClick={() => onChoose('mine')}>
          {DRAFT_WORDS.useMine}
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
  if (value === undefined) return DRAFT_WORDS.ourText;
  if (typeof value === 'string') return value;
  if (typeof value === 'boolean') return value ? DRAFT_WORDS.on : DRAFT_WORDS.off;
  return typeof value === 'number'
    ? String(value)
    : value === null
      ? DRAFT_WORDS.off
      : DRAFT_WORDS.changedSeveralWays;
}
