'use client';

import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { memo, useMemo } from 'react';
import type { PreviewState } from '../../../core/rehearse/preview-at';
import type { DrawnMoment } from '../../../core/model/moment';
import { MOMENT_WORDS } from '../../wording/moments';
import { DeadEnd } from './DeadEnd';
import { VisitedMark } from './VisitedMark';
import { edgeOf } from './Path';
import { CARD_PLACES } from './path-layout';
import { PAGE_FONT } from '../stage/StandInPage';
import { momentCardName } from './moment-card-name';
import type { MomentCard } from './moment-cards';
import type { DrawnTransition } from './transitions';
import { type WholeMeasures, pictureLeft } from './whole-path-layout';
import { WidgetTile } from './WidgetTile';

interface WholeMomentCardProps {
  readonly momentCard: MomentCard;
  readonly isChosen: boolean;
  readonly measures: WholeMeasures;
  readonly transitions: readonly DrawnTransition[];
  readonly onChoose: (moment: DrawnMoment) => void;
  readonly onEnter: () => void;
}

/** A moment of the whole path: as it looks, with its name and first words below. */
export function WholeMomentCard({
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
        <CardWords momentCard={momentCard} width={picture.width + 64} />
      </ButtonBase>
    </Box>
  );
}

/** Name, first words and, for whom they differ, below the picture. */
function CardWords({ momentCard, width }: { readonly momentCard: MomentCard; readonly width: number }) {
  const { name } = MOMENT_WORDS[momentCard.moment];
  const isWalked = momentCard.reachability === 'here' || momentCard.reachability === 'on-the-way';
  return (
    <>
      <Box
        sx={{
          fontSize: '0.875rem',
          lineHeight: '1.25rem',
          fontWeight: 600,
          mt: '4px',
          whiteSpace: 'nowrap',
        }}
      >
        {name} {isWalked ? <VisitedMark /> : null}
      </Box>
      <Box
        dir={momentCard.deadEnd === null ? momentCard.dir : 'ltr'}
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
        {momentCard.deadEnd ?? momentCard.words}
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
            width,
          }}
        >
          {momentCard.cases.map((one) => `‹${one}›`).join(' ')}
        </Box>
      )}
    </>
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
