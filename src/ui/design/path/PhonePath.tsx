'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import { Fragment, useState } from 'react';
import type { DrawnMoment } from '../../../core/model/moment';
import { MOMENT_WORDS } from '../../wording/moments';
import { VisitedMark } from './VisitedMark';
import { CardPicture, edgeOf } from './Path';
import { laneReasons } from './lane-reasons';
import type { MomentCard } from './moment-cards';
import { DeskAvailability } from './DeskAvailability';
import { useDesign } from '../state/DesignContext';
import { PATH_WORDS } from '../../wording/screens/path';
import { SHARED_WORDS } from '../../wording/screens/shared';

/** What this visitor gets to by themselves goes first, then what they can reach, then the rest. */
const RANKS: Readonly<Record<MomentCard['reachability'], number>> = {
  here: 0,
  'on-the-way': 1,
  possible: 2,
  never: 3,
};

/** The lower row: what happens while nobody can answer, or not yet. */
const LOWER: ReadonlySet<DrawnMoment> = new Set(['nobody-home', 'slow-reply', 'note-left']);

/** On a phone the path is a walk downwards: what this visitor can reach first, then the rest, dimmed. A moment card opens its stage. */
export function PhonePath() {
  const { rehearsed, acts, trying } = useDesign();
  const { momentCards, transitions, isSought } = rehearsed;
  const order = useSettledOrder(momentCards, isSought);
  // Nothing may move away under a finger: the walk is shown when its order stands.
  if (order === null)
    return <Box component="nav" aria-label={PATH_WORDS.path} aria-busy sx={{ minHeight: '100vh' }} />;
  return (
    <Box component="nav" id="path" tabIndex={-1} aria-label={PATH_WORDS.path} sx={{ p: 1.5 }}>
      {laneReasons(momentCards).map((one) => (
        <Box key={one} sx={{ fontSize: '0.8125rem', color: 'text.secondary', mb: 1 }}>
          {one}
        </Box>
      ))}
      <Box component="ol" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {order.map((momentCard, index) => {
          const before = order[index - 1];
          const transition =
            transitions.find(({ from, to }) => to === momentCard.moment && from === before?.moment) ??
            transitions.find(({ to }) => to === momentCard.moment);
          return (
            <Fragment key={momentCard.moment}>
              {index === 0 || transition === undefined ? null : (
                <Box
                  component="li"
                  aria-hidden
                  sx={{
                    ml: LOWER.has(momentCard.moment) ? 6.5 : 3.5,
                    pl: 1.5,
                    minHeight: '1.75rem',
                    display: 'flex',
                    alignItems: 'center',
                    fontSize: '0.8125rem',
                    borderLeft: `2px ${momentCard.outOfReach === null ? 'solid' : 'dashed'} var(--porch-edge)`,
                  }}
                >
                  {transition.from === before?.moment
                    ? transition.full
                    : PATH_WORDS.comesFrom(MOMENT_WORDS[transition.from].name, transition.full)}
                </Box>
              )}
              <li>
                <PhoneCard momentCard={momentCard} onChoose={acts.choose} />
              </li>
            </Fragment>
          );
        })}
      </Box>
      <Box sx={{ mt: 2 }}>
        <DeskAvailability />
      </Box>
      <Button variant="outlined" fullWidth onClick={trying.begin} sx={{ mt: 2, minHeight: 44 }}>
        {SHARED_WORDS.tryAVisit}
      </Button>
    </Box>
  );
}

interface PhoneCardProps {
  readonly momentCard: MomentCard;
  readonly onChoose: (moment: DrawnMoment) => void;
}

function PhoneCard({ momentCard, onChoose }: PhoneCardProps) {
  const isLower = LOWER.has(momentCard.moment);
  return (
    <ButtonBase
      onClick={() => onChoose(momentCard.moment)}
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
        border: edgeOf(momentCard),
      }}
    >
      <CardPicture previewState={momentCard.previewState} isDim={momentCard.outOfReach !== null} />
      <Box sx={{ minWidth: 0 }}>
        <Box sx={{ fontWeight: 600 }}>
          {MOMENT_WORDS[momentCard.moment].name} {RANKS[momentCard.reachability] < 2 ? <VisitedMark /> : null}
        </Box>
        <Box
          dir={momentCard.deadEnd === null ? momentCard.dir : 'ltr'}
          sx={{
            fontSize: '0.8125rem',
            color:
              momentCard.deadEnd !== null
                ? 'var(--porch-clay)'
                : momentCard.outOfReach === null
                  ? 'text.primary'
                  : 'text.secondary',
          }}
        >
          {momentCard.deadEnd === null ? momentCard.words : PATH_WORDS.deadEnd(momentCard.deadEnd)}
        </Box>
      </Box>
    </ButtonBase>
  );
}

/** The moment cards, nearest first; while a search is under way they stay where they are. Null: none has ended yet. */
function useSettledOrder(
  momentCards: readonly MomentCard[],
  isSought: boolean,
): readonly MomentCard[] | null {
  const [order, setOrder] = useState<readonly DrawnMoment[] | null>(null);
  if (isSought) {
    const sought = [...momentCards]
      .sort((a, b) => RANKS[a.reachability] - RANKS[b.reachability])
      .map(({ moment }) => moment);
    if (order === null || sought.some((moment, index) => moment !== order[index])) setOrder(sought);
  }
  return order === null
    ? null
    : momentCards.toSorted((a, b) => order.indexOf(a.moment) - order.indexOf(b.moment));
}
