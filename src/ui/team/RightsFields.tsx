import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControl from '@mui/material/FormControl';
import FormControlLabel from '@mui/material/FormControlLabel';
import FormGroup from '@mui/material/FormGroup';
import FormLabel from '@mui/material/FormLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import Typography from '@mui/material/Typography';
import { ROLES, type Role } from '../../core/model/role';
import { useSite } from '../frame/SiteContext';
import { TEAM_WORDS } from '../wording/screens/team';
import { ROLE_HELP, ROLE_WORDS, teamName } from '../wording/states';

/** What somebody may do, and for which teams they answer. */
export interface Rights {
  readonly role: Role;
  readonly teamIds: readonly string[];
}

interface RightsFieldsProps {
  readonly value: Rights;
  readonly onChange: (value: Rights) => void;
}

export function RightsFields({ value, onChange }: RightsFieldsProps) {
  const { overview } = useSite();
  return (
    <>
      <FormControl sx={{ mb: 3 }}>
        <FormLabel id="role-label">{TEAM_WORDS.whatMayTheyDo}</FormLabel>
        <RadioGroup
          aria-labelledby="role-label"
          value={value.role}
          onChange={(_, role) => onChange({ ...value, role: role as Role })}
        >
          {ROLES.map((role) => (
            <FormControlLabel
              key={role}
              value={role}
              control={<Radio size="small" />}
              label={
                <>
                  {ROLE_WORDS[role]}
                  <Box
                    component="span"
                    sx={{ display: 'block', fontSize: '0.8125rem', color: 'text.secondary' }}
                  >
                    {ROLE_HELP[role]}
                  </Box>
                </>
              }
              sx={{ alignItems: 'flex-start', mb: 0.5 }}
            />
          ))}
        </RadioGroup>
      </FormControl>
      <FormControl component="fieldset" sx={{ display: 'block' }}>
        <FormLabel component="legend">{TEAM_WORDS.whichTeams}</FormLabel>
        <FormGroup>
          {overview.teams.map((team) => (
            <FormControlLabel
              key={team.id}
              control={
                <Checkbox
                  size="small"
                  checked={value.teamIds.includes(team.id)}
                  onChange={(_, isTicked) =>
                    onChange({
                      ...value,
                      teamIds: overview.teams
                        .map(({ id }) => id)
                        .filter((id) => (id === team.id ? isTicked : value.teamIds.includes(id))),
                    })
                  }
                />
              }
              label={teamName(team)}
            />
          ))}
        </FormGroup>
      </FormControl>
      {value.teamIds.length === 0 ? (
        <Typography variant="body2" role="status" sx={{ mt: 1 }}>
          {TEAM_WORDS.noTeamHelp}
        </Typography>
      ) : null}
    </>
  );
}
