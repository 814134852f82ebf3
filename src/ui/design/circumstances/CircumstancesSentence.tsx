'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { type ReactNode, memo, useState } from 'react';
import { TEAM_STATES, type TeamState } from '../../../core/model/moment';
import type { Assumptions } from '../../../core/rehearse/assumptions';
import { deviceNoun } from '../../wording/conditions';
import { languageName } from '../../wording/languages';
import { STATE_WORDS, whileWords } from '../../wording/states';
import { Roving } from '../../parts/Roving';
import { Choice, Sheet, Word } from './circumstance-parts';
import { SituationArrows } from './SituationArrows';
import type { Situations } from './use-situations';
import { type SentenceClock, WhenSheet, timeWords } from './WhenSheet';
import { DESIGN_WORDS } from '../../wording/screens/design';

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

/** Who answers: the team that is asked for, or all of them. */
interface SentencePeople {
  /** Null: several teams, and none is asked for. */
  readonly name: string | null;
  readonly state: TeamState;
  /** The teams that can be asked for, by id; none where there is nothing to choose. */
  readonly teams: readonly (readonly [id: string, name: string])[];
}

/** The sentence above the stage: who sees it, where and when. Each part opens under itself. */
export function CircumstancesSentence({
  children,
  ...parts
}: CircumstancesProps & { readonly children: ReactNode }) {
  return (
    <Box
      component="section"
      aria-label={DESIGN_WORDS.circumstances}
      sx={{
        minHeight: 42,
        display: 'flex',
        alignItems: 'center',
        flexWrap: { xs: 'wrap', md: 'nowrap' },
        gap: 0.75,
        px: { xs: 1.5, md: 2 },
        py: { xs: 0.75, md: 0 },
        bgcolor: 'background.default',
        borderBottom: '1px solid var(--porch-rail)',
        fontSize: '0.875rem',
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
const Sentence = memo(function Sentence({ situations, ...parts }: CircumstancesProps) {
  return (
    <Roving
      label={DESIGN_WORDS.circumstancesHelp}
      sx={{
        display: 'flex',
        alignItems: 'center',
        flexWrap: { xs: 'wrap', md: 'nowrap' },
        gap: 0.75,
        minWidth: 0,
      }}
    >
      <SituationArrows {...situations} />
      <PlaceParts {...parts} />
      <VisitorParts {...parts} />
      <PeoplePart {...parts} />
    </Roving>
  );
});

type PartsProps = Omit<CircumstancesProps, 'situations'>;

/** Which widget, where there are several, on which page, when. */
function PlaceParts({ assumptions, onSuppose, place, onWidget, clock }: PartsProps) {
  const { widgets, shown } = place;
  const isNow = assumptions.at === null;
  return (
    <>
      {widgets.length > 1 ? (
        <Choice
          part="widget"
          label={DESIGN_WORDS.widget}
          value={widgets.find(([key]) => key === shown)?.[1] ?? DESIGN_WORDS.noWidget}
          maxWidth={130}
          options={widgets}
          chosen={shown ?? ''}
          onChoose={onWidget}
        />
      ) : null}
      <Word>{widgets.length > 1 ? DESIGN_WORDS.onPage : DESIGN_WORDS.onPageStart}</Word>
      <Sheet part="where" label={DESIGN_WORDS.onThePage} value={assumptions.page} maxWidth={180}>
        {(close) => <Where page={assumptions.page} onPage={(page) => onSuppose({ page })} close={close} />}
      </Sheet>
      <Word>{DESIGN_WORDS.atTime}</Word>
      <Sheet
        part="when"
        label={isNow ? DESIGN_WORDS.atNowStart : DESIGN_WORDS.atTimeStart}
        value={timeWords(clock, assumptions)}
        maxWidth={assumptions.zone === null ? 140 : 250}
      >
        {(close) => <WhenSheet {...{ assumptions, onSuppose, clock, close }} />}
      </Sheet>
    </>
  );
}

/** Who, on what, in which language. */
function VisitorParts({ assumptions, onSuppose, place }: PartsProps) {
  const { visit, device, locale } = assumptions;
  return (
    <>
      <Word>{DESIGN_WORDS.article}</Word>
      <Choice
        part="visitor"
        label={DESIGN_WORDS.articleStart}
        value={VISITS[visit]}
        maxWidth={150}
        options={[
          ['first', VISITS.first],
          ['returning', VISITS.returning],
        ]}
        chosen={visit}
        onChoose={(next) => onSuppose({ visit: next })}
      />
      <Word>{DESIGN_WORDS.onDevice}</Word>
      <Choice
        part="device"
        label={DESIGN_WORDS.onDeviceStart}
        value={deviceNoun(device)}
        maxWidth={80}
        options={DEVICES.map((one) => [one, deviceNoun(one)] as const)}
        chosen={device}
        onChoose={(next) => onSuppose({ device: next })}
      />
      <Word>{DESIGN_WORDS.inLanguage}</Word>
      <Choice
        part="language"
        label={DESIGN_WORDS.inLanguageStart}
        value={languageName(locale)}
        maxWidth={110}
        options={place.locales.map((one) => [one, languageName(one)] as const)}
        chosen={locale}
        onChoose={(next) => onSuppose({ locale: next })}
      />
    </>
  );
}

const VISITS = { first: DESIGN_WORDS.firstTimeVisitor, returning: DESIGN_WORDS.returningVisitor } as const;
const DEVICES = ['desktop', 'tablet', 'phone'] as const;

/** Whether somebody is answering meanwhile, and whom the visitor asks for. */
function PeoplePart({ assumptions, onSuppose, people }: PartsProps) {
  const asItIs = DESIGN_WORDS.asItIsNow(STATE_WORDS[people.state]);
  return (
    <>
      <Word>{DESIGN_WORDS.whilePeople}</Word>
      <Choice
        part="with"
        label={DESIGN_WORDS.whilePeopleStart}
        value={whileWords(people.name, assumptions.who ?? people.state)}
        maxWidth={260}
        options={[['now', asItIs], ...TEAM_STATES.map((state) => [state, STATE_WORDS[state]] as const)]}
        chosen={assumptions.who ?? 'now'}
        onChoose={(next) => onSuppose({ who: next === 'now' ? null : next })}
        also={
          people.teams.length === 0
            ? null
            : {
                heading: DESIGN_WORDS.askedFor,
                options: [['', DESIGN_WORDS.askedForNobody], ...people.teams],
                chosen: assumptions.asks ?? '',
                onChoose: (id) => onSuppose({ asks: id === '' ? null : id }),
              }
        }
      />
    </>
  );
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
        {DESIGN_WORDS.pageHelp}
      </Typography>
      <TextField
        label={DESIGN_WORDS.page}
        size="small"
        fullWidth
        autoFocus
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
      />
      <Button type="submit" variant="contained" size="small" sx={{ mt: 1.5 }}>
        {DESIGN_WORDS.showThisPage}
      </Button>
    </Box>
  );
}
