import ArrowDownwardRounded from '@mui/icons-material/ArrowDownwardRounded';
import ArrowUpwardRounded from '@mui/icons-material/ArrowUpwardRounded';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { lampOf } from '../../core/model/lamp';
import type { PersonView, TeamNow, TeamsView } from '../../core/wire/desk';
import { usePort } from '../frame/Connection';
import { useSite } from '../frame/SiteContext';
import { LampMark } from '../parts/LampMark';
import { Part } from '../parts/Part';
import { SavedField } from '../parts/SavedField';
import { useAttempt } from '../parts/use-attempt';
import { SETTINGS_WORDS } from '../wording/screens/settings';
import { SHARED_WORDS } from '../wording/screens/shared';
import { TEAM_WORDS } from '../wording/screens/team';
import { stateTitle, teamName } from '../wording/states';
import { TeamDialog } from './TeamDialog';
import { teamPort } from './port';

/** The teams of the site and their people; one that is empty says what that means. Owners add, name, order and remove them. */
export function TeamList({ people }: { people: readonly PersonView[] }) {
  const { overview, role, reload } = useSite();
  const port = usePort(teamPort);
  const { isBusy, fault, run } = useAttempt(SHARED_WORDS.nothingChanged);
  const [changed, setChanged] = useState<string | null>(null);
  const [view, setView] = useState<TeamsView | null>(null);
  const take = async (next: TeamsView): Promise<void> => {
    setView(next);
    await reload(); // the stage and the top bar name teams, too
  };
  const move = (from: number, by: 1 | -1): Promise<void> =>
    run(async () => {
      const ids = overview.teams.map(({ id }) => id);
      const [id = ''] = ids.splice(from, 1);
      ids.splice(from + by, 0, id);
      await take(await port.orderTeams(ids));
    });
  const open = (id: string): Promise<void> =>
    run(async () => {
      setView(await port.getTeams());
      setChanged(id);
    });
  const team = view?.teams.find(({ id }) => id === changed);
  return (
    <Box sx={{ mt: 5 }}>
      <Part title={SHARED_WORDS.teams} lead={TEAM_WORDS.teamsHelp}>
        <Box component="ol" sx={{ m: 0, mb: 2, p: 0, listStyle: 'none' }}>
          {overview.teams.map((one, place) => (
            <TeamRow key={one.id} team={one} people={people}>
              {role !== 'owner' ? null : (
                <>
                  <IconButton
                    size="small"
                    disabled={isBusy || place === 0}
                    aria-label={TEAM_WORDS.moveUp(teamName(one))}
                    onClick={() => void move(place, -1)}
                  >
                    <ArrowUpwardRounded fontSize="small" />
                  </IconButton>
                  <IconButton
                    size="small"
                    disabled={isBusy || place === overview.teams.length - 1}
                    aria-label={TEAM_WORDS.moveDown(teamName(one))}
                    onClick={() => void move(place, 1)}
                  >
                    <ArrowDownwardRounded fontSize="small" />
                  </IconButton>
                  <Button
                    size="small"
                    disabled={isBusy}
                    aria-label={TEAM_WORDS.changeTeam(teamName(one))}
                    onClick={() => void open(one.id)}
                  >
                    {SHARED_WORDS.change}
                  </Button>
                </>
              )}
            </TeamRow>
          ))}
        </Box>
        {fault === null ? null : (
          <Typography role="alert" color="error" sx={{ mb: 2 }}>
            {fault}
          </Typography>
        )}
        {role !== 'owner' ? null : (
          <SavedField
            name="name"
            label={TEAM_WORDS.anotherTeam}
            value=""
            button={SETTINGS_WORDS.add}
            help={TEAM_WORDS.anotherTeamHelp}
            onSave={async (name) => take(await port.addTeam(name))}
          />
        )}
      </Part>
      {view === null || team === undefined ? null : (
        <TeamDialog team={team} view={view} onView={take} onClose={() => setChanged(null)} />
      )}
    </Box>
  );
}

interface TeamRowProps {
  readonly team: TeamNow;
  readonly people: readonly PersonView[];
  readonly children: React.ReactNode;
}

function TeamRow({ team, people, children }: TeamRowProps) {
  const own = people.filter(({ teamIds }) => teamIds.includes(team.id)).map(({ name }) => name);
  return (
    <Box
      component="li"
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 1,
        py: 1.5,
        borderTop: '1px solid var(--porch-rail)',
      }}
    >
      <Box sx={{ flex: 1, minWidth: 0 }}>
        <Typography component="h3" sx={{ fontWeight: 700, overflowWrap: 'anywhere' }}>
          <bdi>{teamName(team)}</bdi>
        </Typography>
        <Box sx={{ fontSize: '0.8125rem', display: 'flex', alignItems: 'center', gap: 0.5 }}>
          <LampMark mark={lampOf(team.state, true)} size={18} />
          {stateTitle(team.state)}
        </Box>
        <Box sx={{ fontSize: '0.8125rem', color: 'text.secondary' }}>
          {own.length === 0 ? TEAM_WORDS.emptyTeam : own.join(', ')}
        </Box>
      </Box>
      {children}
    </Box>
  );
}
