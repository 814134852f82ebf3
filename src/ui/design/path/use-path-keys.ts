'use client';

import { type KeyboardEvent, type RefObject, useCallback } from 'react';
import type { DrawnMoment } from '../../../core/model/moment';
import { neighbourOf } from './path-layout';

interface PathKeys {
  readonly box: RefObject<HTMLElement | null>;
  readonly chosen: DrawnMoment;
  readonly onChoose: (moment: DrawnMoment) => void;
  readonly onEnter: () => void;
}

/** Arrows lead along a lane and between lanes, and take the focus along; Enter leads to the stage. */
export function usePathKeys({ box, chosen, onChoose, onEnter }: PathKeys): (event: KeyboardEvent) => void {
  return useCallback(
    (event) => {
      if (event.key === 'Enter') {
        event.preventDefault();
        return onEnter();
      }
      const next = neighbourOf(chosen, event.key);
      if (next === null) return;
      event.preventDefault();
      onChoose(next);
      box.current?.querySelector<HTMLElement>(`[data-moment-card="${next}"]`)?.focus();
    },
    [box, chosen, onChoose, onEnter],
  );
}
