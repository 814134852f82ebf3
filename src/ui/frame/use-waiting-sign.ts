'use client';

import { useEffect } from 'react';
import { iconWith, titleWith } from './waiting-sign';

/** How many wait stands on the browser's tab, in its title and on its mark, whichever screen is open: one works in another tab. */
export function useWaitingSign(waiting: number): void {
  useEffect(() => {
    const mark = (count = waiting): void => {
      const title = titleWith(document.title, count);
      if (document.title !== title) document.title = title;
      const icon = document.querySelector<HTMLLinkElement>('link[rel="icon"]');
      if (icon === null) return;
      icon.dataset.own ??= icon.href;
      const href = count === 0 ? icon.dataset.own : iconWith(count);
      if (icon.href !== href) icon.href = href;
    };
    mark();
    // Each screen sets a title of its own; the number goes before that, too.
    const watch = new MutationObserver(() => mark());
    watch.observe(document.head, { childList: true, characterData: true, subtree: true });
    return () => {
      watch.disconnect();
      mark(0); // whoever signs out leaves no number behind
    };
  }, [waiting]);
}
