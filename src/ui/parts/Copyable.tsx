'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { toast } from 'sonner';
import { PART_WORDS } from '../wording/screens/parts';

interface CopyableProps {
  readonly label: string;
  readonly text: string;
  readonly testId: string;
  /** What to do with it once it is copied. */
  readonly then: string;
}

/** A text to take along, and the button that takes it. */
export function Copyable({ label, text, testId, then }: CopyableProps) {
  const [isCopied, setCopied] = useState(false);
  const copy = (): void => {
    navigator.clipboard.writeText(text).then(
      () => setCopied(true),
      () => toast.error(PART_WORDS.copyRefused),
    );
  };
  return (
    <>
      <Box
        component="pre"
        tabIndex={0}
        aria-label={label}
        data-testid={testId}
        sx={{
          m: 0,
          mb: 1.5,
          p: 2,
          bgcolor: 'background.paper',
          border: '1px solid var(--porch-edge)',
          borderRadius: '10px',
          whiteSpace: 'pre-wrap',
          overflowWrap: 'anywhere',
          fontSize: '0.8125rem',
        }}
      >
        {text}
      </Box>
      <Button
        variant="contained"
        aria-label={`${isCopied ? PART_WORDS.copied : PART_WORDS.copy}: ${label}`}
        onClick={copy}
      >
        {isCopied ? PART_WORDS.copied : PART_WORDS.copy}
      </Button>
      <Box role="status" sx={{ display: 'inline', ml: 2, fontSize: '0.8125rem' }}>
        {isCopied ? then : ''}
      </Box>
    </>
  );
}
