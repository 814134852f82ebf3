'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { toast } from 'sonner';
import { useAttempt } from '../parts/use-attempt';
import { clockWords } from '../wording/times';
import { Fault } from './dialog-parts';
import { useSite } from '../frame/SiteContext';
import { usePort } from '../frame/Connection';
import { publishingPort } from './port';
import { PUBLISHING_WORDS } from '../wording/screens/publishing';
import { SHARED_WORDS } from '../wording/screens/shared';

interface Link {
  readonly id: string;
  readonly link: string;
  readonly expires: number;
}

/** The draft on the owner's own site, for them alone: a link that is good for an hour and can be ended. */
export function PrivateLink() {
  const { zone } = useSite();
  const port = usePort(publishingPort);
  const [link, setLink] = useState<Link | null>(null);
  const { isBusy, fault, run } = useAttempt(SHARED_WORDS.nothingChanged);
  const copy = (text: string): void => {
    navigator.clipboard.writeText(text).then(
      () => toast.success(PUBLISHING_WORDS.linkCopied),
      () => toast.error(PUBLISHING_WORDS.copyRefused),
    );
  };
  return (
    <Box sx={{ mt: 2 }} role="group" aria-label={PUBLISHING_WORDS.privateLinkHelp}>
      {link === null ? (
        <Button
          variant="outlined"
          size="small"
          loading={isBusy}
          onClick={() => void run(async () => setLink(await port.openPreview()))}
        >
          {PUBLISHING_WORDS.privateLink}
        </Button>
      ) : (
        <>
          <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
            <Button
              variant="outlined"
              size="small"
              href={link.link}
              target="_blank"
              rel="noreferrer noopener"
            >
              {PUBLISHING_WORDS.openPrivateLink}
            </Button>
            <Button size="small" onClick={() => copy(link.link)}>
              {PUBLISHING_WORDS.copyLink}
            </Button>
            <Button
              size="small"
              loading={isBusy}
              onClick={() =>
                void run(async () => {
                  await port.endPreview(link.id);
                  setLink(null);
                  toast.success(PUBLISHING_WORDS.linkEnded);
                })
              }
            >
              {PUBLISHING_WORDS.endLink}
            </Button>
          </Box>
          <Box sx={{ fontSize: '0.8125rem', color: 'text.secondary', mt: 0.75 }}>
            {PUBLISHING_WORDS.linkUntil(clockWords(link.expires, zone))}
          </Box>
        </>
      )}
      <Fault sentence={fault} />
    </Box>
  );
}
