import { type ReactNode, useCallback, useMemo } from 'react';
import type { Corner, Widget } from '../../../core/model/design';
import type { PreviewState } from '../../../core/rehearse/preview-at';
import type { DrawnMoment } from '../../../core/model/moment';
import type { Assumptions } from '../../../core/rehearse/assumptions';
import { BackdropMenu } from './BackdropMenu';
import type { DesignEdits } from '../draft/design-edits';
import { SheetButton } from '../inspector/InspectorSheet';
import { LauncherNote } from './LauncherNote';
import { Later } from './Later';
import { Signposts } from './Signposts';
import { Stage } from './Stage';
import { StageControls } from './StageControls';
import type { MomentTexts } from './stage-texts';
import type { ChosenPart, ChosenActions } from '../state/use-chosen';
import type { Backdrop, PagePictureActions } from './use-page-pictures';
import type { DrawnTransition } from '../path/transitions';

interface DeskStageProps {
  readonly previewState: PreviewState;
  readonly corner: Corner;
  readonly widget: Widget;
  readonly assumptions: Assumptions;
  readonly assume: (part: Partial<Assumptions>) => void;
  readonly chosen: ChosenPart;
  readonly acts: ChosenActions;
  readonly distance: 'near' | 'whole';
  readonly texts: MomentTexts;
  readonly edits: DesignEdits;
  readonly moment: DrawnMoment;
  readonly transitions: readonly DrawnTransition[];
  /** Who hears what. */
  readonly cases: ReactNode;
  /** On a phone the stage stands by itself; on a narrow screen the inspector is asked for from it. */
  readonly form: 'phone' | 'narrow' | 'wide';
  /** A visit is tried: nothing of the path is drawn on it. */
  readonly isTried: boolean;
  readonly backdrop: Backdrop;
  readonly pictures: PagePictureActions;
  readonly firstTextRef: (button: HTMLButtonElement | null) => void;
}

/** The stage of the Design screen with all that stands on it: how it is looked at, who hears what, where the transitions lead. */
export function DeskStage(props: DeskStageProps) {
  const { widget, corner, assumptions, assume, chosen, distance, texts, edits, form, isTried, backdrop } =
    props;
  const { set, choose, chooseAside } = props.acts;
  const hasSheet = form === 'narrow' && !isTried;
  const { isSheetOpen } = chosen;
  const isMarking = !isTried && chosen.side === 'everywhere' && chosen.lookParts.includes('place');
  const { mark } = props.pictures;
  const onDistance = useCallback((next: 'near' | 'whole') => set({ distance: next }), [set]);
  const onDevice = useCallback((device: Assumptions['device']) => assume({ device }), [assume]);
  const onScheme = useCallback((scheme: ChosenPart['scheme']) => set({ scheme }), [set]);
  const more = useMemo(
    () => (
      <>
        {hasSheet ? <SheetButton isOpen={isSheetOpen} onOpen={() => set({ isSheetOpen: true })} /> : null}
        <BackdropMenu kind={backdrop.kind} onKind={(kind) => set({ backdrop: kind })} acts={props.pictures} />
      </>
    ),
    [hasSheet, isSheetOpen, set, backdrop.kind, props.pictures],
  );
  return (
    <Stage
      previewState={props.previewState}
      corner={corner}
      brand={widget.look.brand}
      path={assumptions.page}
      backdrop={backdrop}
      bars={props.pictures.known.bars[props.pictures.device]}
      onMark={isMarking ? (bars) => void mark(bars) : null}
      device={assumptions.device}
      scheme={chosen.scheme}
      sight={chosen.sight}
      distance={distance}
      onNear={() => set({ distance: 'near' })}
      texts={texts}
      place={widget.place}
      widgetKey={widget.key}
      onPlace={edits.setPlace}
      onLauncher={() =>
        set({ side: 'everywhere', aside: null, isSheetOpen: true, lookParts: ['launcher', 'place'] })
      }
      firstTextRef={props.firstTextRef}
      editing={chosen.editing}
      onEdit={(key) =>
        set({
          editing: key,
          ...(key === null ? {} : { cased: texts.cased.find((one) => one === key) ?? null }),
        })
      }
    >
      {props.moment === 'passing-by' && !isTried ? (
        <LauncherNote launcher={widget.launcher} device={assumptions.device} />
      ) : null}
      {form === 'phone' ? null : (
        <>
          <StageControls
            distance={distance}
            device={assumptions.device}
            scheme={chosen.scheme}
            corner={corner}
            onDistance={onDistance}
            onDevice={onDevice}
            onScheme={onScheme}
          >
            {more}
          </StageControls>
          {isTried ? null : <Later>{props.cases}</Later>}
          {isTried ? null : (
            <Signposts
              moment={props.moment}
              transitions={props.transitions}
              onChoose={choose}
              onTransition={chooseAside}
              corner={corner}
            />
          )}
        </>
      )}
    </Stage>
  );
}
