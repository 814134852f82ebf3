import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import { PorchMark } from '../parts/PorchMark';
import { ENTRANCE_WORDS } from '../wording/screens/entrance';

/** A page in front of the house: one card, the lamp, and what is asked. */
export function EntranceLayout({
  title,
  lead,
  children,
}: {
  title: string;
  lead?: string;
  children: ReactNode;
}) {
  return (
    <Box component="main" sx={{ minHeight: '100vh', display: 'grid', placeItems: 'center', p: 2 }}>
      <Box
        sx={{
          width: '100%',
          maxWidth: 440,
          bgcolor: 'background.paper',
          border: '1px solid var(--porch-rail)',
          borderRadius: '12px',
          p: { xs: 2, sm: 4 },
        }}
      >
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, mb: 2, color: 'var(--porch-door)' }}>
          <PorchMark size={28} />
          <Typography component="span" sx={{ fontWeight: 700 }}>
            {ENTRANCE_WORDS.sunnyPorch}
          </Typography>
        </Box>
        <Typography variant="h1" sx={{ mb: 1 }}>
          {title}
        </Typography>
        {lead === undefined ? null : (
          <Typography color="text.secondary" sx={{ mb: 3 }}>
            {lead}
          </Typography>
        )}
        {children}
      </Box>
    </Box>
  );
}
