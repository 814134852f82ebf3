import { useEffect, useState } from 'react';
import { type Covering, MEASURED_SCREENS, coveringsOn, hasBars } from '../../../core/look/collisions';
import type { BarsByDevice } from '../../../core/model/page-bars';
import type { Circumstances } from '../../../core/model/circumstances';
import type { PublishedSite } from '../../../core/wire/published-site';
import { measureParts } from './measure-parts';

/** After the last change: it takes some hundredths of a second, and nobody waits for it. */
const CALM_MS = 250;
const NONE: readonly Covering[] = [];

/** What of a widget lies over the bars of the owner's page, on every screen that is looked at; measured where bars are marked. */
export function useCoverings(
  site: PublishedSite,
  base: Circumstances,
  widget: string,
  bars: BarsByDevice,
): readonly Covering[] {
  const [found, setFound] = useState<readonly Covering[]>(NONE);
  const isMarked = hasBars(bars);
  useEffect(() => {
    if (!isMarked) return;
    const later = setTimeout(
      () =>
        setFound(
          MEASURED_SCREENS.flatMap((screen) =>
            coveringsOn(screen, measureParts(site, base, widget, screen), bars),
          ),
        ),
      CALM_MS,
    );
    return () => clearTimeout(later);
  }, [isMarked, site, base, widget, bars]);
  return isMarked ? found : NONE;
}
