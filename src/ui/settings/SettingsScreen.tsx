'use client';

import Alert from '@mui/material/Alert';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { SettingsView } from '../../core/wire/desk';
import { PortError } from '../frame/api';
import { useConnection, usePort } from '../frame/Connection';
import { screenAt } from '../frame/screens';
import { useSite } from '../frame/SiteContext';
import { Column } from '../parts/Column';
import { Part } from '../parts/Part';
import { SavedField } from '../parts/SavedField';
import { Addresses } from './Addresses';
import { Languages } from './Languages';
import { settingsPort } from './port';
import { Retention } from './Retention';
import { TimeZone } from './TimeZone';
import { SETTINGS_WORDS } from '../wording/screens/settings';
import { SHARED_WORDS } from '../wording/screens/shared';

/** What belongs to the site as a whole: its name, where it is, its clock and its languages. */
export function SettingsScreen() {
  const { notice } = useConnection();
  const { reload } = useSite();
  const router = useRouter();
  const port = usePort(settingsPort);
  const [view, setView] = useState<SettingsView | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  useEffect(() => {
    port.getSettings().then(setView, (error: unknown) => {
      notice(error);
      setFault(error instanceof PortError ? error.sentence : SETTINGS_WORDS.notLoaded);
    });
  }, [port, notice]);
  return (
    <Column>
      <Typography variant="h1" sx={{ mb: 4 }}>
        {screenAt('settings').name}
      </Typography>
      {fault === null ? null : <Alert severity="error">{fault}</Alert>}
      {view === null && fault === null ? (
        <LinearProgress aria-label={SETTINGS_WORDS.loadingSettings} />
      ) : null}
      {view === null ? null : (
        <>
          <Part title={SHARED_WORDS.name}>
            <SavedField
              name="name"
              label={SHARED_WORDS.nameOfYourSite}
              value={view.name}
              help={SETTINGS_WORDS.siteNameHelp}
              onSave={async (name) => {
                setView(await port.setName(name));
                await reload();
                router.refresh();
              }}
            />
          </Part>
          <Part title={SETTINGS_WORDS.addresses} lead={SETTINGS_WORDS.addressesHelp}>
            <Addresses domains={view.domains} port={port} onView={setView} />
          </Part>
          <Part title={SHARED_WORDS.timeZone} lead={SETTINGS_WORDS.timeZoneHelp}>
            <TimeZone view={view} port={port} onView={setView} />
          </Part>
          <Part title={SETTINGS_WORDS.languages} lead={SETTINGS_WORDS.languagesHelp}>
            <Languages onChanged={() => port.getSettings().then(setView, notice)} />
          </Part>
          <Part title={SETTINGS_WORDS.keeping} lead={SETTINGS_WORDS.keepingHelp}>
            <Retention days={view.retentionDays} port={port} onView={setView} />
          </Part>
        </>
      )}
    </Column>
  );
}
