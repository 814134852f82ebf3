'use client';

import Box from '@mui/material/Box';
import type { SxProps } from '@mui/material/styles';
import type { ReactNode } from 'react';
import { useRoving } from './use-roving';

interface RovingProps {
  readonly label: string;
  readonly role?: 'toolbar' | 'group' | 'list';
  readonly sx?: SxProps;
  readonly children: ReactNode;
}

/** A group of buttons and links that is one Tab stop; arrow keys lead from one to the next. */
export function Roving({ label, role = 'toolbar', sx = {}, children }: RovingProps) {
  return (
    <Box role={role} aria-label={label} sx={sx} {...useRoving<HTMLDivElement>()}>
      {children}
    </Box>
  );
}
