'use client';

import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Box from '@mui/material/Box';

const KEYS: readonly (readonly [keys: string, does: string])[] = [
  ['Ctrl K', 'Search screens and settings'],
  ['?', 'Show these keys'],
  ['← →', 'Design: previous or next moment'],
  ['↑ ↓', 'Design: upper or lower row'],
  ['Enter', 'Design: edit the chosen moment'],
  ['[ ]', 'Design: previous or next situation'],
  ['B', 'Design: why this shows'],
  ['P', 'Design: whole path'],
  ['T', 'Design: try a visit'],
  ['Ctrl Z', 'Design: undo'],
  ['Ctrl Shift Z', 'Design: redo'],
  ['Enter', 'Conversations: send'],
  ['Shift Enter', 'Conversations: new line'],
];

/** All keys on one sheet. */
export function KeySheet({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  return (
    <Dialog open={isOpen} onClose={onClose} aria-labelledby="keys-title">
      <DialogTitle id="keys-title">Keys</DialogTitle>
      <DialogContent>
        <Box
          component="dl"
          sx={{ display: 'grid', gridTemplateColumns: 'auto 1fr', columnGap: 3, rowGap: 1, m: 0 }}
        >
          {KEYS.map(([keys, does]) => (
            <Box key={keys + does} sx={{ display: 'contents' }}>
              <Box component="dt">
                <kbd style={{ fontFamily: 'inherit', fontWeight: 600 }}>{keys}</kbd>
              </Box>
              <Box component="dd" sx={{ m: 0 }}>
                {does}
              </Box>
            </Box>
          ))}
        </Box>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
