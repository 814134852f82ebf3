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
  const { isBusy, fault, run } = useAttempt('That did not work and nothing was changed. Try again.');
  const copy = (text: string): void => {
    navigator.clipboard.writeText(text).then(
      () => toast.success('Copied. Anyone who has it sees the draft until it ends.'),
      () => toast.error('The browser does not let us copy. Choose Open instead.'),
    );
  };
  return (
    <Box sx={{ mt: 2 }} role="group" aria-label="Only you see it on your site">
      {link === null ? (
        <Button
          variant="outlined"
          size="small"
          loading={isBusy}
          onClick={() => void run(async () => setLink(await port.openPreview()))}
        >
          See it on your site first
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
              Open your site with the draft
            </Button>
            <Button size="small" onClick={() => copy(link.link)}>
              Copy the link
            </Button>
            <Button
              size="small"
              loading={isBusy}
              onClick={() =>
                void run(async () => {
                  await port.endPreview(link.id);
                  setLink(null);
                  toast.success('The link has ended. Nobody can see the draft with it.');
                })
              }
            >
              End the link
            </Button>
          </Box>
          <Box sx={{ fontSize: '0.8125rem', color: 'text.secondary', mt: 0.75 }}>
            Only in the tab where it is opened, until {clockWords(link.expires, zone)}. Every other visitor
            sees what is live.
          </Box>
        </>
      )}
      <Fault sentence={fault} />
    </Box>
  );
}
