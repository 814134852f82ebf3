'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { type ReactNode, memo, useState } from 'react';
import { instantOf, wallOf } from '../../../core/hours/wall';
import type { Zone } from '../../../core/hours/zone';
import { TEAM_STATES, type TeamState } from '../../../core/model/moment';
import type { Assumptions } from '../../../core/rehearse/assumptions';
import { LANGUAGES } from '../../wording/languages';
import { STATE_WORDS } from '../../wording/states';
import { wallWords } from '../../wording/times';
import { Choice, Sheet, Word } from './circumstance-parts';
import { SituationArrows } from './SituationArrows';
import type { Situations } from './use-situations';

export interface CircumstancesProps {
  readonly assumptions: Assumptions;
  readonly onSuppose: (change: Partial<Assumptions>) => void;
  readonly place: SentencePlace;
  readonly onWidget: (key: string) => void;
  readonly clock: SentenceClock;
  readonly people: SentencePeople;
  readonly situations: Situations;
}

interface SentencePlace {
  readonly widgets: readonly (readonly [key: string, name: string])[];
  /** The widget that shows in these circumstances; null: none does. */
  readonly shown: string | null;
  readonly locales: readonly string[];
}

/** The site's clock. */
interface SentenceClock {
  readonly now: number;
  readonly zone: Zone;
  /** The zone by its name, which people know by its city. */
  readonly zoneName: string;
}

/** Who answers: the team that is asked for, or all of them. */
interface SentencePeople {
  readonly name: string;
  readonly state: TeamState;
  /** The teams that can be asked for, by id; none where there is nothing to choose. */
  readonly teams: readonly (readonly [id: string, name: string])[];
}

/** The sentence above the stage: which widget, on which page, when, to whom, with whom. Each part opens under itself. */
export function CircumstancesSentence({
  children,
  ...parts
}: CircumstancesProps & { readonly children: ReactNode }) {
  return (
    <Box
      component="section"
      aria-label="Circumstances"
      sx={{
        minHeight: 44,
        display: 'flex',
        alignItems: 'center',
        flexWrap: { xs: 'wrap', md: 'nowrap' },
        gap: { xs: 0.75, md: 0.75 },
        px: { xs: 1.5, md: 2 },
        py: { xs: 0.75, md: 0 },
        bgcolor: 'background.default',
        borderBottom: '1px solid var(--porch-rail)',
        fontSize: '0.8125rem',
        flex: 'none',
      }}
    >
      <Sentence {...parts} />
      <Box sx={{ flex: 1 }} />
      {children}
    </Box>
  );
}

/** Drawn anew only when the circumstances are others: no letter that is typed on the stage changes them. */
const Sentence = memo(function Sentence(props: CircumstancesProps) {
  const { assumptions, onSuppose, people, clock } = props;
  const { widgets, shown } = props.place;
  const { zone, now } = clock;
  const who = assumptions.who ?? 'now';
  const asItIs = `as it is now: ${STATE_WORDS[people.state]}`;
  const whoWords = `${people.name}: ${STATE_WORDS[assumptions.who ?? people.state]}`;
  const widgetWords = widgets.find(([key]) => key === shown)?.[1] ?? 'none';
  return (
    <>
      <Word>Widget</Word>
      <Choice
        part="widget"
        label="Widget"
        value={widgetWords}
        maxWidth={110}
        options={widgets}
        chosen={shown ?? ''}
        onChoose={props.onWidget}
      />
      <Word>on</Word>
      <Sheet part="where" label="On the page" value={assumptions.page} maxWidth={200}>
        {(close) => <Where page={assumptions.page} onPage={(page) => onSuppose({ page })} close={close} />}
      </Sheet>
      <Word>at</Word>
      <Sheet
        part="when"
        label="At"
        value={
          assumptions.at === null
            ? `now, ${wallOf(zone, now).slice(11)}`
            : wallWords(wallOf(zone, assumptions.at))
        }
        maxWidth={150}
      >
        {(close) => <When {...{ assumptions, onSuppose, clock, close }} />}
      </Sheet>
      <Word>to</Word>
      <Sheet part="visitor" label="To" value={visitorWords(assumptions)} maxWidth={230}>
        {() => <Who {...{ assumptions, onSuppose }} locales={props.place.locales} />}
      </Sheet>
      <Word>with</Word>
      <Choice
        part="with"
        label="Who is answering"
        value={whoWords}
        maxWidth={190}
        options={[['now', asItIs], ...TEAM_STATES.map((state) => [state, STATE_WORDS[state]] as const)]}
        chosen={who}
        onChoose={(next) => onSuppose({ who: next === 'now' ? null : next })}
        also={
          people.teams.length === 0
            ? null
            : {
                heading: 'The visitor asks for',
                options: [['', 'nobody in particular'], ...people.teams],
                chosen: assumptions.asks ?? '',
                onChoose: (id) => onSuppose({ asks: id === '' ? null : id }),
              }
        }
      />
      <SituationArrows {...props.situations} />
    </>
  );
});

function visitorWords({ visit, locale, device }: Assumptions): string {
  return [visit === 'first' ? 'first visit' : 'returning', LANGUAGES[locale] ?? locale, device].join(' · ');
}

function Where({ page, onPage, close }: { page: string; onPage: (page: string) => void; close: () => void }) {
  const [typed, setTyped] = useState(page);
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        onPage(typed.trim() === '' ? '/' : typed.trim());
        close();
      }}
    >
      <Typography variant="body2" color="text.secondary" sx={{ mb: 1.5 }}>
        A page of your site, as a path or a full address.
      </Typography>
      <TextField
        label="Page"
        size="small"
        fullWidth
        autoFocus
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
      />
      <Button type="submit" variant="contained" size="small" sx={{ mt: 1.5 }}>
        Show this page
      </Button>
    </Box>
  );
}

function When({
  assumptions,
  onSuppose,
  clock: { zone, zoneName, now },
  close,
}: Pick<CircumstancesProps, 'assumptions' | 'onSuppose' | 'clock'> & { close: () => void }) {
  const [typed, setTyped] = useState(wallOf(zone, assumptions.at ?? now));
  const at = instantOf(zone, typed);
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        if (at === null) return;
        onSuppose({ at });
        close();
      }}
    >
      <Typography variant="body2" color="text.secondary" sx={{ mb: 1.5 }}>
        By the clock of the site: {zoneName}. Hours, holidays and invitations go by it.
      </Typography>
      <TextField
        label="Date and time"
        type="datetime-local"
        size="small"
        fullWidth
        autoFocus
        value={typed}
        onChange={(event) => setTyped(event.target.value.slice(0, 16))}
        slotProps={{ inputLabel: { shrink: true } }}
      />
      <Box sx={{ display: 'flex', gap: 1, mt: 1.5 }}>
        <Button type="submit" variant="contained" size="small" disabled={at === null}>
          Show this time
        </Button>
        <Button
          size="small"
          onClick={() => {
            onSuppose({ at: null });
            close();
          }}
        >
          Now
        </Button>
      </Box>
    </Box>
  );
}

function Who({
  assumptions,
  onSuppose,
  locales,
}: Pick<CircumstancesProps, 'assumptions' | 'onSuppose'> & Pick<SentencePlace, 'locales'>) {
  return (
    <>
      <Options
        label="Visit"
        value={assumptions.visit}
        options={[
          ['first', 'first visit'],
          ['returning', 'was here before'],
        ]}
        onChoose={(visit) => onSuppose({ visit })}
      />
      <Options
        label="Language"
        value={assumptions.locale}
        options={locales.map((locale) => [locale, LANGUAGES[locale] ?? locale] as const)}
        onChoose={(locale) => onSuppose({ locale })}
      />
      <Options
        label="Device"
        value={assumptions.device}
        options={[
          ['desktop', 'desktop'],
          ['tablet', 'tablet'],
          ['phone', 'phone'],
        ]}
        onChoose={(device) => onSuppose({ device })}
      />
    </>
  );
}

function Options<T extends string>({
  label,
  value,
  options,
  onChoose,
}: {
  label: string;
  value: T;
  options: readonly (readonly [T, string])[];
  onChoose: (value: T) => void;
}) {
  return (
    <Box component="fieldset" sx={{ border: 0, p: 0, m: 0, mb: 1 }}>
      <Box component="legend" sx={{ fontSize: '0.8125rem', fontWeight: 700, p: 0 }}>
        {label}
      </Box>
      <RadioGroup
        row
        aria-label={label}
        value={value}
        onChange={(event) => onChoose(event.target.value as T)}
      >
        {options.map(([one, words]) => (
          <FormControlLabel
            key={one}
            value={one}
            control={<Radio size="small" />}
            label={words}
            slotProps={{ typography: { variant: 'body2' } }}
          />
        ))}
      </RadioGroup>
    </Box>
  );
}
