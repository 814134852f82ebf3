'use client';

import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { createContext, memo, useContext, useMemo, useRef } from 'react';
import type { PreviewState } from '../../../core/rehearse/preview-at';
import type { DrawnMoment } from '../../../core/model/moment';
import { MOMENT_WORDS } from '../../wording/moments';
import { DeadEnd } from './DeadEnd';
import { VisitedMark } from './VisitedMark';
import { useDesign } from '../state/DesignContext';
import { availabilityRows } from './availability-rows';
import { AvailabilityCard } from './AvailabilityCard';
import { Roving } from '../../parts/Roving';
import { useSame, useStable } from '../../parts/use-stable';
import {
  LANE_TOP,
  PATH_HEIGHT,
  type PathMeasures,
  CARD_PLACES,
  CARD_HEIGHT,
  columnLeft,
  pathMeasures,
} from './path-layout';
import { laneReasons } from './lane-reasons';
import { PathTransitions } from './PathTransitions';
import { PILL } from '../stage/pill';
import { momentCardName } from './moment-card-name';
import type { MomentCard } from './moment-cards';
import { usePathKeys } from './use-path-keys';
import { useSize } from '../../parts/use-size';
import { PAGE_FONT } from '../stage/StandInPage';
import { type DrawnTransition, isVisitedTransition } from './transitions';
import { WidgetTile } from './WidgetTile';
import { PATH_WORDS } from '../../wording/screens/path';
import { SHARED_WORDS } from '../../wording/screens/shared';

/** The path at rest: fixed places, each moment card drawn live. For a screen reader one ordered list, with its transitions as "leads to". */
export function Path() {
  const { rehearsed, chosen, acts, shown, firstText, trying } = useDesign();
  const { momentCards, transitions, widget, state } = rehearsed;
  const { moment } = shown;
  const box = useRef<HTMLDivElement>(null);
  const size = useSize(box);
  const width = size.width === 0 ? 1280 : size.width; // until it is known
  const measures = useMemo(() => pathMeasures(width), [width]);
  const visited = useSame(
    transitions.filter((transition) => isVisitedTransition(transition, momentCards)).map(({ id }) => id),
  );
  const row = useSame(availabilityRows(widget, state, true).find(({ isNow }) => isNow));
  const reasons = useSame(laneReasons(momentCards));
  const previewStates = useMemo(
    () => new Map(momentCards.map(({ moment, previewState }) => [moment, previewState] as const)),
    [momentCards],
  );
  const toAvailability = useStable(() => acts.chooseAside('availability'));
  const toWhole = useStable(() => acts.set({ isWhole: true }));
  const move = usePathKeys({ box, chosen: moment, onChoose: acts.choose, onEnter: firstText.focus });
  return (
    <Box
      ref={box}
      component="nav"
      id="path"
      tabIndex={-1}
      aria-label={PATH_WORDS.path}
      sx={{
        position: 'relative',
        height: PATH_HEIGHT,
        flex: 'none',
        overflow: 'hidden',
        bgcolor: 'background.paper',
        borderTop: '1px solid var(--porch-rail)',
      }}
    >
      <Box
        aria-hidden
        sx={{ position: 'absolute', insetInline: 0, top: 78, bottom: 0, bgcolor: 'var(--porch-lane)' }}
      />
      <PathTransitions
        measures={measures}
        width={width}
        transitions={transitions}
        visited={visited}
        chosen={shown.transition?.id ?? null}
        onChoose={acts.chooseAside}
      />
      <Box component="ol" onKeyDown={move} sx={{ m: 0, p: 0, listStyle: 'none' }}>
        <PreviewStates value={previewStates}>
          {momentCards.map((momentCard) => (
            <MomentCardButton
              key={momentCard.moment}
              momentCard={momentCard}
              transitions={transitions}
              isChosen={momentCard.moment === moment}
              measures={measures}
              onChoose={acts.choose}
            />
          ))}
        </PreviewStates>
      </Box>
      {row === undefined ? null : (
        <AvailabilityCard
          row={row}
          left={columnLeft(1, measures)}
          width={measures.pitch + measures.cardWidth}
          isChosen={chosen.aside === 'availability'}
          onChoose={toAvailability}
        />
      )}
      <LaneReasons reasons={reasons} left={columnLeft(6, measures)} width={width} />
      <Roving
        label={PATH_WORDS.thePath}
        sx={{
          position: 'absolute',
          right: 12,
          bottom: 6,
          display: 'flex',
          flexDirection: 'column',
          gap: 0.25,
          alignItems: 'stretch',
        }}
      >
        <PathButton label={SHARED_WORDS.tryAVisit} keys="T" onClick={trying.begin} />
        <PathButton label={PATH_WORDS.wholePath} keys="P" onClick={toWhole} />
      </Roving>
    </Box>
  );
}

/** Why moments are dimmed, once for each lane, in the free corner beside the last column. */
const LaneReasons = memo(function LaneReasons({
  reasons,
  left,
  width,
}: {
  readonly reasons: readonly string[];
  readonly left: number;
  readonly width: number;
}) {
  return (
    <Box sx={{ ...REASONS, left, width: width - left - BUTTONS_PX }}>
      {reasons.map((one) => (
        <Box key={one} title={one} sx={{ ...CLAMPED, WebkitLineClamp: reasons.length > 1 ? 2 : 3 }}>
          {one}
        </Box>
      ))}
    </Box>
  );
});

/** Room for the two buttons at the right. */
const BUTTONS_PX = 124;
const CLAMPED = { display: '-webkit-box', WebkitBoxOrient: 'vertical', overflow: 'hidden' } as const;
const REASONS = {
  position: 'absolute',
  top: LANE_TOP.lower - 4,
  height: CARD_HEIGHT + 8,
  display: 'flex',
  flexDirection: 'column',
  justifyContent: 'center',
  fontSize: '0.8125rem',
  lineHeight: '1rem',
  color: 'text.secondary',
} as const;

const PathButton = memo(function PathButton({
  label,
  keys,
  onClick,
}: {
  label: string;
  keys: string;
  onClick: () => void;
}) {
  return (
    <ButtonBase aria-keyshortcuts={keys} onClick={onClick} sx={PILL}>
      {label}
      <Box component="b" aria-hidden sx={{ ml: 0.75 }}>
        {keys}
      </Box>
    </ButtonBase>
  );
});

/** What the pictures of the moment cards show: it is another with each letter, though hardly a moment card is. */
const PreviewStates = createContext<ReadonlyMap<DrawnMoment, PreviewState>>(new Map());

interface MomentCardButtonProps {
  readonly momentCard: MomentCard;
  readonly transitions: readonly DrawnTransition[];
  readonly isChosen: boolean;
  readonly measures: PathMeasures;
  readonly onChoose: (moment: DrawnMoment) => void;
}

/** Drawn anew only where something of it but its picture is another. */
const MomentCardButton = memo(
  DrawnMomentCard,
  ({ momentCard: before, ...was }, { momentCard: after, ...is }) =>
    was.transitions === is.transitions &&
    was.isChosen === is.isChosen &&
    was.measures === is.measures &&
    was.onChoose === is.onChoose &&
    before.cases.join() === after.cases.join() &&
    (['words', 'dir', 'reachability', 'outOfReach', 'deadEnd'] as const).every(
      (part) => before[part] === after[part],
    ),
);

function DrawnMomentCard({ momentCard, transitions, isChosen, measures, onChoose }: MomentCardButtonProps) {
  const place = CARD_PLACES.find(({ moment }) => moment === momentCard.moment);
  const isWalked = momentCard.reachability === 'here' || momentCard.reachability === 'on-the-way';
  const hasPicture = measures.cardWidth >= 152;
  if (place === undefined) return null;
  return (
    <li>
      <ButtonBase
        data-moment-card={momentCard.moment}
        aria-current={isChosen ? 'true' : undefined}
        aria-label={momentCardName(momentCard, transitions)}
        tabIndex={isChosen ? 0 : -1}
        onClick={() => onChoose(momentCard.moment)}
        sx={{
          position: 'absolute',
          left: columnLeft(place.column, measures),
          top: LANE_TOP[place.lane],
          width: measures.cardWidth,
          height: CARD_HEIGHT,
          p: '6px 8px',
          gap: 1,
          justifyContent: 'flex-start',
          alignItems: 'center',
          textAlign: 'start',
          borderRadius: '16px 20px 17px 19px',
          bgcolor: 'background.paper',
          border: edgeOf(momentCard),
          ...(isChosen
            ? {
                outline: '2px solid var(--porch-door) !important',
                outlineOffset: '-1px',
                boxShadow: '0 3px 0 var(--porch-door)',
              }
            : {}),
          '&:focus-visible': { boxShadow: '0 0 0 4px var(--porch-board), 0 0 0 6px var(--porch-door)' },
        }}
      >
        {momentCard.deadEnd === null ? null : <DeadEnd width={measures.cardWidth} height={CARD_HEIGHT} />}
        {hasPicture ? <PictureOf moment={momentCard.moment} isDim={momentCard.outOfReach !== null} /> : null}
        <CardWords
          name={MOMENT_WORDS[momentCard.moment].name}
          words={momentCard.words}
          dir={momentCard.dir}
          outOfReach={momentCard.outOfReach}
          deadEnd={momentCard.deadEnd}
          isWalked={isWalked}
        />
      </ButtonBase>
    </li>
  );
}

type CardWordsProps = Pick<MomentCard, 'words' | 'dir' | 'outOfReach' | 'deadEnd'> & {
  readonly name: string;
  readonly isWalked: boolean;
};

/** Name and first words of a moment card; drawn anew only where they are others. */
const CardWords = memo(function CardWords({
  name,
  words,
  dir,
  outOfReach,
  deadEnd,
  isWalked,
}: CardWordsProps) {
  return (
    <Box sx={{ minWidth: 0, flex: 1 }}>
      <Box
        sx={{
          fontSize: '0.8125rem',
          lineHeight: '1rem',
          fontWeight: 600,
          whiteSpace: 'nowrap',
          overflow: 'hidden',
          textOverflow: 'ellipsis',
          color: outOfReach === null ? 'text.primary' : 'text.secondary',
        }}
      >
        {name} {isWalked ? <VisitedMark /> : null}
      </Box>
      <Box
        dir={deadEnd === null ? dir : 'ltr'}
        sx={{
          fontSize: '0.8125rem',
          lineHeight: '0.9375rem',
          color:
            deadEnd !== null ? 'var(--porch-clay)' : outOfReach === null ? 'text.primary' : 'text.secondary',
          position: 'relative',
          display: '-webkit-box',
          WebkitLineClamp: 2,
          WebkitBoxOrient: 'vertical',
          overflow: 'hidden',
        }}
      >
        {deadEnd ?? words}
      </Box>
    </Box>
  );
});

/** The line around a moment card: clay where it is cracked, faint where this visitor cannot get. */
export function edgeOf({ deadEnd, outOfReach }: MomentCard): string {
  if (deadEnd !== null) return '1.5px solid var(--porch-clay)';
  const faint = 'color-mix(in srgb, var(--porch-edge) 55%, transparent)';
  return `1px solid ${outOfReach === null ? 'var(--porch-edge)' : faint}`;
}

function PictureOf({ moment, isDim }: { moment: DrawnMoment; isDim: boolean }) {
  const previewState = useContext(PreviewStates).get(moment);
  return previewState === undefined ? null : <CardPicture previewState={previewState} isDim={isDim} />;
}

/** The runtime at 32×44: a silhouette, decorative. */
export function CardPicture({
  previewState,
  isDim = false,
}: {
  readonly previewState: PreviewState;
  /** This visitor cannot get there. */
  readonly isDim?: boolean;
}) {
  const { site, circumstances, entries } = previewState;
  const feed = useMemo(
    () => ({
      site,
      circumstances,
      entries,
      scheme: 'day' as const,
      width: 352,
      height: 484,
      font: PAGE_FONT,
    }),
    [site, circumstances, entries],
  );
  return (
    <Box
      sx={{
        flex: 'none',
        borderRadius: '4px',
        overflow: 'hidden',
        border: '1px solid var(--porch-rail)',
        bgcolor: 'var(--porch-page)',
        width: 34,
        height: 46,
        opacity: isDim ? 0.55 : 1,
      }}
    >
      <WidgetTile feed={feed} scale={1 / 11} />
    </Box>
  );
}
