'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import { Fragment, useState, type ReactNode } from 'react';
import type { DrawnMoment } from '../../core/rehearse/stand-at';
import { MOMENT_WORDS } from '../wording/moments';
import { Footprints } from './Footprints';
import { StonePicture, edgeOf } from './Path';
import type { Stone } from './stones';
import type { DrawnTransition } from './transitions';

interface PhonePathProps {
  readonly stones: readonly Stone[];
  readonly transitions: readonly DrawnTransition[];
  /** The search is over: the order stands. */
  readonly isSought: boolean;
  /** The stone whose stage is open; null: the walk is shown. */
  readonly chosen: DrawnMoment | null;
  readonly onChoose: (moment: DrawnMoment) => void;
  readonly onBack: () => void;
  readonly stage: ReactNode;
  /** Under the stage: who hears what. */
  readonly cases: ReactNode;
  readonly inspector: ReactNode;
  /** *Who can answer?* as a table. */
  readonly gate: ReactNode;
  /** To a visit that is tried. */
  readonly onTry: () => void;
}

/** What this visitor gets to by themselves goes first, then what they can reach, then the rest. */
const RANKS: Readonly<Record<Stone['nearness'], number>> = {
  here: 0,
  'on-the-way': 1,
  possible: 2,
  never: 3,
};

/** On a phone the path is a walk downwards: what this visitor can reach first, then the rest, dashed. A stone opens its stage. */
export function PhonePath({
  stones,
  transitions,
  isSought,
  chosen,
  onChoose,
  onBack,
  stage,
  cases,
  inspector,
  gate,
  onTry,
}: PhonePathProps) {
  const order = useSettledOrder(stones, isSought);
  if (chosen !== null) {
    return (
      <Box>
        <Box sx={{ px: 1, py: 0.5 }}>
          <Button size="small" onClick={onBack} sx={{ minHeight: 44 }}>
            ‹ Back to the path
          </Button>
        </Box>
        <Box sx={{ height: 534, display: 'flex' }}>{stage}</Box>
        <Box sx={{ p: 1.5, pb: 0 }}>{cases}</Box>
        {inspector}
      </Box>
    );
  }
  // Nothing may move away under a finger: the walk is shown when its order stands.
  if (order === null) return <Box component="nav" aria-label="Path" aria-busy sx={{ minHeight: '100vh' }} />;
  return (
    <Box component="nav" aria-label="Path" sx={{ p: 1.5 }}>
      <Box component="ol" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {order.map((stone, index) => {
          const before = order[index - 1];
          const transition =
            transitions.find(({ from, to }) => to === stone.moment && from === before?.moment) ??
            transitions.find(({ to }) => to === stone.moment);
          const isLower =
            stone.moment === 'nobody-home' || stone.moment === 'slow-reply' || stone.moment === 'note-left';
          return (
            <Fragment key={stone.moment}>
              {index === 0 || transition === undefined ? null : (
                <Box
                  component="li"
                  aria-hidden
                  sx={{
                    ml: isLower ? 6.5 : 3.5,
                    pl: 1.5,
                    height: 28,
                    display: 'flex',
                    alignItems: 'center',
                    fontSize: 12,
                    borderLeft: `2px ${stone.outOfReach === null ? 'solid' : 'dashed'} var(--porch-edge)`,
                  }}
                >
                  {transition.from === before?.moment
                    ? transition.full
                    : `from ${MOMENT_WORDS[transition.from].name}: ${transition.full}`}
                </Box>
              )}
              <li>
                <ButtonBase
                  onClick={() => onChoose(stone.moment)}
                  sx={{
                    width: isLower ? 'calc(100% - 24px)' : '100%',
                    ml: isLower ? 3 : 0,
                    minHeight: 68,
                    p: 1.25,
                    gap: 1.5,
                    justifyContent: 'flex-start',
                    textAlign: 'start',
                    bgcolor: 'background.paper',
                    borderRadius: '16px 20px 17px 19px',
                    border: edgeOf(stone),
                  }}
                >
                  <StonePicture standpoint={stone.standpoint} />
                  <Box sx={{ minWidth: 0 }}>
                    <Box sx={{ fontWeight: 600 }}>
                      {MOMENT_WORDS[stone.moment].name} {RANKS[stone.nearness] < 2 ? <Footprints /> : null}
                    </Box>
                    <Box
                      dir={stone.outOfReach === null && stone.crack === null ? stone.dir : 'ltr'}
                      sx={{
                        fontSize: 13,
                        color:
                          stone.crack !== null
                            ? 'var(--porch-clay)'
                            : stone.outOfReach === null
                              ? 'text.primary'
                              : 'text.secondary',
                      }}
                    >
                      {stone.crack === null ? (stone.outOfReach ?? stone.words) : `Dead end: ${stone.crack}`}
                    </Box>
                  </Box>
                </ButtonBase>
              </li>
            </Fragment>
          );
        })}
      </Box>
      <Box sx={{ mt: 2 }}>{gate}</Box>
      <Button variant="outlined" fullWidth onClick={onTry} sx={{ mt: 2, minHeight: 44 }}>
        Try a visit
      </Button>
    </Box>
  );
}

/** The stones, nearest first; while a search is under way they stay where they are. Null: none has ended yet. */
function useSettledOrder(stones: readonly Stone[], isSought: boolean): readonly Stone[] | null {
  const [order, setOrder] = useState<readonly DrawnMoment[] | null>(null);
  if (isSought) {
    const sought = [...stones]
      .sort((a, b) => RANKS[a.nearness] - RANKS[b.nearness])
      .map(({ moment }) => moment);
    if (order === null || sought.some((moment, index) => moment !== order[index])) setOrder(sought);
  }
  return order === null ? null : stones.toSorted((a, b) => order.indexOf(a.moment) - order.indexOf(b.moment));
}
