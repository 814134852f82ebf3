'use client';

import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Box from '@mui/material/Box';

const KEYS: readonly (readonly [keys: string, does: string])[] = [
  ['Ctrl K', 'Find any screen or setting'],
  ['?', 'This sheet'],
  ['← →', 'Design: along a lane of the path'],
  ['↑ ↓', 'Design: between the lanes'],
  ['Enter', 'Design: from the stone to the stage'],
  ['[ ]', 'Design: the situation before, and the next'],
  ['B', 'Design: all reasons'],
  ['P', 'Design: the whole path, and back'],
  ['T', 'Design: try a visit, and back'],
  ['Ctrl Z', 'Design: undo'],
  ['Ctrl Shift Z', 'Design: redo'],
  ['Enter', 'Conversations: send'],
  ['Shift Enter', 'Conversations: a new line'],
];

/** All keys on one sheet. */
export function KeySheet({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  return (
    <Dialog open={isOpen} onClose={onClose} aria-labelledby="keys-title">
      <DialogTitle id="keys-title" sx={{ fontFamily: '"Fraunces Variable"', fontSize: 23 }}>
        Keys
      </DialogTitle>
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
