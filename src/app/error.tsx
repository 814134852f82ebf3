'use client';

import Button from '@mui/material/Button';
import { EntranceLayout } from '../ui/entrance/EntranceLayout';
import { ENTRANCE_WORDS } from '../ui/wording/screens/entrance';

export default function ErrorPage({ reset }: { error: Error; reset: () => void }) {
  return (
    <EntranceLayout title={ENTRANCE_WORDS.brokenTitle} lead={ENTRANCE_WORDS.brokenHelp}>
      <Button variant="contained" onClick={reset}>
        {ENTRANCE_WORDS.tryAgain}
      </Button>
    </EntranceLayout>
  );
}
