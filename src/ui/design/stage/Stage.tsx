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
import { StageEdge } from './StageEdge';
import { SightFilter } from '../look/SightFilter';
import { type SaidKey, StageTexts, type StageText } from './StageTexts';
import { PAGE_FONT } from './StandInPage';
import { PageBackdrop } from './PageBackdrop';
import type { Backdrop } from './use-page-pictures';
import { BarHandles } from '../look/BarHandles';
import { PageBars } from '../look/PageBars';
import { PlaceHandle } from './PlaceHandle';
import { stageView } from './stage-geometry';
import { useSame } from '../../parts/use-same';
import { useSize } from '../../parts/use-size';
import { WidgetTile } from '../path/WidgetTile';

interface StageProps {
  readonly previewState: PreviewState;
  readonly corner: Corner;
  readonly brand: string;
  readonly path: string;
  readonly backdrop: Backdrop;
  /** Bars of the owner's page on this device. */
  readonly bars: Bars;
  /** Marks them, while that is what is being done; null: it is not. */
  readonly onMark: ((bars: Bars) => void) | null;
  readonly device: Visitor['device'];
  readonly scheme: 'day' | 'evening';
  /** As whom it is seen; null: with all colours. */
  readonly sight: Sight | null;
  readonly distance: 'near' | 'whole';
  readonly onNear: () => void;
  readonly texts: StageText;
  /** Where the widget stands, as it is stored. */
  readonly place: Place;
  readonly widgetKey: string;
  readonly onPlace: (place: Place) => void;
  /** The launcher was chosen, not moved. */
  readonly onLauncher: () => void;
  readonly firstTextRef: (button: HTMLButtonElement | null) => void;
  readonly editing: SaidKey | null;
  readonly onEdit: (key: SaidKey | null) => void;
  /** Signposts and the switch of distance. */
  readonly children: ReactNode;
}

/** The page with the real widget on it, and every text to be edited where it stands. */
export function Stage({
  previewState,
  corner,
  brand,
  path,
  backdrop,
  bars,
  onMark,
  device,
  scheme,
  sight,
  distance,
  onNear,
  texts,
  place,
  widgetKey,
  onPlace,
  onLauncher,
  firstTextRef,
  editing,
  onEdit,
  children,
}: StageProps) {
  const box = useRef<HTMLDivElement>(null);
  const size = useSize(box);
  const [painted, setPainted] = useState<{ root: ShadowRoot; count: number } | null>(null);
  const { circumstances, entries, hasNoLauncher = false } = previewState;
  const [drawn, setDrawn] = useState<Bars | null>(null);
  const [dragged, setDragged] = useState<Place | null>(null);
  const site = useMemo(
    () => withPlace(previewState.site, widgetKey, dragged),
    [previewState.site, widgetKey, dragged],
  );
  const view = useSame(
    stageView(size, corner, distance, circumstances.isWindowOpen, device, Math.max(0, place.lift)),
  );
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
  return (
    <Box
      ref={box}
      component="section"
      aria-label="Stage"
      sx={{ position: 'relative', overflow: 'clip', bgcolor: 'var(--porch-page)', minHeight: 0, flex: 1 }}
    >
      <StageEdge brand={brand} />
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
        <SightFilter sight={sight}>
          <PageBackdrop backdrop={backdrop} view={view} siteName={site.design.siteName} path={path} />
          <PageBars bars={drawn ?? bars} view={view} />
          <Box sx={{ position: 'absolute', inset: 0 }}>
            <WidgetTile feed={feed} scale={view.scale} onPainted={onPainted} />
          </Box>
        </SightFilter>
      </Box>
      {painted === null || size.width === 0 ? null : (
        <StageTexts
          stage={box}
          root={painted.root}
          paint={`${painted.count} ${view.left} ${view.top} ${view.scale}`}
          isNear={distance === 'near'}
          onNear={onNear}
          texts={texts}
          firstTextRef={firstTextRef}
          open={editing}
          onOpen={onEdit}
        />
      )}
      {onMark === null || size.width === 0 ? null : (
        <BarHandles bars={drawn ?? bars} view={view} onDraw={setDrawn} onMark={onMark} />
      )}
      {painted === null || size.width === 0 ? null : (
        <PlaceHandle
          stage={box}
          root={painted.root}
          paint={`${painted.count} ${view.left} ${view.top} ${view.scale}`}
          view={view}
          isPhone={device === 'phone'}
          isMirrored={site.design.dir === 'rtl'}
          place={place}
          onDrag={setDragged}
          onPlace={onPlace}
          onChoose={onLauncher}
        />
      )}
      {children}
    </Box>
  );
}

/** The site with a widget where it is being dragged to. */
function withPlace(site: PublishedSite, key: string, place: Place | null): PublishedSite {
  if (place === null) return site;
  const widgets = site.design.widgets.map((one) =>
    one.key === key ? { ...one, ...toWirePlace(place) } : one,
  );
  return { ...site, design: { ...site.design, widgets } };
}
