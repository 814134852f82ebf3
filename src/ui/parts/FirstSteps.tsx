'use client';

import CloseIcon from '@mui/icons-material/Close';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import NextLink from 'next/link';

interface FirstStepsProps {
  readonly siteKey: string;
  /** Null: it stays. */
  readonly onClose: (() => void) | null;
}

/** Three things to do with a widget that is new, in any order. */
export function FirstSteps({ siteKey, onClose }: FirstStepsProps) {
  const steps = [
    ['Say hello to yourself', 'See both sides of a conversation.', 'practice'],
    ['Put it on your site', 'Paste one line, once.', 'install'],
    ['Make it look like you', 'Six starting looks, in your colour.', 'design?look=looks'],
  ] as const;
  return (
    <Box
      component="section"
      aria-label="First steps"
      sx={{
        position: 'relative',
        p: 2,
        bgcolor: 'background.paper',
        border: '1px solid var(--porch-edge)',
        borderRadius: '14px 16px 15px 17px',
      }}
    >
      <Typography component="h2" sx={{ fontWeight: 700, pr: 4 }}>
        Your widget is ready
      </Typography>
      <Typography variant="body2">Visitors see it when you publish. Three things, in any order:</Typography>
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
          aria-label="Close: first steps"
          onClick={onClose}
          sx={{ position: 'absolute', right: 8, top: 8 }}
        >
          <CloseIcon fontSize="small" />
        </IconButton>
      )}
    </Box>
  );
}
