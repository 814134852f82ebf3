'use client';

import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Box from '@mui/material/Box';
import { FRAME_WORDS } from '../wording/screens/frame';
import { SHARED_WORDS } from '../wording/screens/shared';

const KEYS: readonly (readonly [keys: string, does: string])[] = [
  [FRAME_WORDS.ctrlK, FRAME_WORDS.searchHelp],
  ['?', FRAME_WORDS.showTheseKeys],
  ['← →', FRAME_WORDS.keyMoment],
  ['↑ ↓', FRAME_WORDS.keyRow],
  ['Enter', FRAME_WORDS.keyEdit],
  ['[ ]', FRAME_WORDS.keySituation],
  ['B', FRAME_WORDS.keyWhy],
  ['P', FRAME_WORDS.keyWholePath],
  ['T', FRAME_WORDS.keyTry],
  [FRAME_WORDS.ctrlZ, FRAME_WORDS.keyUndo],
  [FRAME_WORDS.ctrlShiftZ, FRAME_WORDS.keyRedo],
  ['Enter', FRAME_WORDS.keySend],
  [FRAME_WORDS.shiftEnter, FRAME_WORDS.keyNewLine],
];

/** All keys on one sheet. */
export function KeySheet({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  return (
    <Dialog open={isOpen} onClose={onClose} aria-labelledby="keys-title">
      <DialogTitle id="keys-title">{FRAME_WORDS.keys}</DialogTitle>
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
        <Button onClick={onClose}>{SHARED_WORDS.close}</Button>
      </DialogActions>
    </Dialog>
  );
}
