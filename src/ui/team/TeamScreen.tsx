'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { Column } from '../parts/Column';
import { useEffect, useState } from 'react';
import type { PersonView } from '../../core/wire/desk';
import { PortError } from '../frame/api';
import { screenAt } from '../frame/screens';
import { PersonRow } from './PersonRow';
import { useConnection, usePort } from '../frame/Connection';
import { teamPort } from './port';
import { TEAM_WORDS } from '../wording/screens/team';

/** Who answers, and the face they show. Hours are still to come. */
export function TeamScreen() {
  const { notice, onEvent } = useConnection();
  const port = usePort(teamPort);
  const [people, setPeople] = useState<readonly PersonView[] | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  useEffect(() => {
    const load = (): void =>
      void port.getPeople().then(
        (told) => {
          setPeople(told);
          setFault(null);
        },
        (error: unknown) => {
          notice(error);
          setFault(error instanceof PortError ? error.sentence : TEAM_WORDS.notLoaded);
        },
      );
    load();
    return onEvent(
      (event) => (event.kind === 'teams' || (event.kind === 'connection' && event.isOpen)) && load(),
    );
  }, [port, notice, onEvent]);
  const { name } = screenAt('team');
  return (
    <Column>
      <Typography variant="h1" sx={{ mb: 3 }}>
        {name}
      </Typography>
      <Box component="section" aria-labelledby="people">
        <Typography id="people" variant="h2">
          {TEAM_WORDS.people}
        </Typography>
        <Typography variant="body2" color="text.secondary" sx={{ mt: 0.5, mb: 1 }}>
          {TEAM_WORDS.peopleHelp}
        </Typography>
        {fault === null ? null : (
          <Alert severity="error" role="alert" sx={{ my: 2 }}>
            {fault}
          </Alert>
        )}
        {people === null ? (
          <LinearProgress aria-label={TEAM_WORDS.loadingPeople} />
        ) : (
          <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
            {people.map((person) => (
              <PersonRow key={person.id} person={person} onPeople={setPeople} />
            ))}
          </Box>
        )}
      </Box>
      <Box component="section" aria-labelledby="hours" sx={{ mt: 5 }}>
        <Typography id="hours" variant="h2">
          {TEAM_WORDS.openingHours}
        </Typography>
        <Typography color="text.secondary" sx={{ mt: 0.5 }}>
          {TEAM_WORDS.openingHoursHelp}
        </Typography>
      </Box>
    </Column>
  );
}
