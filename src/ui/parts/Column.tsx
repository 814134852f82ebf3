import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

/** The one column that reading screens share: 960 px with one left edge; less on smaller screens. */
export function Column({ children }: { readonly children: ReactNode }) {
  return (
    <Box sx={{ maxWidth: '60rem', width: '100%', mx: 'auto', p: { xs: 2, md: 4 }, px: { lg: 0 } }}>
      {children}
    </Box>
  );
}
