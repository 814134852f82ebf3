'use client';

import { useSearchParams } from 'next/navigation';
import { useCallback, useEffect, useMemo, useState } from 'react';
import type { Sight } from '../../../core/look/deficiency';
import type { TransitionId } from '../../../core/model/transition';
import type { DrawnMoment } from '../../../core/model/moment';
import { DRAWN_MOMENTS } from '../../../core/model/moment';
import type { Side } from '../inspector/Inspector';
import { LOOK_PARTS, type LookPart } from '../look/look-parts';
import type { BackdropKind } from '../stage/use-page-pictures';
import type { SaidKey, SeenTexts } from '../stage/StageTexts';

/** What is chosen on the path, and how the screen is set up around it. */
export interface ChosenPart {
  /** Null: the first moment card that this visitor can reach. */
  readonly moment: DrawnMoment | null;
  readonly aside: 'availability' | TransitionId | null;
  readonly side: Side;
  /** Null: as the moment asks for. */
  readonly distance: 'near' | 'whole' | null;
  readonly scheme: 'day' | 'evening';
  /** As whom the stage is seen; null: with all colours. */
  readonly sight: Sight | null;
  /** Parts of the look that lie open. */
  readonly lookParts: readonly LookPart[];
  /** What stands behind the widget; null: a picture of the page where there is one. */
  readonly backdrop: BackdropKind | null;
  /** The path as a whole (key P), instead of stage and inspector. */
  readonly isWhole: boolean;
  /** Its settings lie open beside it. */
  readonly isCardOpen: boolean;
  readonly isPhoneStageOpen: boolean;
  /** On narrow screens the inspector lies over the stage while it is asked for. */
  readonly isSheetOpen: boolean;
  /** The text that is being edited, on the stage or in the inspector. */
  readonly editing: SaidKey | null;
  /** What stands on the stage. */
  readonly seen: SeenTexts;
  /** The text whose cases are shown; null: the one the moment is known by. */
  readonly cased: SaidKey | null;
}

export interface ChosenActions {
  choose(moment: DrawnMoment): void;
  chooseAside(aside: 'availability' | TransitionId): void;
  /** Opens the editor of a text; null closes it. */
  edit(key: SaidKey | null): void;
  /** Keeps what stands on the stage. */
  see(seen: SeenTexts): void;
  set(part: Partial<ChosenPart>): void;
}

/** Begins with what the page's address names, and keeps the moment there: `moment` (a moment card or `availability`), `side`, `look` (a part of it), `path=whole`. */
export function useChosen(): readonly [ChosenPart, ChosenActions] {
  const params = useSearchParams();
  const look = LOOK_PARTS.find((one) => one === params.get('look'));
  const [chosen, setChosen] = useState<ChosenPart>(() => ({
    moment: DRAWN_MOMENTS.find((one) => one === params.get('moment')) ?? null,
    aside: params.get('moment') === 'availability' ? 'availability' : null,
    side: params.get('side') === 'look' || look !== undefined ? 'look' : 'moment',
    distance: null,
    scheme: 'day',
    sight: null,
    lookParts: look === undefined ? [] : [look],
    backdrop: null,
    isWhole: params.get('path') === 'whole',
    isCardOpen: false,
    isPhoneStageOpen: params.has('moment'),
    isSheetOpen: false,
    editing: null,
    cased: null,
    seen: NOTHING_SEEN,
  }));
  const set = useCallback((part: Partial<ChosenPart>) => setChosen((before) => ({ ...before, ...part })), []);
  const acts = useMemo(
    (): ChosenActions => ({
      set,
      choose: (moment) =>
        setChosen((before) => ({
          ...before,
          moment,
          aside: null,
          distance: null,
          side: 'moment',
          editing: null,
          cased: null,
          isPhoneStageOpen: true,
          isSheetOpen: false,
          isCardOpen: before.isCardOpen && before.aside === null,
        })),
      edit: (editing) => set(editing === null ? { editing } : { editing, cased: editing }),
      see: (seen) => set({ seen }),
      chooseAside: (aside) => set({ aside, side: 'moment', isCardOpen: true, isSheetOpen: true }),
    }),
    [set],
  );
  const named = chosen.aside === 'availability' ? 'availability' : chosen.moment;
  useEffect(() => {
    const now = new URLSearchParams(location.search);
    if (named === null || now.get('moment') === named) return;
    now.set('moment', named);
    history.replaceState(null, '', `?${now.toString()}`);
  }, [named]);
  return [chosen, acts];
}

const NOTHING_SEEN: SeenTexts = { keys: [], isReadable: true };
