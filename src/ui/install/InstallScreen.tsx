'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Column } from '../parts/Column';
import { useState } from 'react';
import { toast } from 'sonner';
import { policyLines } from '../../core/wire/policy-lines';
import { useSite } from '../frame/SiteContext';

interface InstallScreenProps {
  /** Origin the tag points to. */
  readonly origin: string;
  readonly isLocal: boolean;
  /** Origins whose pages may carry the widget. */
  readonly domains: readonly string[];
}

/** The tag: pasted once, never changed. */
export function InstallScreen({ origin, isLocal, domains }: InstallScreenProps) {
  const { siteKey, overview } = useSite();
  const tag = `<script async src="${origin}/w/porch.js" data-site="${siteKey}"></script>`;
  return (
    <Column>
      <Typography variant="h1" sx={{ mb: 3 }}>
        Install
      </Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: { md: '1fr 21rem' }, columnGap: 3 }}>
        <Box sx={{ minWidth: 0 }}>
          <Step number={1} title="Your snippet: the same on every page">
            <Copyable label="Your snippet" text={tag} testId="tag" then="Paste it once into every page." />
            {isLocal ? (
              <Alert severity="warning" sx={{ mt: 2 }}>
                This address works only on this computer. Set PUBLIC_URL to the address that visitors reach,
                and start again.
              </Alert>
            ) : null}
          </Step>
          <Step number={2} title="Where it goes">
            <Typography>
              Just before {'</body>'} on each page, or once in the part that all pages share. Nothing else has
              to be changed there, ever: hours, words and looks change here.
            </Typography>
            <Typography sx={{ mt: 1 }}>
              {domains.length === 0
                ? 'Your site’s address is not set yet, so the widget shows on no page.'
                : `It works on pages of ${domains.join(' and ')}, and nowhere else.`}
            </Typography>
          </Step>
        </Box>
        <Box sx={{ minWidth: 0 }}>
          <Step number={3} title="If your site uses a Content-Security-Policy">
            <Typography sx={{ mb: 1.5 }}>
              Most sites have none, and need nothing here. Where one is sent, its lists need these addresses;
              styles and fonts need no line of their own.
            </Typography>
            <Copyable
              label="Lines for the policy"
              text={policyLines(origin).join('\n')}
              testId="policy"
              then="Add each line to the list of the same name."
            />
          </Step>
          <Step number={4} title="What visitors see">
            <Typography>
              {overview.version === null
                ? 'Nothing until you publish.'
                : `Version ${overview.version}, from the next page view on.`}
            </Typography>
            {overview.version === null ? (
              <Button href={`/s/${siteKey}/design`} variant="outlined" sx={{ mt: 1.5 }}>
                Open Design to publish
              </Button>
            ) : null}
          </Step>
        </Box>
      </Box>
    </Column>
  );
}

interface CopyableProps {
  readonly label: string;
  readonly text: string;
  readonly testId: string;
  /** What to do with it once it is copied. */
  readonly then: string;
}

function Copyable({ label, text, testId, then }: CopyableProps) {
  const [isCopied, setCopied] = useState(false);
  const copy = (): void => {
    navigator.clipboard.writeText(text).then(
      () => setCopied(true),
      () => toast.error('Your browser did not allow copying. Select the text and copy it yourself.'),
    );
  };
  return (
    <>
      <Box
        component="pre"
        tabIndex={0}
        aria-label={label}
        data-testid={testId}
        sx={{
          m: 0,
          mb: 1.5,
          p: 2,
          bgcolor: 'background.paper',
          border: '1px solid var(--porch-edge)',
          borderRadius: '10px',
          whiteSpace: 'pre-wrap',
          overflowWrap: 'anywhere',
          fontSize: '0.8125rem',
        }}
      >
        {text}
      </Box>
      <Button variant="contained" aria-label={`${isCopied ? 'Copied' : 'Copy'}: ${label}`} onClick={copy}>
        {isCopied ? 'Copied' : 'Copy'}
      </Button>
      <Box role="status" sx={{ display: 'inline', ml: 2, fontSize: '0.8125rem' }}>
        {isCopied ? then : ''}
      </Box>
    </>
  );
}

function Step({ number, title, children }: { number: number; title: string; children: React.ReactNode }) {
  return (
    <Box component="section" sx={{ mb: 4 }}>
      <Typography variant="h2" sx={{ mb: 1.5 }}>
        {number}&ensp;{title}
      </Typography>
      {children}
    </Box>
  );
}
