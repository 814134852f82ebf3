'use client';

import { useMemo, useRef } from 'react';

export interface FirstText {
  /** Takes the first text of the stage, and the focus to it where that was asked for before the stage was there. */
  take(button: HTMLButtonElement | null): void;
  focus(): void;
  /** As soon as there is a stage. */
  focusSoon(): void;
}

/** The first text on the stage, to which Enter leads from the path. */
export function useFirstText(): FirstText {
  const button = useRef<HTMLButtonElement>(null);
  const isWanted = useRef(false);
  return useMemo(
    () => ({
      take: (next) => {
        button.current = next;
        if (next === null) return;
        if (isWanted.current) next.focus();
        isWanted.current = false;
      },
      focus: () => button.current?.focus(),
      focusSoon: () => {
        isWanted.current = true;
      },
    }),
    [],
  );
}
