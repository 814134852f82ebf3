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
import { TimeZone } from './TimeZone';

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
      setFault(error instanceof PortError ? error.sentence : 'The settings could not be loaded.');
    });
  }, [port, notice]);
  return (
    <Column>
      <Typography variant="h1" sx={{ mb: 4 }}>
        {screenAt('settings').name}
      </Typography>
      {fault === null ? null : <Alert severity="error">{fault}</Alert>}
      {view === null && fault === null ? <LinearProgress aria-label="Loading the settings" /> : null}
      {view === null ? null : (
        <>
          <Part title="Name">
            <SavedField
              name="name"
              label="Name of your site"
              value={view.name}
              help="Visitors read it at the top of the window once you publish."
              onSave={async (name) => {
                setView(await port.setName(name));
                await reload();
                router.refresh();
              }}
            />
          </Part>
          <Part
            title="Addresses"
            lead="The widget shows on pages at these addresses, and nowhere else. It takes effect at once."
          >
            <Addresses domains={view.domains} port={port} onView={setView} />
          </Part>
          <Part
            title="Time zone"
            lead="Opening hours and everything with a date use this clock. It takes effect at once."
          >
            <TimeZone view={view} port={port} onView={setView} />
          </Part>
          <Part
            title="Languages"
            lead="Visitors read the widget in the first of these that their browser asks for."
          >
            <Languages onChanged={() => port.getSettings().then(setView, notice)} />
          </Part>
        </>
      )}
    </Column>
  );
}
