'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Column } from '../parts/Column';
import { Copyable } from '../parts/Copyable';
import { policyLines } from '../../core/wire/policy-lines';
import { useSite } from '../frame/SiteContext';
import { INSTALL_WORDS } from '../wording/screens/install';
import { SHARED_WORDS } from '../wording/screens/shared';

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
        {SHARED_WORDS.install}
      </Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: { md: '1fr 21rem' }, columnGap: 3 }}>
        <Box sx={{ minWidth: 0 }}>
          <Step number={1} title={INSTALL_WORDS.sameOnEveryPage}>
            <Copyable
              label={SHARED_WORDS.yourSnippet}
              text={tag}
              testId="tag"
              then={INSTALL_WORDS.pasteOnce}
            />
            {isLocal ? (
              <Alert severity="warning" sx={{ mt: 2 }}>
                {INSTALL_WORDS.localOnly}
              </Alert>
            ) : null}
          </Step>
          <Step number={2} title={INSTALL_WORDS.whereItGoes}>
            <Typography>{INSTALL_WORDS.whereItGoesHelp}</Typography>
            <Typography sx={{ mt: 1 }}>
              {domains.length === 0
                ? INSTALL_WORDS.noAddressYet
                : INSTALL_WORDS.worksOn(domains.join(INSTALL_WORDS.andBetween))}
            </Typography>
          </Step>
        </Box>
        <Box sx={{ minWidth: 0 }}>
          <Step number={3} title={INSTALL_WORDS.policyTitle}>
            <Typography sx={{ mb: 1.5 }}>{INSTALL_WORDS.policyHelp}</Typography>
            <Copyable
              label={INSTALL_WORDS.policyLines}
              text={policyLines(origin).join('\n')}
              testId="policy"
              then={INSTALL_WORDS.policyLinesHelp}
            />
          </Step>
          <Step number={4} title={INSTALL_WORDS.whatVisitorsSee}>
            <Typography>
              {overview.version === null
                ? INSTALL_WORDS.nothingYet
                : INSTALL_WORDS.versionLive(overview.version)}
            </Typography>
            {overview.version === null ? (
              <Button href={`/s/${siteKey}/design`} variant="outlined" sx={{ mt: 1.5 }}>
                {INSTALL_WORDS.openDesignToPublish}
              </Button>
            ) : null}
          </Step>
        </Box>
      </Box>
    </Column>
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
