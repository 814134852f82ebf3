import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { type ReactNode, useId } from 'react';

interface PartProps {
  readonly title: string;
  /** What it leads to, in a sentence. */
  readonly lead?: string;
  readonly children: ReactNode;
}

/** A part of a reading screen under its heading. */
export function Part({ title, lead, children }: PartProps) {
  const id = useId();
  return (
    <Box component="section" aria-labelledby={id} sx={{ mb: 5 }}>
      <Typography id={id} variant="h2" sx={{ mb: 0.5 }}>
        {title}
      </Typography>
      {lead === undefined ? null : (
        <Typography variant="body2" color="text.secondary">
          {lead}
        </Typography>
      )}
      <Box sx={{ mt: 2 }}>{children}</Box>
    </Box>
  );
}
