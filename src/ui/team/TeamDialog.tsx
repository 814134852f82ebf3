import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Stack from '@mui/material/Stack';
import Typography from '@mui/material/Typography';
import type { TeamView, TeamsView } from '../../core/wire/desk';
import { usePort } from '../frame/Connection';
import { SavedField } from '../parts/SavedField';
import { useAttempt } from '../parts/use-attempt';
import { languageName } from '../wording/languages';
import { PART_WORDS } from '../wording/screens/parts';
import { SHARED_WORDS } from '../wording/screens/shared';
import { TEAM_WORDS } from '../wording/screens/team';
import { teamName } from '../wording/states';
import { namedByWords } from '../wording/team-uses';
import { teamPort } from './port';

interface TeamDialogProps {
  readonly team: TeamView;
  readonly view: TeamsView;
  readonly onView: (view: TeamsView) => Promise<void>;
  readonly onClose: () => void;
}

/** What visitors call a team, language by language; and whether it can go. */
export function TeamDialog({ team, view, onView, onClose }: TeamDialogProps) {
  const port = usePort(teamPort);
  const { isBusy, fault, run } = useAttempt(SHARED_WORDS.nothingChanged);
  const named = namedByWords(team);
  const isOnly = view.teams.length === 1;
  const [usual = ''] = view.locales;
  return (
    <Dialog open onClose={onClose} aria-labelledby="team-title" maxWidth="xs" fullWidth>
      <DialogTitle id="team-title">{teamName(team)}</DialogTitle>
      <DialogContent>
        <Typography variant="body2" sx={{ mb: 2 }}>
          {TEAM_WORDS.namesHelp}
        </Typography>
        <Stack spacing={2} sx={{ pt: 1 }}>
          {view.locales.map((locale) => (
            <SavedField
              key={locale}
              name="name"
              label={TEAM_WORDS.nameIn(languageName(locale))}
              value={team.name[locale] ?? ''}
              buttonName={`${PART_WORDS.save}: ${TEAM_WORDS.nameIn(languageName(locale))}`}
              {...(locale === usual ? {} : { placeholder: team.name[usual] ?? '' })}
              onSave={async (name) => onView(await port.nameTeam(team.id, locale, name))}
            />
          ))}
        </Stack>
        <Typography variant="body2" color="text.secondary" sx={{ mt: 2 }}>
          {TEAM_WORDS.keyHelp(team.key)}
        </Typography>
        <Box sx={{ mt: 3, pt: 1, borderTop: '1px solid var(--porch-rail)' }}>
          {named.length > 0 || isOnly ? (
            <>
              <Typography variant="body2">{isOnly ? TEAM_WORDS.onlyTeam : TEAM_WORDS.stillNamed}</Typography>
              {isOnly ? null : (
                <Box component="ul" sx={{ m: 0, mt: 0.5, pl: 2.5, fontSize: '0.875rem' }}>
                  {named.map((line) => (
                    <li key={line}>{line}</li>
                  ))}
                </Box>
              )}
            </>
          ) : (
            <>
              <Typography variant="body2">{TEAM_WORDS.removeTeamHelp}</Typography>
              <Button
                color="error"
                size="small"
                disabled={isBusy}
                onClick={() =>
                  void run(async () => {
                    await onView(await port.removeTeam(team.id));
                    onClose();
                  })
                }
              >
                {TEAM_WORDS.removeTeam(teamName(team))}
              </Button>
            </>
          )}
        </Box>
        {fault === null ? null : (
          <Typography role="alert" color="error" sx={{ mt: 1 }}>
            {fault}
          </Typography>
        )}
      </DialogContent>
      <DialogActions>
        <Button variant="outlined" onClick={onClose}>
          {SHARED_WORDS.close}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
