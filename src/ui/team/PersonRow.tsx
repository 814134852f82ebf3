import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { PeopleView, PersonView } from '../../core/wire/desk';
import { FaceMark } from '../parts/FaceMark';
import { LampMark } from '../parts/LampMark';
import { PICTURE_KINDS, useSending } from '../parts/use-sending';
import { ROLE_WORDS, teamName } from '../wording/states';
import { useSite } from '../frame/SiteContext';
import { usePort } from '../frame/Connection';
import { teamPort } from './port';
import { TEAM_WORDS } from '../wording/screens/team';
import { SHARED_WORDS } from '../wording/screens/shared';

interface PersonRowProps {
  readonly person: PersonView;
  readonly onView: (view: PeopleView) => void;
  /** Null: whoever looks changes nobody's rights. */
  readonly onRights: (() => void) | null;
}

/** One person: face, name, what they do here, whether they are in. One's own face, or as owner anybody's, is changed here. */
export function PersonRow({ person, onView, onRights }: PersonRowProps) {
  const { overview, role, reload } = useSite();
  const port = usePort(teamPort);
  const { id, name, face, isIn, isYou, teamIds } = person;
  const take = (view: PeopleView): void => {
    onView(view);
    void reload(); // the stage and the top bar show one's own
  };
  const sending = useSending(async (file) => take(await port.setFace(id, file)));
  const mayChange = isYou || role === 'owner';
  const teams = teamIds.map((teamId) => teamName(overview.teams.find((team) => team.id === teamId)));
  return (
    <Box
      component="li"
      data-person={id}
      {...(mayChange ? sending.place : {})}
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        alignItems: 'center',
        gap: 2,
        py: 2,
        borderTop: '1px solid var(--porch-rail)',
        outline: sending.isOver ? '2px dashed var(--porch-door)' : 'none',
      }}
    >
      <FaceMark name={name} face={face} size={56} />
      <Box sx={{ flex: '1 1 220px', minWidth: 0 }}>
        <Typography component="h3" sx={{ fontWeight: 700, overflowWrap: 'anywhere' }}>
          <bdi>{name}</bdi>
          {isYou ? TEAM_WORDS.youMark : ''}
        </Typography>
        <Box sx={{ fontSize: '0.8125rem', color: 'text.secondary' }}>
          {[ROLE_WORDS[person.role], teams.length === 0 ? TEAM_WORDS.inNoTeam : teams.join(', ')].join(' · ')}
        </Box>
        <Box sx={{ fontSize: '0.8125rem', display: 'flex', alignItems: 'center', gap: 0.5, mt: 0.5 }}>
          <LampMark mark={isIn ? 'lit' : 'unlit'} size={18} />
          {isIn ? SHARED_WORDS.answering : TEAM_WORDS.notAnswering}
        </Box>
        {onRights === null ? null : (
          <Button
            size="small"
            aria-label={TEAM_WORDS.changeRightsOf(name)}
            onClick={onRights}
            sx={{ mt: 0.5, ml: -0.75 }}
          >
            {TEAM_WORDS.changeRights}
          </Button>
        )}
      </Box>
      {mayChange ? (
        <Box role="group" aria-label={TEAM_WORDS.photoOf(name)} sx={{ flex: '0 1 auto' }}>
          <input
            ref={sending.files}
            hidden
            type="file"
            accept={PICTURE_KINDS}
            aria-label={TEAM_WORDS.aPictureOf(name)}
            onChange={(event) => void sending.take(event.target.files?.[0])}
          />
          <Button size="small" variant="outlined" disabled={sending.isBusy} onClick={sending.choose}>
            {sending.isBusy
              ? SHARED_WORDS.preparing
              : face === null
                ? TEAM_WORDS.chooseAPhoto
                : TEAM_WORDS.changePhoto}
          </Button>
          {face === null ? null : (
            <Button
              size="small"
              disabled={sending.isBusy}
              onClick={() => void sending.run(async () => take(await port.removeFace(id)))}
            >
              {TEAM_WORDS.removePhoto}
            </Button>
          )}
          <Typography variant="body2" color="text.secondary" sx={{ mt: 0.5 }}>
            {TEAM_WORDS.photoHelp}
          </Typography>
        </Box>
      ) : null}
      {sending.fault === null ? null : (
        <Typography variant="body2" color="error" role="alert" sx={{ flexBasis: '100%' }}>
          {sending.fault}
        </Typography>
      )}
    </Box>
  );
}
