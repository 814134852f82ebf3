'use client';

import Alert from '@mui/material/Alert';
import { dayWords } from '../wording/times';
import { useSite } from '../frame/SiteContext';

/** [L6] While a period runs: what is published now comes after it, and says so. */
export function PeriodNotice() {
  const { overview, zone } = useSite();
  if (overview.periodUntil === null) return null;
  return (
    <Alert severity="info" role="note" sx={{ mt: 2 }}>
      Version {overview.version} is set until {dayWords(overview.periodUntil, zone)}. Visitors go on seeing it
      until then; this comes after it.
    </Alert>
  );
}
