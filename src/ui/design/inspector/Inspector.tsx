'use client';

import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { type ReactNode, memo } from 'react';
import type { Finding } from '../../../core/findings/finding';
import type { Behaviour, WidgetState } from '../../../core/model/moment';
import { SETTINGS_AT, settingValue } from '../../../core/model/settings';
import type { DrawnMoment } from '../../../core/model/moment';
import type { TextKey } from '../../../core/model/text-keys';
import type { MomentTexts } from '../stage/stage-texts';
import { findingSentence } from '../../wording/findings';
import { MOMENT_WORDS } from '../../wording/moments';
import { LookPanel, type LookPanelProps } from '../look/LookPanel';
import type { TeamRow } from '../path/availability-rows';
import { AvailabilityRules } from './AvailabilityRules';
import { Recipients } from './Recipients';
import { SettingFields } from './SettingFields';
import { useSame } from '../../parts/use-same';
import { useStable } from '../../parts/use-stable';
import { TransitionSettings } from './TransitionSettings';
import type { DrawnTransition } from '../path/transitions';

export type Side = 'here' | 'everywhere';

/** What is chosen beside the moment cards. */
export type Aside =
  | { readonly kind: 'availability' }
  | { readonly kind: 'transition'; readonly transition: DrawnTransition }
  | null;

export interface InspectorProps extends LookPanelProps {
  readonly side: Side;
  readonly onSide: (side: Side) => void;
  readonly moment: DrawnMoment;
  /** *Who can answer?*, or a transition, is chosen instead of a moment. */
  readonly aside: Aside;
  readonly stateNow: WidgetState;
  /** The teams of a widget that has several. */
  readonly teams: readonly TeamRow[];
  /** Texts of this moment that do not stand there from the beginning. */
  readonly alsoSaid: MomentTexts['alsoSaid'];
  /** Edits a text on the stage, where it stands or over it. */
  readonly onEdit: (key: TextKey) => void;
  readonly outOfReach: string | null;
  /** findings of this widget, wherever they can be mended. */
  readonly findings: readonly Finding[];
  readonly onBehaviour: (state: WidgetState, behaviour: Behaviour) => void;
  readonly onChoose: (moment: DrawnMoment) => void;
  readonly onAvailability: () => void;
  readonly nameOfTeam: (id: string) => string;
}

/** What cannot be seen on the stage. Two sides and no more: this moment, and what holds everywhere. */
export function Inspector(props: InspectorProps) {
  const { side, onSide } = props;
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
      <Sides side={side} onSide={useStable(onSide)} />
      <Box
        role="tabpanel"
        id="inspector-panel"
        aria-labelledby={`side-${side}`}
        tabIndex={0}
        sx={{ p: 2, overflow: 'auto', flex: 1 }}
      >
        {side === 'everywhere' ? <LookPanel {...props} /> : <Here {...props} />}
      </Box>
    </Box>
  );
}

const Sides = memo(function Sides({ side, onSide }: Pick<InspectorProps, 'side' | 'onSide'>) {
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
            fontSize: 15,
            minHeight: 32,
            fontWeight: side === one ? 700 : 400,
            borderBottom: side === one ? '3px solid var(--porch-door)' : '3px solid transparent',
          }}
        >
          {one === 'here' ? 'Here' : 'Everywhere'}
        </ButtonBase>
      ))}
    </Box>
  );
});

/** The settings of what is chosen: a moment, a transition or the availability card. */
export function Here(props: InspectorProps) {
  const { aside, widget, stateNow, teams, onBehaviour } = props;
  if (aside === null) return <OfMoment {...props} />;
  return aside.kind === 'availability' ? (
    <AvailabilityRules widget={widget} now={stateNow} teams={teams} onBehaviour={onBehaviour} />
  ) : (
    <TransitionSettings {...props} transition={aside.transition} />
  );
}

const WhatItIs = memo(function WhatItIs({
  moment,
  outOfReach,
  findings,
}: Pick<InspectorProps, 'moment' | 'outOfReach' | 'findings'>) {
  const { name, what } = MOMENT_WORDS[moment];
  return (
    <>
      <Typography variant="h2">{name}</Typography>
      <Typography variant="body2" color="text.secondary">
        {what}
      </Typography>
      {outOfReach === null ? null : (
        <Typography variant="body2" sx={{ mt: 1 }}>
          In these circumstances a visitor does not get here: {outOfReach}. It is shown as it would be.
        </Typography>
      )}
      <FindingsHere findings={findings} />
      <Typography variant="body2" sx={{ mt: 2 }}>
        What can be seen is edited on the stage: choose a text where it stands.
      </Typography>
    </>
  );
});

function OfMoment({
  moment,
  findings,
  alsoSaid,
  onEdit,
  outOfReach,
  design,
  widget,
  onSetting,
  nameOfTeam,
}: InspectorProps) {
  const ids = SETTINGS_AT[moment];
  const said = useSame(alsoSaid);
  return (
    <>
      <WhatItIs
        moment={moment}
        outOfReach={outOfReach}
        findings={useSame(findings.filter((one) => one.moment === moment || one.deadEnd === moment))}
      />
      {ids.length === 0 ? null : (
        <Section title="What cannot be seen">
          <Box sx={{ pt: 1.5 }}>
            <SettingFields
              key={`${widget.id} ${moment}`}
              ids={ids}
              valueOf={(one) => settingValue(design, widget, one)}
              onChange={onSetting}
            />
          </Box>
        </Section>
      )}
      {moment === 'note-left' ? <Recipients teams={widget.teams} nameOfTeam={nameOfTeam} /> : null}
      {alsoSaid.length === 0 ? null : (
        <Section title={`Also said here (${alsoSaid.length})`}>
          <AlsoSaid all={said} onEdit={onEdit} />
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
  onEdit: InspectorProps['onEdit'];
}) {
  return (
    <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
      {all.map(({ key, name, text }) => (
        <Box component="li" key={key} sx={{ py: 0.75 }}>
          <Box sx={{ fontSize: 12, color: 'text.secondary' }}>{name}</Box>
          <Link
            component="button"
            type="button"
            color="inherit"
            onClick={() => onEdit(key)}
            sx={{ fontSize: 13, textAlign: 'start' }}
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
        fontSize: 13,
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
      <Typography component="h3" sx={{ fontSize: 13, fontWeight: 700, mb: 0.5 }}>
        {title}
      </Typography>
      {children}
    </Box>
  );
}
