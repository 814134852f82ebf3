'use client';

import { useCallback, useEffect, useMemo, useState } from 'react';
import {
  type KeptSituation,
  type Situation,
  type Assumptions,
  isSameAssumptions,
} from '../../../core/rehearse/assumptions';
import { newClientId } from '../../parts/new-client-id';
import { SITUATION_WORDS } from '../../wording/situations';
import { useConnection, usePort } from '../../frame/Connection';
import { designPort } from '../port';

/** A situation as it is flipped through: worked out, or kept. */
export interface NamedSituation {
  readonly name: string;
  readonly assumptions: Assumptions;
  /** Null: worked out. */
  readonly keptId: string | null;
}

export interface Situations {
  readonly all: readonly NamedSituation[];
  /** Which of them is assumed; -1: none. */
  readonly at: number;
  keep(name: string): Promise<void>;
  remove(id: string): Promise<void>;
  /** To the one before (−1) or the next one (1). */
  flip(by: number): void;
}

/** The situations of the site, those that are worked out first, then one's own. */
export function useSituations(
  computed: readonly Situation[],
  assumptions: Assumptions,
  assume: (assumptions: Assumptions) => void,
): Situations {
  const { notice } = useConnection();
  const port = usePort(designPort);
  const [kept, setKept] = useState<readonly KeptSituation[]>([]);
  useEffect(() => {
    port.getSituations().then(setKept, notice);
  }, [port, notice]);
  const all = useMemo(
    (): NamedSituation[] => [
      ...computed.map((one) => ({
        name: SITUATION_WORDS[one.code],
        assumptions: one.assumptions,
        keptId: null,
      })),
      ...kept.map((one) => ({ name: one.name, assumptions: one.assumptions, keptId: one.id })),
    ],
    [computed, kept],
  );
  const at = useMemo(
    () => all.findIndex((one) => isSameAssumptions(one.assumptions, assumptions)),
    [all, assumptions],
  );
  const flip = useCallback(
    (by: number): void => {
      const from = at < 0 && by < 0 ? all.length : at;
      const next = all[(from + by + all.length) % all.length];
      if (next !== undefined) assume(next.assumptions);
    },
    [all, at, assume],
  );
  const keep = useCallback(
    async (name: string) => setKept(await port.keepSituation({ id: newClientId(), name, assumptions })),
    [port, assumptions],
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
