import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { PeopleView } from '../../core/wire/desk';
import { usePort } from '../frame/Connection';
import { useSite } from '../frame/SiteContext';
import { Copyable } from '../parts/Copyable';
import { useAttempt } from '../parts/use-attempt';
import { dayWords } from '../wording/times';
import { TEAM_WORDS } from '../wording/screens/team';
import { SHARED_WORDS } from '../wording/screens/shared';
import { type Rights, RightsFields } from './RightsFields';
import { teamPort } from './port';

interface InviteDialogProps {
  readonly onClose: () => void;
  readonly onView: (view: PeopleView) => void;
}

/** Role and teams first; then the link, which is shown this once. */
export function InviteDialog({ onClose, onView }: InviteDialogProps) {
  const { overview, siteName, zone } = useSite();
  const port = usePort(teamPort);
  const { isBusy, fault, run } = useAttempt(TEAM_WORDS.notMade);
  const [rights, setRights] = useState<Rights>({
    role: 'responder',
    teamIds: overview.teams.slice(0, 1).map(({ id }) => id),
  });
  const [made, setMade] = useState<{ readonly link: string; readonly until: string } | null>(null);
  const make = (): Promise<void> =>
    run(async () => {
      const { path, view } = await port.makeJoinLink(rights);
      const expiresAt = view.rights?.links.at(-1)?.expiresAt ?? 0;
      setMade({ link: `${window.location.origin}${path}`, until: dayWords(expiresAt, zone) });
      onView(view);
    });
  return (
    <Dialog
      open
      // The link is shown this once: a click beside it does not lose it.
      onClose={(_, reason) => (made !== null && reason === 'backdropClick' ? undefined : onClose())}
      aria-labelledby="invite-title"
      maxWidth="xs"
      fullWidth
    >
      <DialogTitle id="invite-title">
        {made === null ? TEAM_WORDS.inviteColleague : TEAM_WORDS.linkReady}
      </DialogTitle>
      <DialogContent>
        <Typography sx={{ mb: 2 }}>
          {made === null ? TEAM_WORDS.inviteHelp : TEAM_WORDS.linkHelp(made.until)}
        </Typography>
        {made === null ? (
          <RightsFields value={rights} onChange={setRights} />
        ) : (
          <Copyable label={TEAM_WORDS.theLink} text={made.link} testId="join-link" then={TEAM_WORDS.sendIt} />
        )}
        {fault === null ? null : (
          <Typography role="alert" color="error" sx={{ mt: 2 }}>
            {fault}
          </Typography>
        )}
      </DialogContent>
      {made === null ? (
        <DialogActions>
          <Button onClick={onClose}>{SHARED_WORDS.cancel}</Button>
          <Button variant="contained" loading={isBusy} onClick={() => void make()}>
            {TEAM_WORDS.makeLink}
          </Button>
        </DialogActions>
      ) : (
        <DialogActions>
          <Button href={mailOf(siteName, made)}>{TEAM_WORDS.writeEmail}</Button>
          <Button variant="outlined" onClick={onClose}>
            {TEAM_WORDS.done}
          </Button>
        </DialogActions>
      )}
    </Dialog>
  );
}

/** Opens in whatever program the owner writes their mail with (RFC 6068); we send nothing. */
function mailOf(site: string, { link, until }: { readonly link: string; readonly until: string }): string {
  const subject = encodeURIComponent(TEAM_WORDS.emailSubject(site));
  return `mailto:?subject=${subject}&body=${encodeURIComponent(TEAM_WORDS.emailBody(site, link, until))}`;
}
