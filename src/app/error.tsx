'use client';

import Button from '@mui/material/Button';
import { EntranceLayout } from '../ui/entrance/EntranceLayout';

export default function ErrorPage({ reset }: { error: Error; reset: () => void }) {
  return (
    <EntranceLayout
      title="Something broke on our side"
      lead="What was saved is safe. Try again; if it stays so, look at what the server printed."
    >
      <Button variant="contained" onClick={reset}>
        Try again
      </Button>
    </EntranceLayout>
  );
}
