'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import LinearProgress from '@mui/material/LinearProgress';
import { useDraft } from './use-draft';
import { DesignDesk } from './DesignDesk';
import { useSite } from '../frame/SiteContext';

/** Design: loads the draft, then hands it to the desk. */
export function DesignScreen() {
  const load = useDraft();
  const { overview } = useSite();
  if (load.kind === 'failed')
    return (
      <Box sx={{ p: 4 }}>
        <Alert severity="error">{load.sentence} Load the page anew to try again.</Alert>
      </Box>
    );
  if (load.kind === 'loading' || overview === null) return <LinearProgress aria-label="Loading the draft" />;
  return <DesignDesk saver={load.saver} draft={load.draft} overview={overview} />;
}
