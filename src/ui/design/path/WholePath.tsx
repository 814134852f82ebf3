'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import { type ReactNode, memo, useMemo, useRef } from 'react';
import type { PreviewState } from '../../../core/rehearse/preview-at';
import type { DrawnMoment } from '../../../core/model/moment';
import { MOMENT_WORDS } from '../../wording/moments';
import { useDesign } from '../state/DesignContext';
import { useDesignActions } from '../state/use-design-actions';
import { DeskAvailability } from './DeskAvailability';
import { DeadEnd } from './DeadEnd';
import { VisitedMark } from './VisitedMark';
import { edgeOf } from './Path';
import { CARD_PLACES } from './path-layout';
import { PAGE_FONT } from '../stage/StandInPage';
import { momentCardName } from './moment-card-name';
import type { MomentCard } from './moment-cards';
import { usePathKeys } from './use-path-keys';
import { useSize } from '../../parts/use-size';
import { type DrawnTransition, isVisitedTransition } from './transitions';
import { TransitionLine } from './TransitionLine';
import { type WholeMeasures, pictureLeft, wholeDrawings, wholeMeasures } from './whole-path-layout';
import { WidgetTile } from './WidgetTile';

interface WholePathProps {
  /** The settings of what is chosen, once they are asked for. */
  readonly card: ReactNode;
}

/** The whole path (key P): every moment as it looks, every way with all its words; to be read, printed and followed. */
export function WholePath({ card }: WholePathProps) {
  const { rehearsed, chosen, acts, shown, firstText } = useDesign();
  const { toStage } = useDesignActions();
  const { momentCards, transitions } = rehearsed;
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
      aria-label="Whole path"
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
        <LaneName top={8}>Somebody can answer</LaneName>
        <LaneName top={measures.top.lower - 40}>Nobody can answer, or not yet</LaneName>
        <svg aria-hidden width="100%" height={measures.height} style={{ position: 'absolute', inset: 0 }}>
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
          {note === undefined ? null : (
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
        <Box component="ul" aria-label="Transitions" sx={{ m: 0, p: 0, listStyle: 'none' }}>
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
                  aria-label={`${MOMENT_WORDS[transition.from].name} to ${MOMENT_WORDS[transition.to].name}: ${transition.full}`}
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
        <Box
          aria-hidden
          sx={{
            position: 'absolute',
            left: letterLeft - 94,
            top: letterTop - 14,
            width: 90,
            textAlign: 'center',
            fontSize: '0.8125rem',
            lineHeight: '0.875rem',
          }}
        >
          answered by e-mail
        </Box>
        <Box
          sx={{
            position: 'absolute',
            left: letterLeft,
            top: letterTop,
            maxWidth: picture.width + 40,
            px: 1.5,
            py: 1,
            fontSize: '0.8125rem',
            bgcolor: 'background.paper',
            border: '1px solid var(--porch-edge)',
            borderRadius: '8px',
          }}
        >
          An e-mail to the visitor
        </Box>
        <Box sx={{ position: 'absolute', left: 16, bottom: 14, width: pictureLeft(3, measures) - 16 - 44 }}>
          <DeskAvailability />
        </Box>
        <Box data-unprinted sx={{ position: 'absolute', right: 12, bottom: 10, display: 'flex', gap: 1 }}>
          <Button size="small" onClick={() => window.print()} sx={{ minHeight: 32 }}>
            Print
          </Button>
          <Button size="small" variant="outlined" onClick={toStage} sx={{ minHeight: 32 }}>
            Close the whole path (P)
          </Button>
        </Box>
        {card}
      </Box>
    </Box>
  );
}

function LaneName({ top, children }: { top: number; children: string }) {
  return (
    <Box
      component="h2"
      sx={{ position: 'absolute', left: 16, top, m: 0, fontSize: '0.8125rem', fontWeight: 700, fontFamily: 'inherit' }}
    >
      {children}
    </Box>
  );
}

interface WholeMomentCardProps {
  readonly momentCard: MomentCard;
  readonly isChosen: boolean;
  readonly measures: WholeMeasures;
  readonly transitions: readonly DrawnTransition[];
  readonly onChoose: (moment: DrawnMoment) => void;
  readonly onEnter: () => void;
}

function WholeMomentCard({
  momentCard,
  isChosen,
  measures,
  transitions,
  onChoose,
  onEnter,
}: WholeMomentCardProps) {
  const place = CARD_PLACES.find(({ moment }) => moment === momentCard.moment);
  if (place === undefined) return null;
  const { picture } = measures;
  const { name } = MOMENT_WORDS[momentCard.moment];
  const isWalked = momentCard.reachability === 'here' || momentCard.reachability === 'on-the-way';
  return (
    <Box
      component="li"
      sx={{ position: 'absolute', left: pictureLeft(place.column, measures), top: measures.top[place.lane] }}
    >
      <ButtonBase
        data-moment-card={momentCard.moment}
        aria-current={isChosen ? 'true' : undefined}
        aria-label={momentCardName(momentCard, transitions)}
        tabIndex={isChosen ? 0 : -1}
        onClick={() => onChoose(momentCard.moment)}
        onDoubleClick={onEnter}
        sx={{
          display: 'block',
          width: picture.width,
          textAlign: 'start',
          borderRadius: '14px 16px 15px 17px',
          '&:focus-visible': { outline: 'none' },
          '&:focus-visible > :first-of-type': {
            boxShadow: '0 0 0 4px var(--porch-paper), 0 0 0 6px var(--porch-door)',
          },
        }}
      >
        <Box
          sx={{
            width: picture.width,
            height: picture.height,
            borderRadius: '14px 16px 15px 17px',
            overflow: 'hidden',
            bgcolor: 'var(--porch-page)',
            position: 'relative',
            border: edgeOf(momentCard),
            ...(isChosen
              ? {
                  outline: '2px solid var(--porch-door)',
                  outlineOffset: '-1px',
                  boxShadow: '0 3px 0 var(--porch-door)',
                }
              : {}),
          }}
        >
          <Thumbnail
            previewState={momentCard.previewState}
            isDim={momentCard.outOfReach !== null}
            scale={picture.width / 360}
          />
          {momentCard.deadEnd === null ? null : <DeadEnd width={picture.width} height={picture.height} />}
        </Box>
        <Box sx={{ fontSize: '0.875rem', lineHeight: '1.25rem', fontWeight: 600, mt: '4px', whiteSpace: 'nowrap' }}>
          {name} {isWalked ? <VisitedMark /> : null}
        </Box>
        <Box
          dir={momentCard.outOfReach === null && momentCard.deadEnd === null ? momentCard.dir : 'ltr'}
          sx={{
            fontSize: '0.8125rem',
            lineHeight: '0.9375rem',
            color: momentCard.deadEnd === null ? 'text.secondary' : 'var(--porch-clay)',
            display: '-webkit-box',
            WebkitLineClamp: momentCard.cases.length === 0 ? 2 : 1,
            WebkitBoxOrient: 'vertical',
            overflow: 'hidden',
          }}
        >
          {momentCard.deadEnd ?? momentCard.outOfReach ?? momentCard.words}
        </Box>
        {momentCard.cases.length === 0 ? null : (
          <Box
            aria-hidden
            title={momentCard.cases.join(', ')}
            sx={{
              fontSize: '0.8125rem',
              lineHeight: '0.9375rem',
              whiteSpace: 'nowrap',
              overflow: 'hidden',
              textOverflow: 'ellipsis',
              width: picture.width + 64,
            }}
          >
            {momentCard.cases.map((one) => `‹${one}›`).join(' ')}
          </Box>
        )}
      </ButtonBase>
    </Box>
  );
}

/** The runtime at 112×156: live, and decorative. It is painted anew only where what it shows has changed. */
const Thumbnail = memo(function Thumbnail({
  previewState,
  isDim,
  scale,
}: {
  previewState: PreviewState;
  isDim: boolean;
  scale: number;
}) {
  const { site, circumstances, entries } = previewState;
  const feed = useMemo(
    () => ({
      site,
      circumstances,
      entries,
      scheme: 'day' as const,
      width: 360,
      height: 501,
      font: PAGE_FONT,
    }),
    [site, circumstances, entries],
  );
  return (
    <div style={isDim ? { opacity: 0.5 } : undefined}>
      <WidgetTile feed={feed} scale={scale} />
    </div>
  );
});
