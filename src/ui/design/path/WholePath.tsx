'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import { type ReactNode, useMemo, useRef } from 'react';
import type { DrawnMoment } from '../../../core/model/moment';
import { MOMENT_WORDS } from '../../wording/moments';
import { useDesign } from '../state/DesignContext';
import { useDesignActions } from '../state/use-design-actions';
import { DeskAvailability } from './DeskAvailability';
import { usePathKeys } from './use-path-keys';
import { useSize } from '../../parts/use-size';
import { isVisitedTransition } from './transitions';
import { reasonOf } from './lane-reasons';
import { LineHeads, TransitionLine } from './TransitionLine';
import { pictureLeft, wholeDrawings, wholeMeasures } from './whole-path-layout';
import { WholeMomentCard } from './WholeMomentCard';
import { PATH_WORDS } from '../../wording/screens/path';

interface WholePathProps {
  /** The settings of what is chosen, once they are asked for. */
  readonly card: ReactNode;
}

/** The whole path (key P): every moment as it looks, every way with all its words; to be read, printed and followed. */
export function WholePath({ card }: WholePathProps) {
  const { rehearsed, chosen, acts, shown, firstText, overview } = useDesign();
  const { toStage } = useDesignActions();
  const { momentCards, transitions } = rehearsed;
  const sendsLetters = overview.facts?.sendsLetters === true;
  const chosenTransition = shown.transition?.id ?? null;
  const onChoose = (next: DrawnMoment): void => {
    acts.choose(next);
    if (next === shown.moment && chosen.aside === null) acts.set({ isCardOpen: true });
  };
  const onEnter = (): void => {
    firstText.focusSoon();
    toStage();
  };
  const box = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(box);
  const measures = useMemo(() => wholeMeasures(width === 0 ? 1280 : width, height), [width, height]);
  const drawings = useMemo(() => wholeDrawings(measures), [measures]);
  const move = usePathKeys({ box, chosen: shown.moment, onChoose, onEnter });
  const { picture } = measures;
  const note = momentCards.find(({ moment }) => moment === 'note-left');
  const letterLeft = pictureLeft(6, measures);
  const letterTop = measures.top.lower + Math.round(picture.height * 0.64);
  return (
    <Box
      ref={box}
      component="nav"
      id="path"
      tabIndex={-1}
      aria-label={PATH_WORDS.wholePath}
      data-printed
      sx={{ position: 'relative', flex: 1, minHeight: 0, overflow: 'auto', bgcolor: 'background.default' }}
    >
      <Box
        sx={{
          position: 'relative',
          height: measures.height,
          minWidth: pictureLeft(6, measures) + picture.width + 20,
          overflow: 'hidden',
        }}
      >
        <Box
          aria-hidden
          sx={{
            position: 'absolute',
            insetInline: 0,
            top: measures.top.lower - 46,
            bottom: 0,
            bgcolor: 'var(--porch-lane)',
          }}
        />
        <LaneName top={8} dimmed={reasonOf('upper', momentCards)}>
          {PATH_WORDS.somebodyCanAnswer}
        </LaneName>
        <LaneName top={measures.top.lower - 40} dimmed={reasonOf('lower', momentCards)}>
          {PATH_WORDS.nobodyCanAnswer}
        </LaneName>
        <svg aria-hidden width="100%" height={measures.height} style={{ position: 'absolute', inset: 0 }}>
          <LineHeads />
          {transitions.map((transition) => (
            <TransitionLine
              key={transition.id}
              d={drawings[transition.id]?.d ?? ''}
              isWalked={isVisitedTransition(transition, momentCards)}
              isIdle={transition.isIdle}
              isUncertain={transition.isUncertain}
              isChosen={transition.id === chosenTransition}
            />
          ))}
          {note === undefined || !sendsLetters ? null : (
            <TransitionLine
              d={`M${pictureLeft(5, measures) + picture.width} ${letterTop + 18}H${letterLeft}`}
              isWalked={false}
              isIdle={false}
            />
          )}
        </svg>
        <Box component="ol" onKeyDown={move} sx={{ m: 0, p: 0, listStyle: 'none' }}>
          {momentCards.map((momentCard) => (
            <WholeMomentCard
              key={momentCard.moment}
              momentCard={momentCard}
              isChosen={momentCard.moment === shown.moment}
              measures={measures}
              transitions={transitions}
              onChoose={onChoose}
              onEnter={onEnter}
            />
          ))}
        </Box>
        <Box component="ul" aria-label={PATH_WORDS.transitions} sx={{ m: 0, p: 0, listStyle: 'none' }}>
          {transitions.map((transition) => {
            const words = drawings[transition.id]?.words;
            if (words === undefined) return null;
            const against = momentCards.find(({ moment }) => moment === transition.to)?.outOfReach ?? null;
            return (
              <Box
                component="li"
                key={transition.id}
                sx={{
                  position: 'absolute',
                  left: words.left,
                  width: words.width,
                  top: words.y,
                  transform:
                    words.side === 'above'
                      ? 'translateY(-100%)'
                      : words.side === 'on'
                        ? 'translateY(-50%)'
                        : undefined,
                  display: 'flex',
                  justifyContent:
                    words.align === 'center' ? 'center' : words.align === 'end' ? 'flex-end' : 'flex-start',
                  zIndex: transition.id === chosenTransition ? 2 : 1,
                }}
              >
                <ButtonBase
                  data-transition-words={transition.id}
                  aria-pressed={transition.id === chosenTransition}
                  aria-label={PATH_WORDS.fromTo(
                    MOMENT_WORDS[transition.from].name,
                    MOMENT_WORDS[transition.to].name,
                    transition.full,
                  )}
                  onClick={() => acts.chooseAside(transition.id)}
                  sx={{
                    fontSize: '0.8125rem',
                    lineHeight: '0.875rem',
                    textAlign: words.align,
                    color: against === null ? 'text.primary' : 'text.secondary',
                    borderRadius: '6px',
                    px: '3px',
                    minHeight: 24,
                    overflowWrap: 'anywhere',
                    bgcolor:
                      words.side === 'on'
                        ? words.y > measures.top.lower - 46
                          ? 'var(--porch-lane)'
                          : 'background.default'
                        : undefined,
                    ...(transition.id === chosenTransition
                      ? { boxShadow: '0 0 0 2px var(--porch-door)', bgcolor: 'background.paper' }
                      : {}),
                    '&:hover': { textDecoration: 'underline' },
                  }}
                >
                  {transition.full}
                </ButtonBase>
              </Box>
            );
          })}
        </Box>
        {sendsLetters ? <Letter left={letterLeft} top={letterTop} maxWidth={picture.width + 40} /> : null}
        <Box sx={{ position: 'absolute', left: 16, bottom: 14, width: pictureLeft(3, measures) - 16 - 44 }}>
          <DeskAvailability />
        </Box>
        <Box data-unprinted sx={{ position: 'absolute', right: 12, bottom: 10, display: 'flex', gap: 1 }}>
          <Button size="small" onClick={() => window.print()} sx={{ minHeight: 32 }}>
            {PATH_WORDS.print}
          </Button>
          <Button size="small" variant="outlined" onClick={toStage} sx={{ minHeight: 32 }}>
            {PATH_WORDS.closeWholePath}
          </Button>
        </Box>
        {card}
      </Box>
    </Box>
  );
}

function LaneName({
  top,
  dimmed,
  children,
}: {
  readonly top: number;
  /** Why moments of the lane are dimmed; null: none is. */
  readonly dimmed: string | null;
  readonly children: string;
}) {
  return (
    <Box
      component="h2"
      sx={{
        position: 'absolute',
        left: 16,
        top,
        m: 0,
        fontSize: '0.8125rem',
        fontWeight: 700,
        fontFamily: 'inherit',
      }}
    >
      {children}
      {dimmed === null ? null : (
        <Box component="span" sx={{ fontWeight: 400, color: 'text.secondary' }}>
          {' '}
          {PATH_WORDS.dimmedMark(dimmed)}
        </Box>
      )}
    </Box>
  );
}

interface LetterProps {
  readonly left: number;
  readonly top: number;
  readonly maxWidth: number;
}

/** Where a note leads once e-mail can be sent. */
function Letter({ left, top, maxWidth }: LetterProps) {
  return (
    <>
      <Box
        aria-hidden
        sx={{
          position: 'absolute',
          left: left - 94,
          top: top - 14,
          width: 90,
          textAlign: 'center',
          fontSize: '0.8125rem',
          lineHeight: '0.875rem',
        }}
      >
        {PATH_WORDS.answeredByEmail}
      </Box>
      <Box
        sx={{
          position: 'absolute',
          left,
          top,
          maxWidth,
          px: 1.5,
          py: 1,
          fontSize: '0.8125rem',
          bgcolor: 'background.paper',
          border: '1px solid var(--porch-edge)',
          borderRadius: '8px',
        }}
      >
        {PATH_WORDS.emailToVisitor}
      </Box>
    </>
  );
}
