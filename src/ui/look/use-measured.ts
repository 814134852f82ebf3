import { useEffect, useState } from 'react';
import type { Measured } from '../../core/boards/board';
import type { Design } from '../../core/model/design';
import type { Overview, PagePictures } from '../../core/wire/desk';

type MeasuredByWidget = Readonly<Record<string, Measured>>;

/** After the last change: measuring takes some tenths of a second, and nobody waits for it. */
const CALM_MS = 600;
const NOTHING: MeasuredByWidget = {};

/** What is measured of a draft for its loose boards; by and by, and only where the owner's page is known. */
export function useMeasured(
  design: Design | null,
  overview: Overview | null,
  known: PagePictures | null,
  siteKey: string,
): MeasuredByWidget {
  const [measured, setMeasured] = useState<MeasuredByWidget>(NOTHING);
  useEffect(() => {
    if (design === null || overview === null || known === null) return undefined;
    const stop = new AbortController();
    const measure = async (): Promise<void> => {
      const { isMeasurable, measureForBoards } = await import('./measure-boards');
      const found = isMeasurable(known)
        ? await measureForBoards(design, overview, known, (hash) => `/api/s/${siteKey}/uploads/${hash}`, stop.signal)
        : NOTHING;
      if (!stop.signal.aborted) setMeasured(found);
    };
    const later = setTimeout(() => void measure().catch(() => undefined), CALM_MS);
    return () => {
      clearTimeout(later);
      stop.abort();
    };
  }, [design, overview, known, siteKey]);
  return measured;
}
