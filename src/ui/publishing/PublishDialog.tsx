'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { type ReactNode, useState } from 'react';
import { toast } from 'sonner';
import type { Finding } from '../../core/findings/finding';
import type { DesignChange } from '../../core/publish/changes';
import { useAttempt } from '../parts/use-attempt';
import { findingSentence } from '../wording/findings';
import type { ChangeContext } from '../wording/changes';
import { dayWords, wallWords } from '../wording/times';
import { ChangeList } from './ChangeList';
import { FaultDialog, RemarkField } from './dialog-parts';
import { PeriodNotice } from './PeriodNotice';
import { PrivateLink } from './PrivateLink';
import { NOW, type WhenAsked, WhenLive } from './WhenLive';
import { useSite } from '../frame/SiteContext';
import { usePort } from '../frame/Connection';
import { publishingPort } from './port';
import { PUBLISHING_WORDS } from '../wording/screens/publishing';
import { SHARED_WORDS } from '../wording/screens/shared';

interface PublishDialogProps {
  readonly onClose: () => void;
  readonly revision: number;
  /** Null: nothing was published yet. */
  readonly changes: readonly DesignChange[] | null;
  readonly context: ChangeContext;
  readonly nextVersion: number;
  readonly findings: readonly Finding[];
  /** What the kept visits come to. */
  readonly checks: ReactNode;
  /** The draft may be another afterwards. */
  readonly onPublished: () => void;
}

/** Says in words what will change, and makes it live: at once, from a moment on, or for a time. */
export function PublishDialog({
  onClose,
  revision,
  changes,
  context,
  nextVersion,
  findings,
  checks,
  onPublished,
}: PublishDialogProps) {
  const { reload, siteKey, zone, overview } = useSite();
  const port = usePort(publishingPort);
  const [remark, setRemark] = useState('');
  const [when, setWhen] = useState(NOW);
  const { isBusy, fault, errors, run } = useAttempt(PUBLISHING_WORDS.notPublished);
  const isSet = when.kind === 'now' || (when.from !== '' && (when.kind === 'later' || when.until !== ''));
  const isAtField = errors['from'] !== undefined || errors['until'] !== undefined;
  const publish = async (): Promise<void> => {
    const version = await port.publish({
      revision,
      remark,
      from: when.kind === 'now' ? null : when.from,
      until: when.kind === 'period' ? when.until : null,
      takesBack: when.kind === 'period' && when.takesBack,
    });
    onClose();
    onPublished();
    const toVersions = {
      label: SHARED_WORDS.versions,
      onClick: () => window.location.assign(`/s/${siteKey}/versions`),
    };
    if (when.kind !== 'now')
      toast.success(PUBLISHING_WORDS.publishedScheduled(version, wallWords(when.from)), {
        action: toVersions,
      });
    else if (overview.periodUntil !== null)
      toast.success(PUBLISHING_WORDS.publishedAfterPeriod(version, dayWords(overview.periodUntil, zone)), {
        action: toVersions,
      });
    else
      toast.success(PUBLISHING_WORDS.publishedLive(version), {
        action: {
          label: PUBLISHING_WORDS.openInstall,
          onClick: () => window.location.assign(`/s/${siteKey}/install`),
        },
      });
    await reload();
  };
  return (
    <FaultDialog
      title={SHARED_WORDS.publishVersion(nextVersion)}
      onClose={onClose}
      fault={isAtField ? null : fault}
      actions={
        <>
          <Button onClick={onClose}>{SHARED_WORDS.cancel}</Button>
          <Button variant="contained" loading={isBusy} disabled={!isSet} onClick={() => void run(publish)}>
            {when.kind === 'now' ? PUBLISHING_WORDS.publish : PUBLISHING_WORDS.schedule}
          </Button>
        </>
      }
    >
      {changes === null ? (
        <Typography>{PUBLISHING_WORDS.firstTime}</Typography>
      ) : (
        <>
          <Typography sx={{ mb: 1 }}>{goesAlong(changes.length, when.kind)}</Typography>
          <ChangeList changes={changes} context={context} />
        </>
      )}
      {findings.length === 0 ? null : <FindingList findings={findings} />}
      {checks}
      <PrivateLink />
      <WhenLive when={when} onWhen={setWhen} zoneName={zone} errors={errors} />
      {when.kind === 'now' ? <PeriodNotice /> : null}
      <RemarkField remark={remark} onRemark={setRemark} />
    </FaultDialog>
  );
}

/** What is listed below: every change that is not published yet. */
function goesAlong(count: number, kind: WhenAsked['kind']): string {
  if (kind === 'period') return PUBLISHING_WORDS.thingsChangeForTime(count);
  return PUBLISHING_WORDS.thingsChange(count);
}

/** What there is to mend in the draft: what it would mean for visitors. It warns, and does not forbid. */
function FindingList({ findings }: { findings: readonly Finding[] }) {
  const [mend, look] = [
    findings.filter(({ level }) => level === 'must-fix'),
    findings.filter(({ level }) => level === 'suggestion'),
  ];
  return (
    <Alert
      severity={mend.length > 0 ? 'warning' : 'info'}
      role="group"
      aria-label={mend.length > 0 ? SHARED_WORDS.toFix : SHARED_WORDS.suggestions}
      sx={{ mt: 2 }}
    >
      {[
        mend.length > 0 ? SHARED_WORDS.toFixCount(mend.length) : '',
        look.length > 0 ? PUBLISHING_WORDS.suggestionCount(look.length) : '',
      ]
        .filter(Boolean)
        .join(', ')}
      :
      <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
        {[...mend, ...look].slice(0, FINDINGS_SHOWN).map((finding) => (
          <li key={finding.key}>{findingSentence(finding)}</li>
        ))}
      </Box>
      {findings.length > FINDINGS_SHOWN
        ? PUBLISHING_WORDS.moreFindings(findings.length - FINDINGS_SHOWN)
        : null}
    </Alert>
  );
}

const FINDINGS_SHOWN = 4;
