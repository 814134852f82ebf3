'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useRef, useState } from 'react';
import type { SettingsView } from '../../core/wire/desk';
import { SavedField } from '../parts/SavedField';
import { useAttempt } from '../parts/use-attempt';
import type { SettingsPort } from './port';
import { SETTINGS_WORDS } from '../wording/screens/settings';
import { SHARED_WORDS } from '../wording/screens/shared';

interface RetentionProps {
  readonly days: number;
  readonly port: SettingsPort;
  readonly onView: (view: SettingsView) => void;
}

/** For how long conversations are kept. A shorter time deletes older ones, which is asked for once more. */
export function Retention({ days, port, onView }: RetentionProps) {
  const [asked, setAsked] = useState<{ readonly days: number; readonly olderCount: number } | null>(null);
  const { isBusy, fault, run } = useAttempt(SHARED_WORDS.notSaved);
  const box = useRef<HTMLDivElement>(null);
  /** The question goes, and the keyboard is back at the field. */
  const close = (): void => {
    setAsked(null);
    box.current?.querySelector('input')?.focus();
  };
  const save = async (wanted: number, isSure: boolean): Promise<void> => {
    const { olderCount, view } = await port.setRetention({ days: wanted, isSure });
    onView(view);
    if (olderCount > 0) setAsked({ days: wanted, olderCount });
    else close();
  };
  return (
    <Box ref={box}>
      <SavedField
        name="days"
        label={SETTINGS_WORDS.keptDays}
        type="number"
        value={String(days)}
        buttonName={SETTINGS_WORDS.saveDays}
        onSave={(typed) => save(Number(typed), false)}
      />
      {asked === null ? null : (
        <Alert severity="warning" role="alert" sx={{ mt: 2, maxWidth: '32rem' }}>
          {SETTINGS_WORDS.olderOnes(asked.olderCount, asked.days)}
          <Box sx={{ display: 'flex', gap: 1.5, mt: 1 }}>
            <Button
              variant="outlined"
              color="error"
              size="small"
              loading={isBusy}
              onClick={() => void run(() => save(asked.days, true))}
            >
              {SETTINGS_WORDS.deleteOlder}
            </Button>
            <Button size="small" onClick={close}>
              {SETTINGS_WORDS.keepOlder(days)}
            </Button>
          </Box>
          {fault}
        </Alert>
      )}
    </Box>
  );
}
