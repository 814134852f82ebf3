import { DEVICES } from '../../../core/model/device';
import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import FormGroup from '@mui/material/FormGroup';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import Typography from '@mui/material/Typography';
import type { Launcher } from '../../../core/model/design';
import { WIDGET_STATES } from '../../../core/model/moment';
import { LAUNCHER_FORMS, type LauncherForm } from '../../../core/model/look';
import { FORM_WORDS, deviceWords } from '../../wording/look';
import { STATE_WORDS } from '../../wording/states';
import { IconChoice } from './IconChoice';
import { OwnElement } from './OwnElement';
import { LOOK_PANEL_WORDS } from '../../wording/screens/look-panel';

interface LauncherPartProps {
  readonly launcher: Launcher;
  /** Keys of the teams that answer here. */
  readonly teams: readonly string[];
  /** The site's own address; null: none was given. */
  readonly siteAddress: string | null;
  /** Whether the widget shows on a page. */
  readonly shows: (address: string) => boolean;
  readonly onLauncher: (launcher: Launcher, words: string) => void;
}

/** The form of the launcher, its marks, where it does not show, and what of the page's own opens the window. */
export function LauncherFields({ launcher, teams, siteAddress, shows, onLauncher }: LauncherPartProps) {
  const { form, icon, closedIcon, hiddenOn, noWordsIn = [] } = launcher;
  return (
    <>
      <RadioGroup
        aria-label={LOOK_PANEL_WORDS.launcherForm}
        value={form}
        onChange={(event) =>
          onLauncher(
            { ...launcher, form: event.target.value as LauncherForm },
            LOOK_PANEL_WORDS.launcherFormEdit,
          )
        }
      >
        {LAUNCHER_FORMS.map((one) => (
          <FormControlLabel
            key={one}
            value={one}
            control={<Radio size="small" sx={{ alignSelf: 'flex-start' }} />}
            label={
              <Box component="span" sx={{ display: 'block', fontSize: '0.8125rem', py: 0.75 }}>
                {FORM_WORDS[one].name}
                <Box
                  component="span"
                  sx={{ display: 'block', fontSize: '0.8125rem', color: 'text.secondary' }}
                >
                  {FORM_WORDS[one].what}
                </Box>
              </Box>
            }
          />
        ))}
      </RadioGroup>
      {form === 'own-element' ? (
        <OwnElement launcher={launcher} siteAddress={siteAddress} shows={shows} onLauncher={onLauncher} />
      ) : (
        <>
          <IconChoice
            label={LOOK_PANEL_WORDS.icon}
            otherwise={LOOK_PANEL_WORDS.lampHelp}
            value={icon}
            onChange={(next) => onLauncher({ ...launcher, icon: next }, LOOK_PANEL_WORDS.launcherMarkEdit)}
          />
          <IconChoice
            label={LOOK_PANEL_WORDS.whileNobodyCanAnswer}
            otherwise={icon === null ? LOOK_PANEL_WORDS.theLampUnlit : LOOK_PANEL_WORDS.theSame}
            value={closedIcon}
            onChange={(next) => onLauncher({ ...launcher, closedIcon: next }, LOOK_PANEL_WORDS.awayMarkEdit)}
          />
        </>
      )}
      {form === 'own-element' ? null : (
        <Some
          label={LOOK_PANEL_WORDS.noWordsWhile}
          options={WIDGET_STATES}
          words={(state) => STATE_WORDS[state]}
          chosen={noWordsIn}
          onChoose={(next) => onLauncher({ ...launcher, noWordsIn: next }, LOOK_PANEL_WORDS.noWordsEdit)}
        />
      )}
      <Some
        label={LOOK_PANEL_WORDS.noLauncherOn}
        options={DEVICES}
        words={deviceWords}
        chosen={hiddenOn}
        onChoose={(next) => onLauncher({ ...launcher, hiddenOn: next }, LOOK_PANEL_WORDS.noLauncherEdit)}
      />
      {hiddenOn.length === 0 ? null : (
        <Typography variant="body2" color="text.secondary">
          {LOOK_PANEL_WORDS.noLauncherHelp}
        </Typography>
      )}
      <OwnLinks teams={teams} />
    </>
  );
}

interface SomeProps<T extends string> {
  readonly label: string;
  readonly options: readonly T[];
  readonly words: (one: T) => string;
  readonly chosen: readonly T[];
  readonly onChoose: (chosen: readonly T[]) => void;
}

/** Any of a few. */
function Some<T extends string>({ label, options, words, chosen, onChoose }: SomeProps<T>) {
  return (
    <>
      <Typography component="h4" sx={{ fontSize: '0.8125rem', fontWeight: 700, mt: 1.5 }}>
        {label}
      </Typography>
      <FormGroup row aria-label={label} role="group">
        {options.map((option) => (
          <FormControlLabel
            key={option}
            control={
              <Checkbox
                size="small"
                checked={chosen.includes(option)}
                onChange={({ target }) =>
                  onChoose(options.filter((one) => (one === option ? target.checked : chosen.includes(one))))
                }
              />
            }
            label={words(option)}
            slotProps={{ typography: { variant: 'body2' } }}
          />
        ))}
      </FormGroup>
    </>
  );
}

/** How a link of the page opens the window, with a team and a first question. */
function OwnLinks({ teams }: { readonly teams: readonly string[] }) {
  const team = teams.at(-1);
  const value =
    team === undefined ? LOOK_PANEL_WORDS.sampleQuestion : LOOK_PANEL_WORDS.sampleQuestionOfTeam(team);
  return (
    <Box sx={{ mt: 1.5 }}>
      <Typography component="h4" sx={{ fontSize: '0.8125rem', fontWeight: 700 }}>
        {LOOK_PANEL_WORDS.ownLink}
      </Typography>
      <Typography variant="body2" color="text.secondary">
        {LOOK_PANEL_WORDS.ownLinkHelp}
      </Typography>
      <Box
        component="code"
        sx={{
          display: 'block',
          mt: 0.75,
          p: 1,
          fontSize: '0.8125rem',
          borderRadius: '8px',
          bgcolor: 'var(--porch-lane)',
          overflowWrap: 'anywhere',
        }}
      >
        data-porch-open=&quot;{value}&quot;
      </Box>
    </Box>
  );
}
