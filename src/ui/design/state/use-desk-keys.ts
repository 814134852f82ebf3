'use client';

import { useEffect } from 'react';
import { tinykeys } from 'tinykeys';
import { isTyping } from '../../frame/SiteFrame';
import { useStable } from '../../parts/use-stable';

export interface DeskKeys {
  undo(): void;
  redo(): void;
  /** All reasons. */
  because(): void;
  /** To the whole path, and back. */
  whole(): void;
  /** The situation before (−1) or the next one (1). */
  flip(by: number): void;
  /** To a visit that is tried, and back. */
  tryIt(): void;
}

/** The keys of the Design screen; whoever is typing keeps theirs. */
export function useDeskKeys(keys: DeskKeys): void {
  // By what is seen: an effect comes later than the drawing, and a key between the two would do what the one before meant.
  const press = useStable((name: keyof DeskKeys, by: number) => keys[name](by));
  useEffect(
    () =>
      tinykeys(window, {
        '$mod+z': guarded(() => press('undo', 0)),
        '$mod+Shift+Z': guarded(() => press('redo', 0)),
        b: guarded(() => press('because', 0)),
        p: guarded(() => press('whole', 0)),
        t: guarded(() => press('tryIt', 0)),
        '[': guarded(() => press('flip', -1)),
        ']': guarded(() => press('flip', 1)),
      }),
    [press],
  );
}

function guarded(act: () => void): (event: KeyboardEvent) => void {
  return (event) => {
    if (isTyping(event)) return;
    event.preventDefault();
    act();
  };
}
