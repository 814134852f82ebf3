'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { Column } from '../parts/Column';
import { useState } from 'react';
import { dayWords } from '../wording/times';
import { BringBackDialog } from './BringBackDialog';
import { DesignFile } from './DesignFile';
import { PauseSwitch } from './PauseSwitch';
import { PlannedList } from './PlannedList';
import { useVersions } from './use-versions';
import { VersionCard } from './VersionCard';
import { useSite } from '../frame/SiteContext';
import { PUBLISHING_WORDS } from '../wording/screens/publishing';
import { SHARED_WORDS } from '../wording/screens/shared';

/** Everything that was ever live: who, when, with which remark; compared, looked at, brought back; and what is set for later. */
export function VersionsScreen() {
  const { overview, zone } = useSite();
  const versions = useVersions();
  const [open, setOpen] = useState<number | null>(null);
  const [back, setBack] = useState<number | null>(null);
  const { view, fault } = versions;
  if (fault !== null)
    return (
      <Box sx={{ p: 4 }}>
        <Alert severity="error">{PUBLISHING_WORDS.reload(fault)}</Alert>
      </Box>
    );
  if (view === null) return <LinearProgress aria-label={PUBLISHING_WORDS.loadingVersions} />;
  const live = view.versions.find(({ number }) => number === view.inForce);
  return (
    <Column>
      <Typography variant="h1" sx={{ mb: 1 }}>
        {SHARED_WORDS.versions}
      </Typography>
      <Typography sx={{ mb: 3 }}>
        {view.inForce === null
          ? PUBLISHING_WORDS.nothingPublished
          : live === undefined
            ? PUBLISHING_WORDS.versionIsLive(view.inForce)
            : PUBLISHING_WORDS.versionIsLiveSince(view.inForce, dayWords(live.at, zone), live.personName)}
      </Typography>
      <PauseSwitch />
      <PlannedList {...{ view, zone }} onCancel={versions.cancel} />
      {view.versions.length === 0 ? null : (
        <Box component="section" aria-label={PUBLISHING_WORDS.allVersions}>
          <Typography variant="h2" sx={{ fontSize: '1.125rem', mb: 1 }}>
            {PUBLISHING_WORDS.allVersions}
          </Typography>
          <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
            {view.versions.map((row) => (
              <VersionCard
                key={row.number}
                row={row}
                view={view}
                isOpen={open === row.number}
                onToggle={() => setOpen(open === row.number ? null : row.number)}
                onBringBack={() => setBack(row.number)}
                load={versions.load}
              />
            ))}
          </Box>
          {view.hasMore ? (
            <Button onClick={() => void versions.more()} sx={{ mt: 1 }}>
              {PUBLISHING_WORDS.showEarlier}
            </Button>
          ) : null}
        </Box>
      )}
      <DesignFile />
      {back === null ? null : (
        <BringBackDialog
          number={back}
          nextVersion={overview.newestVersion + 1}
          load={versions.load}
          onClose={() => setBack(null)}
          onBringBack={versions.bringBack}
        />
      )}
    </Column>
  );
}
