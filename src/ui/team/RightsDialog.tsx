import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { PeopleView, PersonView } from '../../core/wire/desk';
import { usePort } from '../frame/Connection';
import { useAttempt } from '../parts/use-attempt';
import { PART_WORDS } from '../wording/screens/parts';
import { SHARED_WORDS } from '../wording/screens/shared';
import { TEAM_WORDS } from '../wording/screens/team';
import { type Rights, RightsFields } from './RightsFields';
import { teamPort } from './port';

interface RightsDialogProps {
  readonly person: PersonView;
  readonly onClose: () => void;
  readonly onView: (view: PeopleView) => void;
}

/** What a person may do and for whom they answer; here they are removed, too, once it was said what that means. */
export function RightsDialog({ person, onClose, onView }: RightsDialogProps) {
  const { id, name } = person;
  const port = usePort(teamPort);
  const { isBusy, fault, run } = useAttempt(SHARED_WORDS.nothingChanged);
  const [rights, setRights] = useState<Rights>({ role: person.role, teamIds: person.teamIds });
  const [isRemoving, setRemoving] = useState(false);
  const act = (ask: () => Promise<PeopleView>): Promise<void> =>
    run(async () => {
      onView(await ask());
      onClose();
    });
  const save = (): Promise<void> => act(() => port.setRights(person, rights));
  return (
    <Dialog open onClose={onClose} aria-labelledby="rights-title" maxWidth="xs" fullWidth>
      <DialogTitle id="rights-title">
        {isRemoving ? TEAM_WORDS.removeQuestion(name) : TEAM_WORDS.rightsTitle(name)}
      </DialogTitle>
      <DialogContent>
        {isRemoving ? (
          <Typography>{TEAM_WORDS.removeHelp(name)}</Typography>
        ) : (
          <>
            <RightsFields value={rights} onChange={setRights} />
            <Box sx={{ mt: 3, pt: 1, borderTop: '1px solid var(--porch-rail)' }}>
              <Button color="error" size="small" onClick={() => setRemoving(true)}>
                {TEAM_WORDS.removePerson(name)}
              </Button>
            </Box>
          </>
        )}
        {fault === null ? null : (
          <Typography role="alert" color="error" sx={{ mt: 2 }}>
            {fault}
          </Typography>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{SHARED_WORDS.cancel}</Button>
        {isRemoving ? (
          <Button
            variant="contained"
            color="error"
            loading={isBusy}
            onClick={() => void act(() => port.removePerson(id))}
          >
            {SHARED_WORDS.remove}
          </Button>
        ) : (
          <Button variant="contained" loading={isBusy} onClick={() => void save()}>
            {PART_WORDS.save}
          </Button>
        )}
      </DialogActions>
    </Dialog>
  );
}
