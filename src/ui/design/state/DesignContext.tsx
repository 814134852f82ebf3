'use client';

import { type ReactNode, createContext, useContext } from 'react';
import type { Finding } from '../../../core/findings/finding';
import type { Design } from '../../../core/model/design';
import type { Assumptions } from '../../../core/rehearse/assumptions';
import type { Overview } from '../../../core/wire/desk';
import type { Situations } from '../circumstances/use-situations';
import type { DesignEdits } from '../draft/design-edits';
import type { DraftSaver, DraftState } from '../draft/draft-saver';
import type { Publishing } from '../draft/use-publishing';
import type { FirstText } from '../stage/use-first-text';
import type { Backdrop, PagePictureActions } from '../stage/use-page-pictures';
import type { TryActions, Tried } from '../visit/use-tried';
import type { Shown } from './shown';
import type { ChosenActions, ChosenPart } from './use-chosen';
import type { Rehearsed } from './use-rehearsed';

/** Everything stands below one another, the inspector is asked for from the stage, or all of it stands side by side. */
export type ScreenForm = 'phone' | 'narrow' | 'wide';

/** One draft for one visitor in assumed circumstances: all that the parts of the Design screen draw, and what they change. */
export interface DesignShared {
  readonly form: ScreenForm;
  readonly saver: DraftSaver;
  readonly draft: DraftState;
  readonly design: Design;
  readonly edits: DesignEdits;
  readonly overview: Overview;
  readonly assumptions: Assumptions;
  assume(part: Partial<Assumptions>): void;
  readonly situations: Situations;
  readonly rehearsed: Rehearsed;
  readonly chosen: ChosenPart;
  readonly acts: ChosenActions;
  /** The moment that is shown, and what stands there. */
  readonly shown: Shown;
  /** Null: no visit is being tried. */
  readonly tried: Tried | null;
  readonly trying: TryActions;
  readonly backdrop: Backdrop;
  readonly pictures: PagePictureActions;
  /** Of this draft; none of a version that is only looked at. */
  readonly findings: readonly Finding[];
  readonly publishing: Publishing;
  readonly firstText: FirstText;
  readonly isBecauseOpen: boolean;
  setBecauseOpen(isOpen: boolean): void;
}

const Context = createContext<DesignShared | null>(null);

/** For the parts that the screen is made of; what is drawn often below them takes props. */
export function useDesign(): DesignShared {
  const shared = useContext(Context);
  if (shared === null) throw new Error('useDesign was called outside of the Design screen.');
  return shared;
}

export function DesignProvider({ shared, children }: { shared: DesignShared; children: ReactNode }) {
  return <Context value={shared}>{children}</Context>;
}
