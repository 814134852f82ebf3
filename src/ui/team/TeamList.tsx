import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { lampOf } from '../../core/model/lamp';
import type { PersonView } from '../../core/wire/desk';
import { useSite } from '../frame/SiteContext';
import { LampMark } from '../parts/LampMark';
import { Part } from '../parts/Part';
import { SHARED_WORDS } from '../wording/screens/shared';
import { TEAM_WORDS } from '../wording/screens/team';
import { stateTitle, teamName } from '../wording/states';

/** The teams of the site and their people; one that is empty says what that means. */
export function TeamList({ people }: { people: readonly PersonView[] }) {
  const { overview } = useSite();
  return (
    <Box sx={{ mt: 5 }}>
      <Part title={SHARED_WORDS.teams} lead={TEAM_WORDS.teamsHelp}>
        <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
          {overview.teams.map((team) => {
            const own = people.filter(({ teamIds }) => teamIds.includes(team.id)).map(({ name }) => name);
            return (
              <Box component="li" key={team.id} sx={{ py: 1.5, borderTop: '1px solid var(--porch-rail)' }}>
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
            );
          })}
        </Box>
      </Part>
    </Box>
  );
}
