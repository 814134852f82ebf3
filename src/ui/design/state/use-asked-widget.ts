'use client';

import { useSearchParams } from 'next/navigation';
import { useEffect, useRef } from 'react';
import type { Design } from '../../../core/model/design';
import { pageShowing } from '../../../core/rehearse/page-showing';
import type { Assumptions } from '../../../core/rehearse/assumptions';
import type { Rehearsed } from './use-rehearsed';

/** An address that names a widget (`?widget=…`) leads to a page that shows it, once, when the screen opens. */
export function useAskedWidget(
  { widgets }: Design,
  rehearsed: Rehearsed | string,
  assumptions: Assumptions,
  assume: (part: Partial<Assumptions>) => void,
): void {
  const asked = useSearchParams().get('widget');
  const isDone = useRef(false);
  useEffect(() => {
    if (isDone.current || asked === null || typeof rehearsed === 'string') return;
    isDone.current = true;
    const wanted = widgets.find(({ key }) => key === asked);
    const page =
      wanted === undefined || rehearsed.shown === asked
        ? null
        : pageShowing(rehearsed.site, wanted, assumptions, rehearsed.base.now);
    if (page !== null) assume({ page });
  }, [asked, widgets, rehearsed, assumptions, assume]);
}
