'use client';

import Alert from '@mui/material/Alert';
import { dayWords } from '../wording/times';
import { useSite } from '../frame/SiteContext';
import { PUBLISHING_WORDS } from '../wording/screens/publishing';

/** [L6] While a period runs: what is published now comes after it, and says so. */
export function PeriodNotice() {
  const { overview, zone } = useSite();
  if (overview.periodUntil === null) return null;
  return (
    <Alert severity="info" role="note" sx={{ mt: 2 }}>
      {PUBLISHING_WORDS.version} {overview.version}{' '}
      {PUBLISHING_WORDS.isSetUntil(dayWords(overview.periodUntil, zone))}
    </Alert>
  );
}
