'use client';

import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { memo, useState, useSyncExternalStore } from 'react';
import type { Finding } from '../../../core/findings/finding';
import { SETTINGS_AT, settingValue } from '../../../core/model/settings';
import type { DrawnMoment } from '../../../core/model/moment';
import { findingSentence } from '../../wording/findings';
import { MOMENT_WORDS } from '../../wording/moments';
import { useSite } from '../../frame/SiteContext';
import { FirstSteps } from '../../parts/FirstSteps';
import { LookPanel } from '../look/LookPanel';
import { noLauncherWords } from '../../wording/look';
import { AvailabilityRules } from './AvailabilityRules';
import { LeadsTo } from './LeadsTo';
import { Recipients } from './Recipients';
import { Section } from './Section';
import { SettingFields } from './SettingFields';
import { useDesign } from '../state/DesignContext';
import { useRoving } from '../../parts/use-roving';
import { never, useSame, useStable } from '../../parts/use-stable';
import { TransitionSettings } from './TransitionSettings';
import { Wording } from './Wording';
import { INSPECTOR_WORDS } from '../../wording/screens/inspector';

export type Side = 'moment' | 'look';

/** What belongs to the stage beside it. Two sides and no more: this moment, and what holds everywhere. */
export function Inspector() {
  const { chosen, acts } = useDesign();
  const { side } = chosen;
  return (
    <Box
      component="aside"
      aria-label={INSPECTOR_WORDS.inspector}
      sx={{
        bgcolor: 'background.paper',
        borderLeft: { md: '1px solid var(--porch-rail)' },
        display: 'flex',
        flexDirection: 'column',
        minHeight: 0,
        height: '100%',
      }}
    >
      <Sides side={side} onSide={useStable((next: Side) => acts.set({ side: next }))} />
      <Box
        role="tabpanel"
        id="inspector-panel"
        aria-labelledby={`side-${side}`}
        tabIndex={0}
        sx={{ p: 2, pt: 1.5, overflow: 'auto', flex: 1 }}
      >
        {side === 'look' ? (
          <LookPanel />
        ) : (
          <>
            <Beginning />
            <Here />
          </>
        )}
      </Box>
    </Box>
  );
}

/** What to do with a site that has published nothing yet, until that is closed; Today shows it as well. */
function Beginning() {
  const { overview } = useDesign();
  const { siteKey } = useSite();
  const name = `porch-first-steps-${siteKey}`;
  const [isClosed, setClosed] = useState(false);
  const wasClosed = useSyncExternalStore(
    never,
    () => localStorage.getItem(name) !== null,
    () => true,
  );
  if (overview.version !== null || isClosed || wasClosed) return null;
  return (
    <Box sx={{ mb: 2 }}>
      <FirstSteps
        siteKey={siteKey}
        onClose={() => {
          localStorage.setItem(name, 'closed');
          setClosed(true);
        }}
      />
    </Box>
  );
}

const Sides = memo(function Sides({
  side,
  onSide,
}: {
  readonly side: Side;
  readonly onSide: (side: Side) => void;
}) {
  return (
    <Box
      role="tablist"
      aria-label={INSPECTOR_WORDS.whatIsShown}
      sx={{ display: 'flex', gap: 2.5, px: 2, flex: 'none', borderBottom: '1px solid var(--porch-rail)' }}
      {...useRoving<HTMLDivElement>()}
    >
      {(['moment', 'look'] as const).map((one) => (
        <ButtonBase
          key={one}
          role="tab"
          id={`side-${one}`}
          aria-selected={side === one}
          aria-controls="inspector-panel"
          onClick={() => onSide(one)}
          sx={{
            fontSize: '0.9375rem',
            minHeight: 42,
            fontWeight: side === one ? 700 : 400,
            borderBottom: side === one ? '3px solid var(--porch-door)' : '3px solid transparent',
          }}
        >
          {one === 'moment' ? INSPECTOR_WORDS.thisMoment : INSPECTOR_WORDS.lookAndPlaceTab}
        </ButtonBase>
      ))}
    </Box>
  );
});

/** The settings of what is chosen: a moment, a transition or the availability card. */
export function Here() {
  const { chosen, rehearsed, shown, edits } = useDesign();
  if (chosen.aside === 'availability')
    return (
      <AvailabilityRules
        widget={rehearsed.widget}
        now={rehearsed.state}
        teams={shown.teamRows}
        onBehaviour={edits.setBehaviour}
      />
    );
  return shown.transition === null ? <OfMoment /> : <TransitionSettings transition={shown.transition} />;
}

const WhatItIs = memo(function WhatItIs({
  moment,
  outOfReach,
  findings,
}: {
  readonly moment: DrawnMoment;
  readonly outOfReach: string | null;
  readonly findings: readonly Finding[];
}) {
  const { name, what } = MOMENT_WORDS[moment];
  return (
    <>
      <Typography variant="h2">{name}</Typography>
      <Typography variant="body2" color="text.secondary">
        {what}
      </Typography>
      {outOfReach === null ? null : (
        <Typography variant="body2" sx={{ mt: 1 }}>
          {INSPECTOR_WORDS.outOfReach(outOfReach)}
        </Typography>
      )}
      <FindingsHere findings={findings} />
    </>
  );
});

function OfMoment() {
  const { design, rehearsed, shown, findings, edits, assumptions } = useDesign();
  const { widget, nameOfTeam } = rehearsed;
  const { moment, momentCard } = shown;
  const ids = SETTINGS_AT[moment];
  const launcherNote = moment === 'passing-by' ? noLauncherWords(widget.launcher, assumptions.device) : null;
  const here = findings.filter(
    (one) =>
      (one.widgetId === null || one.widgetId === widget.id) &&
      (one.moment === moment || one.deadEnd === moment),
  );
  const toFix = useSame(here.filter(({ level }) => level === 'must-fix'));
  const suggestions = useSame(here.filter(({ level }) => level !== 'must-fix'));
  return (
    <>
      <WhatItIs moment={moment} outOfReach={momentCard.outOfReach} findings={toFix} />
      {launcherNote === null ? null : (
        <Typography variant="body2" sx={{ mt: 1 }}>
          {launcherNote}
        </Typography>
      )}
      <Wording />
      {ids.length === 0 ? null : (
        <Section title={INSPECTOR_WORDS.timing}>
          <SettingFields
            key={`${widget.id} ${moment}`}
            ids={ids}
            valueOf={(one) => settingValue(design, widget, one)}
            onChange={edits.setSetting}
          />
        </Section>
      )}
      {moment === 'note-left' ? <Recipients teams={widget.teams} nameOfTeam={nameOfTeam} /> : null}
      <LeadsTo />
      {suggestions.length === 0 ? null : (
        <Section title={INSPECTOR_WORDS.suggestionCount(suggestions.length)}>
          <FindingsHere findings={suggestions} />
        </Section>
      )}
    </>
  );
}

/** What is computed to be wrong or doubtful here. */
function FindingsHere({ findings }: { findings: readonly Finding[] }) {
  return findings.map((one) => (
    <Box
      key={one.key}
      role="note"
      sx={{
        mt: 1.5,
        px: 1.25,
        py: 0.75,
        fontSize: '0.8125rem',
        borderInlineStart: `3px solid var(--porch-${one.level === 'must-fix' ? 'clay' : 'edge'})`,
        bgcolor: 'var(--porch-lane)',
      }}
    >
      {findingSentence(one)}
    </Box>
  ));
}
