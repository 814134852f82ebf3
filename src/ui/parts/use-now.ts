'use client';

import { useEffect, useState } from 'react';
import type { EpochMs } from '../../core/model/units';

/** The server's clock, as it goes on from when it was last heard: a figure that depends on it moves while one looks. */
export function useNow(heard: EpochMs, everyMs: number): EpochMs {
  const [now, setNow] = useState(heard);
  useEffect(() => {
    const [from, begun] = [heard, performance.now()];
    const tick = (): void => setNow(Math.round(from + performance.now() - begun));
    const timer = setInterval(tick, everyMs);
    tick();
    return () => clearInterval(timer);
  }, [heard, everyMs]);
  return now;
}
