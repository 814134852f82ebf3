'use client';

import { useSearchParams } from 'next/navigation';
import { useEffect, useRef } from 'react';
import type { Design } from '../../core/model/design';
import { pageShowing } from '../../core/rehearse/page-showing';
import type { Supposed } from '../../core/rehearse/suppose';
import type { Rehearsed } from './use-rehearsed';

/** An address that names a widget (`?widget=…`) leads to a page that shows it, once, when the screen opens. */
export function useAskedWidget(
  { widgets }: Design,
  rehearsed: Rehearsed | string,
  supposed: Supposed,
  suppose: (part: Partial<Supposed>) => void,
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
        : pageShowing(rehearsed.site, wanted, supposed, rehearsed.base.now);
    if (page !== null) suppose({ page });
  }, [asked, widgets, rehearsed, supposed, suppose]);
}
