'use client';

import { useCallback, useLayoutEffect, useRef, useState } from 'react';

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

/** Plain data that says the same as before stays the same object, so that what shows it is not drawn anew. */
export function useSame<T>(value: T): T {
  const [kept, setKept] = useState({ value, text: '' });
  if (kept.value === value) return value;
  const text = JSON.stringify(value);
  if (text === kept.text) return kept.value;
  setKept({ value, text });
  return value;
}

/** For what is read from the browser once: it does not change while the page is open, or not so that it must be drawn anew. */
export const never = (): (() => void) => () => undefined;
