'use client';

import Box from '@mui/material/Box';
import { type ReactNode, useCallback, useMemo, useRef, useState } from 'react';
import type { Visitor } from '../../../core/model/circumstances';
import { toWirePlace } from '../../../core/look/place';
import type { Bars } from '../../../core/model/page-bars';
import type { Sight } from '../../../core/look/deficiency';
import type { Corner, Place } from '../../../core/model/design';
import type { PublishedSite } from '../../../core/wire/published-site';
import type { PreviewState } from '../../../core/rehearse/preview-at';
import { SightFilter } from '../look/SightFilter';
import { StageTexts, type StageTextsProps } from './StageTexts';
import { PAGE_FONT } from './StandInPage';
import { PageBackdrop } from './PageBackdrop';
import type { Backdrop } from './use-page-pictures';
import { BarHandles } from '../look/BarHandles';
import { PageBars } from '../look/PageBars';
import { PlaceHandle } from './PlaceHandle';
import { EDITED_FROM, type StagedWindow, stageView } from './stage-geometry';
import { useSame } from '../../parts/use-stable';
import { useSize } from '../../parts/use-size';
import { WidgetTile } from '../path/WidgetTile';
import { STAGE_WORDS } from '../../wording/screens/stage';

interface StageProps {
  readonly previewState: PreviewState;
  readonly page: StagePage;
  readonly view: StageLook;
  readonly onNear: () => void;
  readonly words: Pick<StageTextsProps, 'texts' | 'firstTextRef' | 'open' | 'onOpen' | 'onSeen'>;
  readonly widget: StageWidget;
  /** What lies on the stage, by the scale at which the page is drawn. */
  readonly tools: (scale: number) => ReactNode;
}

/** The page that the widget stands on. */
interface StagePage {
  readonly path: string;
  readonly backdrop: Backdrop;
  /** Bars of the owner's page on this device. */
  readonly bars: Bars;
  /** Marks them, while that is what is being done; null: it is not. */
  readonly onMark: ((bars: Bars) => void) | null;
}

/** How it is looked at. */
interface StageLook {
  readonly corner: Corner;
  readonly device: Visitor['device'];
  readonly scheme: 'day' | 'evening';
  /** As whom it is seen; null: with all colours. */
  readonly sight: Sight | null;
  readonly distance: 'near' | 'whole';
}

/** Where the widget stands, as it is stored. */
interface StageWidget {
  readonly key: string;
  readonly place: Place;
  readonly onPlace: (place: Place) => void;
  /** The launcher was chosen, not moved. */
  readonly onLauncher: () => void;
}

/** The page with the real widget on it, and every text to be edited where it stands. */
export function Stage({ previewState, page, view: look, onNear, words, widget, tools }: StageProps) {
  const { bars, onMark } = page;
  const { device, scheme, distance } = look;
  const { place } = widget;
  const box = useRef<HTMLDivElement>(null);
  const size = useSize(box);
  const [painted, setPainted] = useState<{ root: ShadowRoot; count: number } | null>(null);
  const { circumstances, entries, hasNoLauncher = false } = previewState;
  const [drawn, setDrawn] = useState<Bars | null>(null);
  const [dragged, setDragged] = useState<Place | null>(null);
  const site = useMemo(
    () => withPlace(previewState.site, widget.key, dragged),
    [previewState.site, widget.key, dragged],
  );
  const open = circumstances.isWindowOpen ? windowOf(place) : null;
  const view = useSame(stageView(size, look.corner, distance, open, device));
  const isReadable = stageView(size, look.corner, 'near', open, device).scale >= EDITED_FROM;
  const feed = useMemo(
    () => ({
      site,
      circumstances,
      entries,
      hasNoLauncher,
      scheme,
      device,
      width: view.pageWidth,
      height: view.pageHeight,
      font: PAGE_FONT,
    }),
    [site, circumstances, entries, hasNoLauncher, scheme, device, view.pageWidth, view.pageHeight],
  );
  const onPainted = useCallback(
    (root: ShadowRoot) => setPainted((before) => ({ root, count: (before?.count ?? 0) + 1 })),
    [],
  );
  const paint = `${painted?.count ?? 0} ${view.left} ${view.top} ${view.scale}`;
  const root = painted === null || size.width === 0 ? null : painted.root;
  const onStage = useMemo(() => (root === null ? null : { stage: box, root, paint }), [root, paint]);
  return (
    <Box
      ref={box}
      component="section"
      id="stage"
      tabIndex={-1}
      aria-label={STAGE_WORDS.stage}
      sx={{
        '&:focus': { outline: 'none' },
        position: 'relative',
        overflow: 'clip',
        bgcolor: 'var(--porch-page)',
        minHeight: 0,
        flex: 1,
      }}
    >
      <Box
        sx={{
          position: 'absolute',
          left: view.left,
          top: view.top,
          width: view.pageWidth * view.scale,
          height: view.pageHeight * view.scale,
          overflow: 'clip',
        }}
      >
        <SightFilter sight={look.sight}>
          <PageBackdrop
            backdrop={page.backdrop}
            view={view}
            siteName={site.design.siteName}
            path={page.path}
          />
          <PageBars bars={drawn ?? bars} view={view} />
          <Box sx={{ position: 'absolute', inset: 0 }}>
            <WidgetTile feed={feed} scale={view.scale} onPainted={onPainted} />
          </Box>
        </SightFilter>
      </Box>
      {onStage === null ? null : (
        <StageTexts
          painted={onStage}
          distance={{ isNear: distance === 'near', isReadable, onNear }}
          {...words}
        />
      )}
      {onMark === null || size.width === 0 ? null : (
        <BarHandles bars={drawn ?? bars} view={view} onDraw={setDrawn} onMark={onMark} />
      )}
      {onStage === null ? null : (
        <PlaceHandle
          painted={onStage}
          view={view}
          isPhone={device === 'phone'}
          isMirrored={site.design.dir === 'rtl'}
          place={place}
          onDrag={setDragged}
          onPlace={widget.onPlace}
          onChoose={widget.onLauncher}
        />
      )}
      {tools(size.width === 0 ? 1 : view.scale)}
    </Box>
  );
}

/** The window as it stands on a large page. */
function windowOf({ windowHeight, offset, lift }: Place): StagedWindow {
  return { height: windowHeight, offset: Math.max(0, offset + lift) };
}

/** The site with a widget where it is being dragged to. */
function withPlace(site: PublishedSite, key: string, place: Place | null): PublishedSite {
  if (place === null) return site;
  const widgets = site.design.widgets.map((one) =>
    one.key === key ? { ...one, ...toWirePlace(place) } : one,
  );
  return { ...site, design: { ...site.design, widgets } };
}
