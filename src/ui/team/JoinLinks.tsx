import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { JoinLink, PeopleView } from '../../core/wire/desk';
import { usePort } from '../frame/Connection';
import { useSite } from '../frame/SiteContext';
import { useAttempt } from '../parts/use-attempt';
import { ROLE_WORDS, teamName } from '../wording/states';
import { dayWords } from '../wording/times';
import { SHARED_WORDS } from '../wording/screens/shared';
import { TEAM_WORDS } from '../wording/screens/team';
import { teamPort } from './port';

interface JoinLinksProps {
  readonly links: readonly JoinLink[];
  readonly onView: (view: PeopleView) => void;
}

/** Who was invited and has not come yet. */
export function JoinLinks({ links, onView }: JoinLinksProps) {
  const { overview, zone } = useSite();
  const port = usePort(teamPort);
  const { isBusy, fault, run } = useAttempt(SHARED_WORDS.nothingChanged);
  if (links.length === 0) return null;
  const teamsOf = ({ teamIds }: JoinLink): string => {
    const names = overview.teams.filter(({ id }) => teamIds.includes(id)).map((team) => teamName(team));
    return names.length === 0 ? TEAM_WORDS.inNoTeam : names.join(', ');
  };
  return (
    <Box sx={{ mt: 3 }}>
      <Typography component="h3" sx={{ fontWeight: 700, mb: 0.5 }}>
        {TEAM_WORDS.linksOut}
      </Typography>
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {links.map((link) => {
          const until = dayWords(link.expiresAt, zone);
          return (
            <Box
              component="li"
              key={link.id}
              sx={{
                display: 'flex',
                alignItems: 'center',
                gap: 2,
                py: 1,
                borderTop: '1px solid var(--porch-rail)',
              }}
            >
              <Box component="span" sx={{ flex: 1, fontSize: '0.875rem' }}>
                {TEAM_WORDS.linkLine(ROLE_WORDS[link.role], teamsOf(link), until)}
              </Box>
              <Button
                size="small"
                disabled={isBusy}
                aria-label={TEAM_WORDS.withdrawLink(until)}
                onClick={() => void run(async () => onView(await port.withdrawJoinLink(link.id)))}
              >
                {TEAM_WORDS.withdraw}
              </Button>
            </Box>
          );
        })}
      </Box>
      {fault === null ? null : (
        <Typography role="alert" color="error">
          {fault}
        </Typography>
      )}
    </Box>
  );
}
