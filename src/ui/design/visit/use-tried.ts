'use client';

import { useSearchParams } from 'next/navigation';
import { useCallback, useEffect, useMemo, useState } from 'react';
import type { Circumstances } from '../../../core/model/circumstances';
import { decide } from '../../../core/decide/decide';
import { launcherHere } from '../../../core/rehearse/launcher-here';
import { type PreviewState, entriesAt } from '../../../core/rehearse/preview-at';
import {
  type NextThing,
  TRIED_STEPS_MAX,
  type TriedStep,
  nextThing,
  readSteps,
  tryVisit,
  writeSteps,
} from '../../../core/rehearse/try-visit';
import type { VisitSimulation } from '../../../core/rehearse/visit';
import type { PublishedSite } from '../../../core/wire/published-site';

/** A visit that is being tried: its steps, and how it went so far. */
export interface Tried {
  readonly steps: readonly TriedStep[];
  readonly simulations: readonly VisitSimulation[];
  readonly last: VisitSimulation;
  readonly previewState: PreviewState;
  /** What time alone brings next; null: nothing within a day. */
  readonly next: NextThing | null;
  /** Takes a step more; nothing where there are as many as a visit may have. */
  go(step: TriedStep): void;
  /** Takes the last step back. */
  back(): void;
  anew(): void;
  set(steps: readonly TriedStep[]): void;
}

export interface TryActions {
  begin(): void;
  stop(): void;
}

/** Null while none is tried. Its steps stand in the page's address (`?try=…`), so that it can be sent. */
export function useTried(
  site: PublishedSite | null,
  base: Circumstances | null,
): readonly [Tried | null, TryActions] {
  const asked = useSearchParams().get('try');
  const [steps, setSteps] = useState<readonly TriedStep[] | null>(() =>
    asked === null ? null : readSteps(asked),
  );
  useEffect(() => {
    const params = new URLSearchParams(location.search);
    const before = params.toString();
    if (steps === null) params.delete('try');
    else params.set('try', writeSteps(steps));
    const next = params.toString();
    if (next !== before) history.replaceState(null, '', next === '' ? location.pathname : `?${next}`);
  }, [steps]);
  const simulations = useMemo(
    () => (steps === null || site === null || base === null ? null : tryVisit(site, base, steps)),
    [steps, site, base],
  );
  const go = useCallback(
    (step: TriedStep) => setSteps((before) => [...(before ?? []), step].slice(0, TRIED_STEPS_MAX)),
    [],
  );
  const back = useCallback(() => setSteps((before) => (before ?? []).slice(0, -1)), []);
  const anew = useCallback(() => setSteps([]), []);
  const acts = useMemo(() => ({ begin: anew, stop: () => setSteps(null) }), [anew]);
  const tried = useMemo((): Tried | null => {
    const last = simulations?.at(-1);
    if (steps === null || simulations === null || last === undefined) return null;
    const { circumstances } = last;
    const { moment } = decide(last.site, circumstances);
    const entries =
      circumstances.conversation === null ? [] : entriesAt(last.site, moment, circumstances.now);
    return {
      steps,
      simulations,
      last,
      previewState: {
        site: last.site,
        circumstances,
        entries,
        needs: null,
        hasNoLauncher: launcherHere(last).kind !== 'there',
      },
      next: nextThing(last),
      go,
      back,
      anew,
      set: setSteps,
    };
  }, [steps, simulations, go, back, anew]);
  return [tried, acts];
}
