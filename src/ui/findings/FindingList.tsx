'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import NextLink from 'next/link';
import { useState } from 'react';
import { toast } from 'sonner';
import type { Finding } from '../../core/findings/finding';
import { LIMITS } from '../../core/limits';
import { PortError } from '../frame/api';
import type { Findings } from './use-draft-findings';
import { findingAction, findingSentence } from '../wording/findings';
import { useSite } from '../frame/SiteContext';
import { useConnection } from '../frame/Connection';
import { useFindings } from './FindingsContext';
import { FINDING_LIST_WORDS } from '../wording/screens/finding-list';
import { SHARED_WORDS } from '../wording/screens/shared';

interface FindingListProps {
  readonly findings: Findings;
  readonly widgetKeyOf: (id: string) => string | null;
}

/** Everything computed to be wrong or doubtful, each with the place to mend it, or dismissed with a reason. */
export function FindingList({ findings: { open, dismissal }, widgetKeyOf }: FindingListProps) {
  const { siteKey } = useSite();
  const { notice } = useConnection();
  const { restoreFinding } = useFindings();
  const [isDismissedOpen, setDismissedOpen] = useState(false);
  const [isLookOpen, setLookOpen] = useState(false);
  const mustFix = open.filter(({ level }) => level === 'must-fix');
  const suggestions = open.filter(({ level }) => level === 'suggestion');
  const rows = (all: readonly Finding[]) =>
    all.map((one) => <FindingRow key={one.key} finding={one} siteKey={siteKey} widgetKeyOf={widgetKeyOf} />);
  return (
    <Box
      component="section"
      aria-labelledby="boards-title"
      sx={{ py: 2, borderTop: '1px solid var(--porch-rail)' }}
    >
      <Typography component="h2" id="boards-title" sx={{ fontSize: '0.8125rem', fontWeight: 700 }}>
        {mustFix.length > 0 ? SHARED_WORDS.toFix : SHARED_WORDS.suggestions}
      </Typography>
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {rows(mustFix)}
        {isLookOpen || mustFix.length === 0 ? rows(suggestions) : null}
      </Box>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', mt: 0.5 }}>
        {mustFix.length > 0 && suggestions.length > 0 ? (
          <Link
            component="button"
            type="button"
            variant="body2"
            aria-expanded={isLookOpen}
            onClick={() => setLookOpen(!isLookOpen)}
            sx={{ minHeight: 32 }}
          >
            {isLookOpen
              ? FINDING_LIST_WORDS.showOnlyProblems
              : FINDING_LIST_WORDS.showSuggestions(suggestions.length)}
          </Link>
        ) : null}
        {dismissal.length === 0 ? null : (
          <Link
            component="button"
            type="button"
            variant="body2"
            aria-expanded={isDismissedOpen}
            onClick={() => setDismissedOpen(!isDismissedOpen)}
            sx={{ minHeight: 32 }}
          >
            {FINDING_LIST_WORDS.dismissedCount(dismissal.length)}
          </Link>
        )}
      </Box>
      {isDismissedOpen ? (
        <Box
          component="ul"
          aria-label={FINDING_LIST_WORDS.dismissed}
          sx={{ m: 0, p: 0, listStyle: 'none', color: 'text.secondary' }}
        >
          {dismissal.map(({ finding, dismissal: { reason, personName } }) => (
            <Box
              component="li"
              key={finding.key}
              sx={{ py: 1, display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}
            >
              <Box sx={{ flex: 1, minWidth: 240 }}>
                {findingSentence(finding)}
                <Box sx={{ fontSize: '0.8125rem' }}>{FINDING_LIST_WORDS.dismissedBy(personName, reason)}</Box>
              </Box>
              <Button size="small" onClick={() => restoreFinding(finding.key).catch(notice)}>
                {SHARED_WORDS.bringBack}
              </Button>
            </Box>
          ))}
        </Box>
      ) : null}
    </Box>
  );
}

interface FindingRowProps {
  readonly finding: Finding;
  readonly siteKey: string;
  readonly widgetKeyOf: (id: string) => string | null;
}

function FindingRow({ finding, siteKey, widgetKeyOf }: FindingRowProps) {
  const { notice } = useConnection();
  const { dismiss } = useFindings();
  const [reason, setReason] = useState<string | null>(null);
  const action = findingAction(finding, widgetKeyOf);
  const store = (): void => {
    dismiss(finding.key, (reason ?? '').trim()).catch((error: unknown) => {
      notice(error);
      if (error instanceof PortError) toast.error(error.sentence);
    });
  };
  return (
    <Box component="li" sx={{ py: 1 }}>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
        <Box sx={{ flex: 1, minWidth: 240 }}>
          {findingSentence(finding)}
          {finding.level === 'suggestion' ? null : (
            <Box
              component="span"
              sx={{
                fontSize: '0.8125rem',
                fontWeight: 700,
                color: 'var(--porch-clay)',
                ml: 1,
                whiteSpace: 'nowrap',
              }}
            >
              {FINDING_LIST_WORDS.fixThisFirst}
            </Box>
          )}
        </Box>
        <Button component={NextLink} href={`/s/${siteKey}/${action.path}`} variant="outlined" size="small">
          {action.words}
        </Button>
        <Button
          size="small"
          aria-expanded={reason !== null}
          onClick={() => setReason(reason === null ? '' : null)}
        >
          {FINDING_LIST_WORDS.dismiss}
        </Button>
      </Box>
      {reason === null ? null : (
        <Box
          component="form"
          onSubmit={(event) => {
            event.preventDefault();
            if (reason.trim() !== '') store();
          }}
          sx={{ display: 'flex', gap: 1, mt: 1, alignItems: 'flex-start' }}
        >
          <TextField
            autoFocus
            fullWidth
            size="small"
            label={FINDING_LIST_WORDS.reason}
            value={reason}
            onChange={(event) => setReason(event.target.value)}
            helperText={FINDING_LIST_WORDS.reasonHelp}
            slotProps={{ htmlInput: { maxLength: LIMITS.remarkChars } }}
          />
          <Button
            type="submit"
            variant="outlined"
            disabled={reason.trim() === ''}
            sx={{ minHeight: 40, whiteSpace: 'nowrap' }}
          >
            {FINDING_LIST_WORDS.dismiss}
          </Button>
        </Box>
      )}
    </Box>
  );
}
