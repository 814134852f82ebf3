'use client';

import { useCallback, useLayoutEffect, useRef } from 'react';

/** A deed that stays the same function while what it does follows the last drawing, so that what calls it is not drawn anew. */
export function useStable<Asked extends readonly unknown[], Given>(
  deed: (...asked: Asked) => Given,
): (...asked: Asked) => Given {
  const latest = useRef(deed);
  useLayoutEffect(() => {
    latest.current = deed;
  });
  return useCallback((...asked: Asked) => latest.current(...asked), []);
}
