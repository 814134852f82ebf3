import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { memo } from 'react';
import type { Corner } from '../../../core/model/design';
import type { TransitionId } from '../../../core/model/transition';
import type { DrawnMoment } from '../../../core/model/moment';
import { MOMENT_WORDS } from '../../wording/moments';
import { PILL } from './pill';
import type { DrawnTransition } from '../path/transitions';

interface SignpostsProps {
  readonly moment: DrawnMoment;
  readonly transitions: readonly DrawnTransition[];
  readonly onChoose: (moment: DrawnMoment) => void;
  readonly onTransition: (transition: TransitionId) => void;
  readonly corner: Corner;
}

const POST = { ...PILL, textAlign: 'start' } as const;

/** On the stage, away from the widget: where the chosen moment card's transitions lead. A moment card is gone to, a transition opens its settings. */
export const Signposts = memo(function Signposts({
  moment,
  transitions,
  onChoose,
  onTransition,
  corner,
}: SignpostsProps) {
  const side = corner.endsWith('right') ? { left: 12 } : { right: 12 };
  const align = corner.endsWith('right') ? 'flex-start' : 'flex-end';
  return (
    <Box
      component="ul"
      aria-label="Leads here and from here"
      sx={{
        position: 'absolute',
        bottom: 8,
        ...side,
        m: 0,
        p: 0,
        listStyle: 'none',
        display: 'flex',
        flexDirection: 'column',
        gap: 0.75,
        alignItems: align,
        maxWidth: 'max(220px, calc(100% - 412px))',
        zIndex: 4,
      }}
    >
      {postsOf(transitions, moment).map(({ id, other, isFrom, full }) => (
        <li key={id + String(isFrom)}>
          <Box sx={POST}>
            <ButtonBase onClick={() => onChoose(other)} sx={{ fontSize: '0.8125rem', minHeight: 28 }}>
              <span>
                {isFrom ? '◂ from ' : '▸ to '}
                <b>{MOMENT_WORDS[other].name}</b>:
              </span>
            </ButtonBase>{' '}
            <ButtonBase
              onClick={() => onTransition(id)}
              sx={{
                fontSize: '0.8125rem',
                minHeight: 28,
                textAlign: 'start',
                textDecoration: 'underline dotted',
                textUnderlineOffset: 3,
              }}
            >
              {full}
            </ButtonBase>
          </Box>
        </li>
      ))}
    </Box>
  );
});

/** The transitions of a moment card, those that lead here first. */
export function postsOf(transitions: readonly DrawnTransition[], moment: DrawnMoment) {
  const from = transitions
    .filter((transition) => transition.to === moment)
    .map((transition) => ({ ...transition, other: transition.from, isFrom: true }));
  const to = transitions
    .filter((transition) => transition.from === moment)
    .map((transition) => ({ ...transition, other: transition.to, isFrom: false }));
  return [...from, ...to];
}
