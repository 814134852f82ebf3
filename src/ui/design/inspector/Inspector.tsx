'use client';

import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { type ReactNode, memo } from 'react';
import type { Finding } from '../../../core/findings/finding';
import { SETTINGS_AT, settingValue } from '../../../core/model/settings';
import type { DrawnMoment } from '../../../core/model/moment';
import type { TextKey } from '../../../core/model/text-keys';
import type { MomentTexts } from '../stage/stage-texts';
import { findingSentence } from '../../wording/findings';
import { MOMENT_WORDS } from '../../wording/moments';
import { LookPanel } from '../look/LookPanel';
import { AvailabilityRules } from './AvailabilityRules';
import { Recipients } from './Recipients';
import { SettingFields } from './SettingFields';
import { useDesign } from '../state/DesignContext';
import { useSame, useStable } from '../../parts/use-stable';
import { TransitionSettings } from './TransitionSettings';

export type Side = 'here' | 'everywhere';

/** Timing on the stage. Two sides and no more: this moment, and what holds everywhere. */
export function Inspector() {
  const { chosen, acts } = useDesign();
  const { side } = chosen;
  return (
    <Box
      component="aside"
      aria-label="Inspector"
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
        sx={{ p: 2, overflow: 'auto', flex: 1 }}
      >
        {side === 'everywhere' ? <LookPanel /> : <Here />}
      </Box>
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
      aria-label="What is shown"
      sx={{ display: 'flex', gap: 2, px: 2, pt: 1, flex: 'none' }}
    >
      {(['here', 'everywhere'] as const).map((one) => (
        <ButtonBase
          key={one}
          role="tab"
          id={`side-${one}`}
          aria-selected={side === one}
          aria-controls="inspector-panel"
          onClick={() => onSide(one)}
          sx={{
            fontSize: '0.9375rem',
            minHeight: 32,
            fontWeight: side === one ? 700 : 400,
            borderBottom: side === one ? '3px solid var(--porch-door)' : '3px solid transparent',
          }}
        >
          {one === 'here' ? 'This moment' : 'Look & place'}
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
          Visitors can’t get here now: {outOfReach}. Preview only.
        </Typography>
      )}
      <FindingsHere findings={findings} />
      <Typography variant="body2" sx={{ mt: 2 }}>
        Click any text in the preview to change it.
      </Typography>
    </>
  );
});

function OfMoment() {
  const { design, rehearsed, shown, findings, edits, acts } = useDesign();
  const { widget, nameOfTeam } = rehearsed;
  const { moment, momentCard } = shown;
  const ids = SETTINGS_AT[moment];
  const alsoSaid = useSame(shown.texts.alsoSaid);
  const here = findings.filter(
    (one) =>
      (one.widgetId === null || one.widgetId === widget.id) &&
      (one.moment === moment || one.deadEnd === moment),
  );
  const edit = useStable((key: TextKey) =>
    acts.set({ editing: key, cased: key, distance: 'near', isSheetOpen: false }),
  );
  return (
    <>
      <WhatItIs moment={moment} outOfReach={momentCard.outOfReach} findings={useSame(here)} />
      {ids.length === 0 ? null : (
        <Section title="Timing">
          <Box sx={{ pt: 1.5 }}>
            <SettingFields
              key={`${widget.id} ${moment}`}
              ids={ids}
              valueOf={(one) => settingValue(design, widget, one)}
              onChange={edits.setSetting}
            />
          </Box>
        </Section>
      )}
      {moment === 'note-left' ? <Recipients teams={widget.teams} nameOfTeam={nameOfTeam} /> : null}
      {alsoSaid.length === 0 ? null : (
        <Section title={`Other texts (${alsoSaid.length})`}>
          <AlsoSaid all={alsoSaid} onEdit={edit} />
        </Section>
      )}
    </>
  );
}

/** Chosen, one is edited on the stage. */
const AlsoSaid = memo(function AlsoSaid({
  all,
  onEdit,
}: {
  all: MomentTexts['alsoSaid'];
  onEdit: (key: TextKey) => void;
}) {
  return (
    <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
      {all.map(({ key, name, text }) => (
        <Box component="li" key={key} sx={{ py: 0.75 }}>
          <Box sx={{ fontSize: '0.8125rem', color: 'text.secondary' }}>{name}</Box>
          <Link
            component="button"
            type="button"
            color="inherit"
            onClick={() => onEdit(key)}
            sx={{ fontSize: '0.8125rem', textAlign: 'start' }}
          >
            {text}
          </Link>
        </Box>
      ))}
    </Box>
  );
});

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

function Section({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box component="section" sx={{ mt: 2.5, pt: 1.5, borderTop: '1px solid var(--porch-rail)' }}>
      <Typography component="h3" sx={{ fontSize: '0.8125rem', fontWeight: 700, mb: 0.5 }}>
        {title}
      </Typography>
      {children}
    </Box>
  );
}
