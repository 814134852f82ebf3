import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import { memo } from 'react';
import type { DrawnMoment } from '../../../core/model/moment';
import { Roving } from '../../parts/Roving';
import { useSame, useStable } from '../../parts/use-stable';
import { MOMENT_WORDS } from '../../wording/moments';
import type { DrawnTransition } from '../path/transitions';
import { useDesign } from '../state/DesignContext';
import { useDesignActions } from '../state/use-design-actions';
import { Section } from './Section';
import { INSPECTOR_WORDS } from '../../wording/screens/inspector';

/** Where the moment leads, and what leads here. The first word goes to that moment, the rest to what makes the transition. */
export function LeadsTo() {
  const { rehearsed, shown, acts } = useDesign();
  const { toMoment } = useDesignActions();
  const { to, from } = useSame(neighboursOf(rehearsed.transitions, shown.moment));
  const act = { onMoment: useStable(toMoment), onTransition: useStable(acts.chooseAside) };
  return (
    <>
      <Neighbours title={INSPECTOR_WORDS.leadsTo} all={to} {...act} />
      <Neighbours title={INSPECTOR_WORDS.comesFrom} all={from} {...act} />
    </>
  );
}

interface Neighbour {
  readonly id: DrawnTransition['id'];
  readonly other: DrawnTransition['to'];
  readonly full: string;
}

interface NeighboursProps {
  readonly title: string;
  readonly all: readonly Neighbour[];
  readonly onMoment: (moment: DrawnMoment) => void;
  readonly onTransition: (id: DrawnTransition['id']) => void;
}

const Neighbours = memo(function Neighbours({ title, all, onMoment, onTransition }: NeighboursProps) {
  if (all.length === 0) return null;
  return (
    <Section title={title}>
      <Roving label={title} role="group">
        <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none', fontSize: '0.8125rem' }}>
          {all.map(({ id, other, full }) => (
            <Box component="li" key={id} sx={{ py: 0.4 }}>
              <Link
                component="button"
                type="button"
                onClick={() => onMoment(other)}
                sx={{ fontSize: '0.8125rem', fontWeight: 600, verticalAlign: 'baseline' }}
              >
                {MOMENT_WORDS[other].name}
              </Link>
              {': '}
              <Link
                component="button"
                type="button"
                color="inherit"
                onClick={() => onTransition(id)}
                sx={{
                  fontSize: '0.8125rem',
                  verticalAlign: 'baseline',
                  textAlign: 'start',
                  textDecoration: 'underline dotted',
                  textUnderlineOffset: 3,
                }}
              >
                {full}
              </Link>
            </Box>
          ))}
        </Box>
      </Roving>
    </Section>
  );
});

function neighboursOf(
  transitions: readonly DrawnTransition[],
  moment: DrawnMoment,
): { readonly to: readonly Neighbour[]; readonly from: readonly Neighbour[] } {
  return {
    to: transitions
      .filter(({ from }) => from === moment)
      .map(({ id, to, full }) => ({ id, other: to, full })),
    from: transitions
      .filter(({ to }) => to === moment)
      .map(({ id, from, full }) => ({ id, other: from, full })),
  };
}
