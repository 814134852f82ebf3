import type { EpochMs } from '../model/units';

/** [L12] What a page goes by after an answer: one that was made before the one it has, on the way in some cache, is let go. */
export function newerOf<T extends { readonly madeAt: EpochMs }>(known: T | null, heard: T): T {
  return known !== null && heard.madeAt < known.madeAt ? known : heard;
}
