import { useCallback, useMemo } from 'react';
import { SheetButton } from '../inspector/InspectorSheet';
import { useDesign } from '../state/DesignContext';
import type { ChosenPart } from '../state/use-chosen';
import { BackdropMenu } from './BackdropMenu';
import { Stage } from './Stage';
import { StageTools } from './StageTools';

/** The stage of the Design screen: the page, the widget, and one group of tools. */
export function DeskStage() {
  const { shown, rehearsed, assumptions, chosen, acts, edits, tried, backdrop, pictures, firstText } =
    useDesign();
  const { texts } = shown;
  const { widget } = rehearsed;
  const isMarking = tried === null && chosen.side === 'look' && chosen.lookParts.includes('place');
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
        onOpen: acts.edit,
        onSeen: acts.see,
      }}
      widget={{
        key: widget.key,
        place: widget.place,
        onPlace: edits.setPlace,
        onLauncher: () =>
          acts.set({
            side: 'look',
            aside: null,
            isSheetOpen: true,
            lookParts: ['launcher', 'place'],
          }),
      }}
      tools={(scale) => <OverStage scale={scale} />}
    />
  );
}

/** How the stage is looked at. On a phone the stage stands by itself. */
function OverStage({ scale }: { readonly scale: number }) {
  const { form, shown, chosen, acts, tried, backdrop, pictures } = useDesign();
  const { set } = acts;
  const onDistance = useCallback((distance: 'near' | 'whole') => set({ distance }), [set]);
  const onScheme = useCallback((scheme: ChosenPart['scheme']) => set({ scheme }), [set]);
  const hasSheet = form === 'narrow' && tried === null;
  const more = useMemo(
    () => (
      <>
        <BackdropMenu kind={backdrop.kind} onKind={(kind) => set({ backdrop: kind })} acts={pictures} />
        {hasSheet ? (
          <SheetButton isOpen={chosen.isSheetOpen} onOpen={() => set({ isSheetOpen: true })} />
        ) : null}
      </>
    ),
    [backdrop.kind, pictures, hasSheet, chosen.isSheetOpen, set],
  );
  if (form === 'phone') return null;
  return (
    <StageTools
      distance={shown.distance}
      scheme={chosen.scheme}
      corner={shown.corner}
      scale={scale}
      onDistance={onDistance}
      onScheme={onScheme}
    >
      {more}
    </StageTools>
  );
}
