import { useCallback, useMemo } from 'react';
import type { Assumptions } from '../../../core/rehearse/assumptions';
import { DeskCases } from '../cases/DeskCases';
import { SheetButton } from '../inspector/InspectorSheet';
import { useDesign } from '../state/DesignContext';
import type { ChosenPart } from '../state/use-chosen';
import { BackdropMenu } from './BackdropMenu';
import { LauncherNote } from './LauncherNote';
import { Later } from './Later';
import { Signposts } from './Signposts';
import { Stage } from './Stage';
import { StageControls } from './StageControls';

/** The stage of the Design screen with all that stands on it: how it is looked at, who hears what, where the transitions lead. */
export function DeskStage() {
  const { shown, rehearsed, assumptions, chosen, acts, edits, tried, backdrop, pictures, firstText } =
    useDesign();
  const { texts, moment } = shown;
  const { widget } = rehearsed;
  const isMarking = tried === null && chosen.side === 'everywhere' && chosen.lookParts.includes('place');
  return (
    <Stage
      previewState={shown.previewState}
      page={{
        path: assumptions.page,
        backdrop,
        bars: pictures.known.bars[pictures.device],
        onMark: isMarking ? (bars) => void pictures.mark(bars) : null,
      }}
      view={{
        corner: shown.corner,
        brand: widget.look.brand,
        device: assumptions.device,
        scheme: chosen.scheme,
        sight: chosen.sight,
        distance: shown.distance,
      }}
      onNear={() => acts.set({ distance: 'near' })}
      words={{
        texts,
        firstTextRef: firstText.take,
        open: chosen.editing,
        onOpen: (key) =>
          acts.set({
            editing: key,
            ...(key === null ? {} : { cased: texts.cased.find((one) => one === key) ?? null }),
          }),
      }}
      widget={{
        key: widget.key,
        place: widget.place,
        onPlace: edits.setPlace,
        onLauncher: () =>
          acts.set({
            side: 'everywhere',
            aside: null,
            isSheetOpen: true,
            lookParts: ['launcher', 'place'],
          }),
      }}
    >
      {moment === 'passing-by' && tried === null ? (
        <LauncherNote launcher={widget.launcher} device={assumptions.device} />
      ) : null}
      <OverStage />
    </Stage>
  );
}

/** How the stage is looked at, who hears what, and where the transitions lead. On a phone the stage stands by itself. */
function OverStage() {
  const { form, shown, rehearsed, assumptions, assume, chosen, acts, tried, backdrop, pictures } =
    useDesign();
  const { set, choose, chooseAside } = acts;
  const { isSheetOpen } = chosen;
  const hasSheet = form === 'narrow' && tried === null;
  const onDistance = useCallback((distance: 'near' | 'whole') => set({ distance }), [set]);
  const onDevice = useCallback((device: Assumptions['device']) => assume({ device }), [assume]);
  const onScheme = useCallback((scheme: ChosenPart['scheme']) => set({ scheme }), [set]);
  const more = useMemo(
    () => (
      <>
        {hasSheet ? <SheetButton isOpen={isSheetOpen} onOpen={() => set({ isSheetOpen: true })} /> : null}
        <BackdropMenu kind={backdrop.kind} onKind={(kind) => set({ backdrop: kind })} acts={pictures} />
      </>
    ),
    [hasSheet, isSheetOpen, set, backdrop.kind, pictures],
  );
  if (form === 'phone') return null;
  return (
    <>
      <StageControls
        distance={shown.distance}
        device={assumptions.device}
        scheme={chosen.scheme}
        corner={shown.corner}
        onDistance={onDistance}
        onDevice={onDevice}
        onScheme={onScheme}
      >
        {more}
      </StageControls>
      {tried === null ? (
        <>
          <Later>
            <DeskCases />
          </Later>
          <Signposts
            moment={shown.moment}
            transitions={rehearsed.transitions}
            onChoose={choose}
            onTransition={chooseAside}
            corner={shown.corner}
          />
        </>
      ) : null}
    </>
  );
}
