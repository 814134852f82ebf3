'use client';

import { useEffect } from 'react';
import { tinykeys } from 'tinykeys';
import { isTyping } from '../frame/SiteFrame';

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
export function useDeskKeys({ undo, redo, because, whole, flip, tryIt }: DeskKeys): void {
  useEffect(
    () =>
      tinykeys(window, {
        '$mod+z': guarded(undo),
        '$mod+Shift+Z': guarded(redo),
        b: guarded(because),
        p: guarded(whole),
        t: guarded(tryIt),
        '[': guarded(() => flip(-1)),
        ']': guarded(() => flip(1)),
      }),
    [undo, redo, because, whole, flip, tryIt],
  );
}

function guarded(act: () => void): (event: KeyboardEvent) => void {
  return (event) => {
    if (isTyping(event)) return;
    event.preventDefault();
    act();
  };
}
