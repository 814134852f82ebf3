import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';

interface SectionProps {
  readonly title: string;
  /** At the end of the heading's line. */
  readonly aside?: string;
  readonly children: ReactNode;
}

/** A part of the inspector, under its heading. */
export function Section({ title, aside, children }: SectionProps) {
  return (
    <Box
      component="section"
      aria-label={title}
      sx={{ mx: -2, px: 2, mt: 1.5, pt: 1.25, borderTop: '1px solid var(--porch-rail)' }}
    >
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1, mb: 0.75 }}>
        <Typography component="h3" sx={{ fontSize: '0.875rem', fontWeight: 700, flex: 1 }}>
          {title}
        </Typography>
        {aside === undefined ? null : (
          <Typography sx={{ fontSize: '0.8125rem', color: 'text.secondary' }}>{aside}</Typography>
        )}
      </Box>
      {children}
    </Box>
  );
}
