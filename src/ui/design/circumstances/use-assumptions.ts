'use client';

import { DEVICES } from '../../../core/model/device';
import { useSearchParams } from 'next/navigation';
import { useCallback, useEffect, useState } from 'react';
import type { Design } from '../../../core/model/design';
import { TEAM_STATES } from '../../../core/model/moment';
import type { Assumptions } from '../../../core/rehearse/assumptions';

/** Reads what is assumed from the page's address; what cannot be read is as it is now. */
export function readSupposed(
  params: URLSearchParams,
  { locales, defaultLocale, widgets }: Design,
): Assumptions {
  const at = Date.parse(params.get('at') ?? '');
  return {
    page: params.get('on') ?? '/',
    at: Number.isFinite(at) ? at : null,
    visit: params.get('visit') === 'returning' ? 'returning' : 'first',
    device: DEVICES.find((one) => one === params.get('device')) ?? 'desktop',
    locale: locales.find((one) => one === params.get('locale')) ?? defaultLocale,
    who: TEAM_STATES.find((one) => one === params.get('with')) ?? null,
    asks: widgets.flatMap(({ teams }) => teams).find((id) => id === params.get('asks')) ?? null,
    zone: zoneNamed(params.get('zone')),
  };
}

function zoneNamed(name: string | null): string | null {
  return name !== null && Intl.supportedValuesOf('timeZone').includes(name) ? name : null;
}

/** The same as it stands in the address, so that it can be sent to a colleague; what is as it is now is left out. */
export function writeAssumptions(
  params: URLSearchParams,
  { page, at, visit, device, locale, who, asks, zone }: Assumptions,
  { defaultLocale }: Design,
): URLSearchParams {
  const next = new URLSearchParams(params);
  const set = (name: string, value: string | null): void =>
    value === null ? next.delete(name) : next.set(name, value);
  set('on', page === '/' ? null : page);
  set('at', at === null ? null : new Date(at).toISOString().replace(/\.000Z$/, 'Z'));
  set('visit', visit === 'first' ? null : visit);
  set('device', device === 'desktop' ? null : device);
  set('locale', locale === defaultLocale ? null : locale);
  set('with', who);
  set('asks', asks);
  set('zone', zone);
  return next;
}

/** What the stage assumes, kept in the page's address. */
export function useAssumptions(
  design: Design,
): readonly [Assumptions, (change: Partial<Assumptions>) => void] {
  const params = useSearchParams();
  const [assumptions, setAssumptions] = useState<Assumptions>(() =>
    readSupposed(new URLSearchParams(params), design),
  );
  const change = useCallback(
    (part: Partial<Assumptions>) => setAssumptions((before) => ({ ...before, ...part })),
    [],
  );
  useEffect(() => {
    const now = new URLSearchParams(location.search);
    const next = writeAssumptions(now, assumptions, design).toString();
    if (next !== now.toString()) history.replaceState(null, '', next === '' ? location.pathname : `?${next}`);
  }, [assumptions, design]);
  return [assumptions, change];
}
