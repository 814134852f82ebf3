'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import LinearProgress from '@mui/material/LinearProgress';
import { useSearchParams } from 'next/navigation';
import { useEffect, useState } from 'react';
import { toast } from 'sonner';
import { PortError } from '../frame/api';
import { type DraftSaver, versionSaver } from './draft/draft-saver';
import { useDraft } from './draft/use-draft';
import type { DraftView } from '../../core/wire/desk';
import { DesignDesk } from './DesignDesk';
import { PicturesAt } from './path/WidgetTile';
import { useSite } from '../frame/SiteContext';
import { useConnection, usePort } from '../frame/Connection';
import { publishingPort } from '../publishing/port';
import { DESIGN_WORDS } from '../wording/screens/design';

/** Design: the draft as the page was asked for, kept up to date, on its desk. */
export function DesignScreen({ first }: { readonly first: DraftView }) {
  const asked = useSearchParams().get('version');
  const { siteKey } = useSite();
  return (
    <PicturesAt.Provider value={`/w/${siteKey}`}>
      {asked === null ? <DraftDesk first={first} /> : <VersionDesk key={asked} number={Number(asked)} />}
    </PicturesAt.Provider>
  );
}

/** The stage over a version that was published once; nothing can be changed there. */
function VersionDesk({ number }: { number: number }) {
  const { overview } = useSite();
  const { notice } = useConnection();
  const port = usePort(publishingPort);
  const [saver, setSaver] = useState<DraftSaver | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  useEffect(() => {
    port
      .getVersion(number)
      .then(({ design }) =>
        setSaver(versionSaver(number, design, (sentence) => toast.info(sentence, { id: 'version' }))),
      )
      .catch((error: unknown) => {
        notice(error);
        setFault(error instanceof PortError ? error.sentence : DESIGN_WORDS.versionNotLoaded);
      });
  }, [port, notice, number]);
  if (fault !== null)
    return (
      <Box sx={{ p: 4 }}>
        <Alert severity="error">{fault}</Alert>
      </Box>
    );
  if (saver === null) return <LinearProgress aria-label={DESIGN_WORDS.loadingVersion} />;
  return <DesignDesk saver={saver} draft={saver.state()} overview={overview} />;
}

function DraftDesk({ first }: { readonly first: DraftView }) {
  const { saver, draft } = useDraft(first);
  const { overview } = useSite();
  return <DesignDesk saver={saver} draft={draft} overview={overview} />;
}
