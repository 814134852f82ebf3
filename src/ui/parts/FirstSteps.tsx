'use client';

import CloseIcon from '@mui/icons-material/Close';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import NextLink from 'next/link';
import { PART_WORDS } from '../wording/screens/parts';
import { SHARED_WORDS } from '../wording/screens/shared';

interface FirstStepsProps {
  readonly siteKey: string;
  /** Null: it stays. */
  readonly onClose: (() => void) | null;
}

/** Three things to do with a widget that is new, in any order. */
export function FirstSteps({ siteKey, onClose }: FirstStepsProps) {
  const steps = [
    [SHARED_WORDS.sayHello, PART_WORDS.sayHelloHelp, 'practice'],
    [SHARED_WORDS.putItOnYourSite, PART_WORDS.putItOnYourSiteHelp, 'install'],
    [PART_WORDS.makeItYours, PART_WORDS.makeItYoursHelp, 'design?look=looks'],
  ] as const;
  return (
    <Box
      component="section"
      aria-label={PART_WORDS.firstSteps}
      sx={{
        position: 'relative',
        p: 2,
        bgcolor: 'background.paper',
        border: '1px solid var(--porch-edge)',
        borderRadius: '14px 16px 15px 17px',
      }}
    >
      <Typography component="h2" sx={{ fontWeight: 700, pr: 4 }}>
        {PART_WORDS.yourWidgetIsReady}
      </Typography>
      <Typography variant="body2">{PART_WORDS.firstStepsHelp}</Typography>
      <Box component="ul" sx={{ m: 0, mt: 1, p: 0, listStyle: 'none' }}>
        {steps.map(([name, what, path]) => (
          <Box component="li" key={path} sx={{ py: 0.5 }}>
            <Link component={NextLink} href={`/s/${siteKey}/${path}`} sx={{ fontWeight: 600 }}>
              {name}
            </Link>
            <Box sx={{ fontSize: '0.8125rem', color: 'text.secondary' }}>{what}</Box>
          </Box>
        ))}
      </Box>
      {onClose === null ? null : (
        <IconButton
          size="small"
          aria-label={PART_WORDS.closeFirstSteps}
          onClick={onClose}
          sx={{ position: 'absolute', right: 8, top: 8 }}
        >
          <CloseIcon fontSize="small" />
        </IconButton>
      )}
    </Box>
  );
}
