'use client';

import { type KeyboardEvent, type RefObject, useCallback, useLayoutEffect, useRef } from 'react';

/** What takes part: everything that can be chosen, but for what has keys of its own (an open editor, a list within the list). */
const STOPS = 'button:not([disabled]), a[href]';
const OWN_KEYS = '[data-own-keys]';

interface Roving<T extends HTMLElement> {
  readonly ref: RefObject<T | null>;
  readonly onKeyDown: (event: KeyboardEvent) => void;
  readonly onFocus: (event: { readonly target: EventTarget }) => void;
}

/**
 * One Tab stop for a group of buttons and links, arrow keys inside, Home and End to its ends: the pattern of toolbars. The
 * stop is whatever had the focus last, else what is current, else the first.
 */
export function useRoving<T extends HTMLElement>(): Roving<T> {
  const ref = useRef<T>(null);
  const last = useRef<HTMLElement | null>(null);
  const settle = useCallback(() => {
    const all = stopsIn(ref.current);
    const kept = last.current !== null && all.includes(last.current) ? last.current : null;
    const stop = kept ?? all.find(isCurrent) ?? all[0];
    for (const one of all) {
      const tabIndex = one === stop ? 0 : -1;
      if (one.tabIndex !== tabIndex) one.tabIndex = tabIndex;
    }
  }, []);
  // Its members come and go without the group being drawn anew.
  useLayoutEffect(() => {
    if (ref.current === null) return undefined;
    settle();
    const watched = new MutationObserver(settle);
    watched.observe(ref.current, {
      subtree: true,
      childList: true,
      attributeFilter: ['disabled', 'aria-current', 'aria-pressed', 'aria-selected'],
    });
    return () => watched.disconnect();
  }, [settle]);
  const onFocus = useCallback(
    ({ target }: { readonly target: EventTarget }) => {
      if (!(target instanceof HTMLElement) || !stopsIn(ref.current).includes(target)) return;
      last.current = target;
      settle();
    },
    [settle],
  );
  const onKeyDown = useCallback((event: KeyboardEvent) => {
    const all = stopsIn(ref.current);
    const at = all.findIndex((one) => one === event.target);
    const isMirrored = getComputedStyle(event.currentTarget).direction === 'rtl';
    const next = nextOf(event.key, at, all.length, isMirrored);
    if (at < 0 || next === null) return;
    event.preventDefault();
    all[next]?.focus();
  }, []);
  return { ref, onKeyDown, onFocus };
}

function stopsIn(group: HTMLElement | null): HTMLElement[] {
  return [...(group?.querySelectorAll<HTMLElement>(STOPS) ?? [])].filter(
    (one) => one.closest(OWN_KEYS) === null || group?.closest(OWN_KEYS) === one.closest(OWN_KEYS),
  );
}

function isCurrent(one: HTMLElement): boolean {
  return ['aria-current', 'aria-pressed', 'aria-selected'].some((name) => one.getAttribute(name) === 'true');
}

/** Where a key leads from the `at`th of so many; null: it is no such key. */
function nextOf(key: string, at: number, count: number, isMirrored: boolean): number | null {
  const [forth, back] = isMirrored ? ['ArrowLeft', 'ArrowRight'] : ['ArrowRight', 'ArrowLeft'];
  if (key === forth || key === 'ArrowDown') return (at + 1) % count;
  if (key === back || key === 'ArrowUp') return (at + count - 1) % count;
  if (key === 'Home') return 0;
  return key === 'End' ? count - 1 : null;
}
