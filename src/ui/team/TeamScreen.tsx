'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { Column } from '../parts/Column';
import { useEffect, useState } from 'react';
import type { PeopleView, PersonView } from '../../core/wire/desk';
import { PortError } from '../frame/api';
import { screenAt } from '../frame/screens';
import { InviteDialog } from './InviteDialog';
import { JoinLinks } from './JoinLinks';
import { PersonRow } from './PersonRow';
import { RightsDialog } from './RightsDialog';
import { RightsLog } from './RightsLog';
import { TeamList } from './TeamList';
import { useConnection, usePort } from '../frame/Connection';
import { teamPort } from './port';
import { TEAM_WORDS } from '../wording/screens/team';

/** Who answers, the face they show and what they may do; the teams. Hours are still to come. */
export function TeamScreen() {
  const { notice, onEvent } = useConnection();
  const port = usePort(teamPort);
  const [view, setView] = useState<PeopleView | null>(null);
  const [isInviting, setInviting] = useState(false);
  const [changed, setChanged] = useState<PersonView | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  useEffect(() => {
    const load = (): void =>
      void port.getPeople().then(
        (told) => {
          setView(told);
          setFault(null);
        },
        (error: unknown) => {
          notice(error);
          setFault(error instanceof PortError ? error.sentence : TEAM_WORDS.notLoaded);
        },
      );
    load();
    return onEvent(
      (event) =>
        (event.kind === 'teams' ||
          event.kind === 'rights' ||
          (event.kind === 'connection' && event.isOpen)) &&
        load(),
    );
  }, [port, notice, onEvent]);
  const { name } = screenAt('team');
  return (
    <Column>
      <Typography variant="h1" sx={{ mb: 3 }}>
        {name}
      </Typography>
      <Box component="section" aria-labelledby="people">
        <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 2 }}>
          <Typography id="people" variant="h2" sx={{ flex: 1 }}>
            {TEAM_WORDS.people}
          </Typography>
          {view === null || view.rights === null ? null : (
            <Button variant="contained" onClick={() => setInviting(true)}>
              {TEAM_WORDS.inviteColleague}
            </Button>
          )}
        </Box>
        <Typography variant="body2" color="text.secondary" sx={{ mt: 0.5, mb: 1 }}>
          {TEAM_WORDS.peopleHelp}
        </Typography>
        {fault === null ? null : (
          <Alert severity="error" role="alert" sx={{ my: 2 }}>
            {fault}
          </Alert>
        )}
        {view === null ? (
          <LinearProgress aria-label={TEAM_WORDS.loadingPeople} />
        ) : (
          <>
            {view.people.length === 1 ? <Typography sx={{ my: 1 }}>{TEAM_WORDS.onlyYou}</Typography> : null}
            <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
              {view.people.map((person) => (
                <PersonRow
                  key={person.id}
                  person={person}
                  onView={setView}
                  onRights={view.rights === null ? null : () => setChanged(person)}
                />
              ))}
            </Box>
            {view.rights === null ? null : (
              <>
                <JoinLinks links={view.rights.links} onView={setView} />
                <RightsLog changes={view.rights.changes} />
              </>
            )}
          </>
        )}
      </Box>
      {view === null ? null : <TeamList people={view.people} />}
      <Box component="section" aria-labelledby="hours" sx={{ mt: 5 }}>
        <Typography id="hours" variant="h2">
          {TEAM_WORDS.openingHours}
        </Typography>
        <Typography color="text.secondary" sx={{ mt: 0.5 }}>
          {TEAM_WORDS.openingHoursHelp}
        </Typography>
      </Box>
      {isInviting ? <InviteDialog onClose={() => setInviting(false)} onView={setView} /> : null}
      {changed === null ? null : (
        <RightsDialog person={changed} onClose={() => setChanged(null)} onView={setView} />
      )}
    </Column>
  );
}
