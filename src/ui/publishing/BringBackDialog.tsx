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
import { PUBLISHING_WORDS } from '../wording/screens/publishing';
import { SHARED_WORDS } from '../wording/screens/shared';

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
  const { isBusy, fault, run } = useAttempt(PUBLISHING_WORDS.notBroughtBack);
  const now = overview.publishedDesign;
  const isLoaded = design !== null && design !== 'failed';
  const changes = !isLoaded || now === null ? [] : changesOf(now, design);
  const go = async (): Promise<void> => {
    const made = await onBringBack(number, remark);
    onClose();
    const isLater = isLoaded && overview.periodUntil !== null;
    toast.success(PUBLISHING_WORDS.broughtBack(number, isLater, made));
  };
  return (
    <FaultDialog
      title={PUBLISHING_WORDS.bringBackVersion(number)}
      onClose={onClose}
      fault={design === 'failed' ? PUBLISHING_WORDS.versionNotLoaded : fault}
      actions={
        <>
          <Button onClick={onClose}>{SHARED_WORDS.cancel}</Button>
          <Button variant="contained" loading={isBusy} disabled={!isLoaded} onClick={() => void run(go)}>
            {PUBLISHING_WORDS.publishAsVersion(nextVersion)}
          </Button>
        </>
      }
    >
      {!isLoaded ? null : changes.length === 0 ? (
        <Typography>{PUBLISHING_WORDS.visitorsWillSeeNoDifference}</Typography>
      ) : (
        <>
          <Typography sx={{ mb: 1 }}>{PUBLISHING_WORDS.willChangeForVisitors}</Typography>
          <ChangeList changes={changes} context={changeContext(overview, now, design)} />
        </>
      )}
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
        {PUBLISHING_WORDS.bringBackHelp}
      </Typography>
      <PeriodNotice />
      <RemarkField remark={remark} onRemark={setRemark} />
    </FaultDialog>
  );
}
