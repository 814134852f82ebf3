import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { screenAt } from './screens';

/** A screen that does not stand yet: one sentence of what will. */
export function ScreenToCome({ path }: { path: string }) {
  const { name, toCome } = screenAt(path);
  return (
    <Box sx={{ maxWidth: 720, width: '100%', mx: 'auto', p: { xs: 2, md: 6 } }}>
      <Typography variant="h1" sx={{ mb: 2 }}>
        {name}
      </Typography>
      <Typography color="text.secondary">{toCome}</Typography>
    </Box>
  );
}
