'use client';

import { useDeferredValue, useMemo, useState } from 'react';
import type { Circumstances } from '../../core/model/circumstances';
import type { PublishedSite } from '../../core/wire/published-site';
import { type Near, nearOf } from './stones';

/**
 * How near each moment is, worked out after the stage has followed: the search takes a tenth of a second where there are
 * many invitations. Words alone lead nowhere else, so that typing never begins it anew.
 */
export function useNear(site: PublishedSite | null, base: Circumstances): Near | null {
  const structure = useMemo(() => (site === null ? '' : structureOf(site)), [site]);
  const [kept, setKept] = useState({ structure, site });
  if (kept.structure !== structure) setKept({ structure, site });
  const [late, visitor] = [useDeferredValue(kept.site), useDeferredValue(base)];
  return useMemo(() => (late === null ? null : nearOf(late, visitor)), [late, visitor]);
}

function structureOf({ design, facts, pointer }: PublishedSite): string {
  const widgets = design.widgets.map((widget) => ({ ...widget, words: null, palette: null }));
  return JSON.stringify([widgets, design.limits, facts.revision, pointer.teams, pointer.overrides]);
}
