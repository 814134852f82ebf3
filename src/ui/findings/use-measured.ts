import { useEffect, useRef, useState } from 'react';
import type { Measured } from '../../core/findings/finding';
import { hasBars } from '../../core/look/collisions';
import type { Design } from '../../core/model/design';
import type { Overview, PagePictures } from '../../core/wire/desk';

type MeasuredByWidget = Readonly<Record<string, Measured>>;

/** After the last change: measuring takes some tenths of a second, and nobody waits for it. */
const CALM_MS = 600;
const NOTHING: MeasuredByWidget = {};

/** What is measured of a draft for its findings; by and by, and only where the owner's page is known. */
export function useMeasured(
  design: Design | null,
  overview: Overview,
  known: PagePictures | null,
  siteKey: string,
): MeasuredByWidget {
  const [measured, setMeasured] = useState<MeasuredByWidget>(NOTHING);
  // Who is in moves no box.
  const latest = useRef(overview);
  latest.current = overview;
  useEffect(() => {
    if (design === null || known === null) return undefined;
    if (known.pictures.desktop === undefined && !hasBars(known.bars)) return setMeasured(NOTHING);
    const stop = new AbortController();
    const measure = async (): Promise<void> => {
      const { current } = latest;
      const { measureForFindings } = await import('./measure-findings'); // it brings the widget's own runtime
      const found = await measureForFindings(
        design,
        current,
        known,
        (hash) => `/api/s/${siteKey}/uploads/${hash}`,
        stop.signal,
      );
      if (!stop.signal.aborted) setMeasured(found);
    };
    // What cannot be measured is not told; the next change tries again.
    const later = setTimeout(() => void measure().catch(() => undefined), CALM_MS);
    return () => {
      clearTimeout(later);
      stop.abort();
    };
  }, [design, known, siteKey]);
  return measured;
}
