'use client';

import { useCallback, useLayoutEffect, useRef } from 'react';

/** A function that stays the same while what it does follows the last drawing, so that what calls it is not drawn anew. */
export function useStable<Asked extends readonly unknown[], Given>(
  behaviour: (...asked: Asked) => Given,
): (...asked: Asked) => Given {
  const latest = useRef(behaviour);
  useLayoutEffect(() => {
    latest.current = behaviour;
  });
  return useCallback((...asked: Asked) => latest.current(...asked), []);
}
