'use client';

import { pageShowing } from '../../../core/rehearse/page-showing';
import type { DrawnMoment } from '../../../core/model/moment';
import type { ReasonLink } from '../../wording/because';
import { openPart } from '../circumstances/circumstance-parts';
import { useDesign } from './DesignContext';

/** Where one can go on the Design screen. */
export interface DesignActions {
  toStage(): void;
  /** To a moment on the stage, from wherever one is. */
  toMoment(moment: DrawnMoment): void;
  /** To a page that shows a widget, by its key. */
  lookAt(key: string): void;
  /** To the setting that a reason names. */
  follow(link: ReasonLink): void;
}

export function useDesignActions(): DesignActions {
  const { design, rehearsed, assumptions, assume, overview, acts, setBecauseOpen } = useDesign();
  const toStage = (): void => acts.set({ isWhole: false, isCardOpen: false });
  const lookAt = (key: string): void => {
    const wanted = design.widgets.find((one) => one.key === key);
    const page = wanted === undefined ? null : pageShowing(rehearsed.site, wanted, assumptions, overview.now);
    if (page !== null) assume({ page });
  };
  return {
    toStage,
    lookAt,
    toMoment: (moment) => {
      acts.choose(moment);
      toStage();
    },
    follow: (link) => {
      setBecauseOpen(false);
      if (link.to === 'that-widget') lookAt(link.key);
      else if (link.to === 'availability') acts.chooseAside('availability');
      else if (link.to === 'invitation') {
        acts.choose('invited');
        acts.chooseAside('invitation-shown');
      } else openPart(link.to);
    },
  };
}
