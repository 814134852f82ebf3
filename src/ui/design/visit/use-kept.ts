'use client';

import { useCallback, useDeferredValue, useEffect, useMemo, useState } from 'react';
import type { Design } from '../../../core/model/design';
import { type CheckResult, type KeptVisit, checkVisit } from '../../../core/rehearse/kept-visit';
import { draftSite } from '../state/draft-site';
import { useSite } from '../../frame/SiteContext';
import { useConnection, usePort } from '../../frame/Connection';
import { designPort } from '../port';

/** A kept visit, and what it comes to with the draft as it stands. */
export interface CheckedVisit {
  readonly visit: KeptVisit;
  /** Null: the draft cannot be drawn in its language. */
  readonly result: CheckResult | null;
}

export interface Kept {
  readonly all: readonly CheckedVisit[];
  keep(visit: KeptVisit): Promise<void>;
  remove(id: string): Promise<void>;
}

/** The visits that are kept as checks, walked anew whenever the draft changes; a little after the stage has followed. */
export function useKept(design: Design): Kept {
  const { overview } = useSite();
  const { notice } = useConnection();
  const port = usePort(designPort);
  const [visits, setVisits] = useState<readonly KeptVisit[]>([]);
  useEffect(() => {
    port.getKeptVisits().then(setVisits, notice);
  }, [port, notice]);
  const late = useDeferredValue(design);
  const { teams, facts } = overview;
  const all = useMemo(
    () =>
      visits.map((visit): CheckedVisit => {
        // Overrides are of this hour, and a kept visit has a time of its own.
        const made = draftSite(late, visit.assumptions.locale, { teams, facts, overrides: {} });
        return { visit, result: made.ok ? checkVisit(made.value, visit) : null };
      }),
    [visits, late, teams, facts],
  );
  return {
    all,
    keep: useCallback(async (visit: KeptVisit) => setVisits(await port.keepVisit(visit)), [port]),
    remove: useCallback(
      async (id: string) => {
        await port.removeVisit(id);
        setVisits((before) => before.filter((one) => one.id !== id));
      },
      [port],
    ),
  };
}
