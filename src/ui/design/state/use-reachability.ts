'use client';

import { useEffect, useMemo, useRef, useState } from 'react';
import type { Circumstances } from '../../../core/model/circumstances';
import type { PublishedSite } from '../../../core/wire/published-site';
import type { ReachabilityResult } from '../../../core/rehearse/reachability-of';
import type { ReachabilityAsked, ReachabilityFound } from '../../../core/rehearse/protocol';
import { startReachabilityWorker } from './start-reachability-worker';

export interface Searched {
  readonly reachability: ReachabilityResult | null;
  /** Nothing more is to be waited for in these circumstances: it is found, or the search failed. */
  readonly isOver: boolean;
}

/**
 * How near each moment is, worked out in a worker after the stage has followed: the search takes a tenth of a second
 * where there are many invitations. Words alone lead nowhere else, so that typing never begins it anew.
 */
export function useReachability(site: PublishedSite | null, base: Circumstances): Searched {
  const structure = useMemo(() => (site === null ? '' : structureOf(site)), [site]);
  const [kept, setKept] = useState({ structure, site });
  if (kept.structure !== structure) setKept({ structure, site });
  const [reachability, setReachability] = useState<ReachabilityResult | null>(null);
  const [failedAt, setFailedAt] = useState<Circumstances | null>(null);
  const worker = useRef<Worker | null>(null);
  const turn = useRef(0);
  useEffect(() => {
    const made = startReachabilityWorker();
    worker.current = made;
    return () => {
      worker.current = null;
      made.terminate();
    };
  }, []);
  useEffect(() => {
    const asked = ++turn.current;
    if (worker.current === null || kept.site === null) return;
    worker.current.onmessage = ({ data }: MessageEvent<ReachabilityFound>) => {
      // What comes back is a copy: the circumstances that were asked about are these.
      if (data.turn === turn.current) setReachability({ ...data.reachability, base });
    };
    worker.current.onerror = () => setFailedAt(base);
    worker.current.postMessage({ turn: asked, site: kept.site, base } satisfies ReachabilityAsked);
  }, [kept.site, base]);
  return { reachability, isOver: reachability?.base === base || failedAt === base };
}

function structureOf({ design, facts, pointer }: PublishedSite): string {
  const widgets = design.widgets.map((widget) => ({ ...widget, words: null, palette: null }));
  return JSON.stringify([widgets, design.limits, facts.revision, pointer.teams, pointer.overrides]);
}
