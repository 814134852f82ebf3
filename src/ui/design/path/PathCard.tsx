'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { type ReactNode, useEffect, useRef } from 'react';
import { tinykeys } from 'tinykeys';
import { PATH_WORDS } from '../../wording/screens/path';
import { SHARED_WORDS } from '../../wording/screens/shared';

interface PathCardProps {
  /** At the left edge: what it is about stands at the right. */
  readonly isLeft: boolean;
  readonly onClose: () => void;
  /** Of a moment: to its stage. */
  readonly onStage: (() => void) | null;
  readonly children: ReactNode;
}

/** Settings beside the whole path. It takes the focus, and gives it back when it closes. */
export function PathCard({ isLeft, onClose, onStage, children }: PathCardProps) {
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const before = document.activeElement;
    box.current?.focus({ preventScroll: true });
    return () => {
      if (before instanceof HTMLElement) before.focus({ preventScroll: true });
    };
  }, []);
  // Anywhere on the screen: what had the focus may be gone since, as *Back to ours* is.
  useEffect(() => tinykeys(window, { Escape: onClose }), [onClose]);
  return (
    <Box
      ref={box}
      role="dialog"
      aria-label={PATH_WORDS.settings}
      tabIndex={-1}
      data-unprinted
      sx={{
        position: 'absolute',
        top: 12,
        ...(isLeft ? { left: 12 } : { right: 12 }),
        width: 320,
        maxHeight: 'calc(100% - 24px)',
        overflow: 'auto',
        p: 2,
        bgcolor: 'background.paper',
        border: '1px solid var(--porch-edge)',
        borderRadius: '14px 16px 15px 17px',
        boxShadow: '0 8px 24px rgb(0 0 0 / .16)',
        zIndex: 5,
        '&:focus': { outline: 'none' },
      }}
    >
      {children}
      <Box sx={{ display: 'flex', gap: 1, mt: 2 }}>
        {onStage === null ? null : (
          <Button size="small" variant="outlined" onClick={onStage}>
            {PATH_WORDS.editItInThePreview}
          </Button>
        )}
        <Button size="small" onClick={onClose}>
          {SHARED_WORDS.close}
        </Button>
      </Box>
    </Box>
  );
}
