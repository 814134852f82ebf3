'use client';

import CloseIcon from '@mui/icons-material/Close';
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import IconButton from '@mui/material/IconButton';
import { type ReactNode, useEffect, useRef } from 'react';
import { PILL } from '../stage/pill';
import { INSPECTOR_WORDS } from '../../wording/screens/inspector';

interface InspectorSheetProps {
  readonly onClose: () => void;
  readonly children: ReactNode;
}

/** Where there is no room beside the stage, what cannot be seen lies over its right side; Escape gives it back. */
export function InspectorSheet({ onClose, children }: InspectorSheetProps) {
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const before = document.activeElement;
    box.current?.querySelector<HTMLElement>('[role=tab][aria-selected=true]')?.focus();
    return () => {
      // Whoever has gone on to a moment card keeps it; only a focus that went with the sheet is given back.
      if (document.activeElement === document.body && before instanceof HTMLElement && before.isConnected)
        before.focus();
    };
  }, []);
  return (
    <Box
      ref={box}
      data-inspector-sheet
      onKeyDown={(event) => {
        if (event.key !== 'Escape' || event.defaultPrevented) return;
        event.stopPropagation();
        onClose();
      }}
      sx={{
        position: 'absolute',
        insetBlock: 0,
        right: 0,
        width: 320,
        zIndex: 6,
        boxShadow: '-6px 0 18px rgb(0 0 0 / 0.16)',
        borderLeft: '1px solid var(--porch-edge)',
      }}
    >
      <IconButton
        aria-label={INSPECTOR_WORDS.closeTheSettings}
        size="small"
        onClick={onClose}
        sx={{ position: 'absolute', right: 8, top: 8, zIndex: 1 }}
      >
        <CloseIcon fontSize="small" />
      </IconButton>
      {children}
    </Box>
  );
}

/** Opens the sheet; it stands among the switches of the stage. */
export function SheetButton({ isOpen, onOpen }: { isOpen: boolean; onOpen: () => void }) {
  return (
    <ButtonBase
      aria-haspopup="dialog"
      aria-expanded={isOpen}
      onClick={onOpen}
      sx={{ ...PILL, fontWeight: 600 }}
    >
      {INSPECTOR_WORDS.settings}
    </ButtonBase>
  );
}
