'use client';

import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { toast } from 'sonner';
import type { Design } from '../../core/model/design';
import { changesOf } from '../../core/publish/changes';
import { useAttempt } from '../parts/use-attempt';
import { changeContext } from './change-context';
import { ChangeList } from './ChangeList';
import { FaultDialog, RemarkField } from './dialog-parts';
import { PeriodNotice } from './PeriodNotice';
import { useVersionDesign } from './use-version-design';
import { useSite } from '../frame/SiteContext';

interface BringBackDialogProps {
  readonly number: number;
  readonly nextVersion: number;
  readonly load: (number: number) => Promise<Design>;
  readonly onClose: () => void;
  readonly onBringBack: (number: number, remark: string) => Promise<number>;
}

/** Says what changes for visitors when an earlier version comes back, and publishes it as a new one. */
export function BringBackDialog({ number, nextVersion, load, onClose, onBringBack }: BringBackDialogProps) {
  const { overview } = useSite();
  const design = useVersionDesign(number, load);
  const [remark, setRemark] = useState('');
  const { isBusy, fault, run } = useAttempt('Nothing was brought back. Try again.');
  const now = overview.publishedDesign;
  const isLoaded = design !== null && design !== 'failed';
  const changes = !isLoaded || now === null ? [] : changesOf(now, design);
  const go = async (): Promise<void> => {
    const made = await onBringBack(number, remark);
    onClose();
    const isLater = isLoaded && overview.periodUntil !== null;
    toast.success(
      `Version ${number} is ${isLater ? 'published' : 'live'} again, as version ${made}. Your draft now matches it. Undo in Design brings your draft back.`,
    );
  };
  return (
    <FaultDialog
      title={`Bring back version ${number}`}
      onClose={onClose}
      fault={
        design === 'failed'
          ? 'The version could not be loaded. Nothing was changed; close this and try again.'
          : fault
      }
      actions={
        <>
          <Button onClick={onClose}>Cancel</Button>
          <Button variant="contained" loading={isBusy} disabled={!isLoaded} onClick={() => void run(go)}>
            Publish as version {nextVersion}
          </Button>
        </>
      }
    >
      {!isLoaded ? null : changes.length === 0 ? (
        <Typography>Visitors will see no difference.</Typography>
      ) : (
        <>
          <Typography sx={{ mb: 1 }}>This will change for visitors:</Typography>
          <ChangeList changes={changes} context={changeContext(overview, now, design)} />
        </>
      )}
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
        Hours, people and teams stay as they are now. The draft becomes this version too; undo there gives
        back what you had.
      </Typography>
      <PeriodNotice />
      <RemarkField remark={remark} onRemark={setRemark} />
    </FaultDialog>
  );
}
