'use client';

import { useCallback, useEffect, useMemo, useState } from 'react';
import {
  type KeptSituation,
  type Situation,
  type Supposed,
  isSameSupposed,
} from '../../core/rehearse/suppose';
import { useSite } from '../frame/SiteContext';
import { newClientId } from '../frame/new-client-id';
import { SITUATION_WORDS } from '../wording/situations';

/** A situation as it is flipped through: worked out, or kept. */
export interface NamedSituation {
  readonly name: string;
  readonly supposed: Supposed;
  /** Null: worked out. */
  readonly keptId: string | null;
}

export interface Situations {
  readonly all: readonly NamedSituation[];
  /** Which of them is supposed; -1: none. */
  readonly at: number;
  keep(name: string): Promise<void>;
  remove(id: string): Promise<void>;
  /** To the one before (−1) or the next one (1). */
  flip(by: number): void;
}

/** The situations of the site, those that are worked out first, then one's own. */
export function useSituations(
  computed: readonly Situation[],
  supposed: Supposed,
  suppose: (supposed: Supposed) => void,
): Situations {
  const { port, notice } = useSite();
  const [kept, setKept] = useState<readonly KeptSituation[]>([]);
  useEffect(() => {
    port.getSituations().then(setKept, notice);
  }, [port, notice]);
  const all = useMemo(
    (): NamedSituation[] => [
      ...computed.map((one) => ({ name: SITUATION_WORDS[one.code], supposed: one.supposed, keptId: null })),
      ...kept.map((one) => ({ name: one.name, supposed: one.supposed, keptId: one.id })),
    ],
    [computed, kept],
  );
  const at = useMemo(() => all.findIndex((one) => isSameSupposed(one.supposed, supposed)), [all, supposed]);
  const flip = useCallback(
    (by: number): void => {
      const from = at < 0 && by < 0 ? all.length : at;
      const next = all[(from + by + all.length) % all.length];
      if (next !== undefined) suppose(next.supposed);
    },
    [all, at, suppose],
  );
  const keep = useCallback(
    async (name: string) => setKept(await port.keepSituation({ id: newClientId(), name, supposed })),
    [port, supposed],
  );
  const remove = useCallback(
    async (id: string) => {
      await port.removeSituation(id);
      setKept((before) => before.filter((one) => one.id !== id));
    },
    [port],
  );
  return useMemo(() => ({ all, at, keep, remove, flip }), [all, at, keep, remove, flip]);
}
