import type { Measured } from '../../core/findings/finding';
import { MEASURED_SCREENS, coveringsOn, hasBars } from '../../core/look/collisions';
import type { Design } from '../../core/model/design';
import { arrivingAt } from '../../core/rehearse/arriving';
import type { Overview, PagePictures } from '../../core/wire/desk';
import { draftSite } from '../design/state/draft-site';
import { measureParts } from '../design/look/measure-parts';
import { pageBoxes, pageColours } from '../design/look/use-page-colours';

/** Measures every widget of a draft on the owner's page: what it is told from there, and what it lies over. */
export async function measureForFindings(
  design: Design,
  overview: Overview,
  known: PagePictures,
  addressOf: (hash: string) => string,
  signal: AbortSignal,
): Promise<Readonly<Record<string, Measured>>> {
  const made = hasBars(known.bars) ? draftSite(design, design.defaultLocale, overview) : null;
  const base = arrivingAt(known.siteAddress ?? 'https://your-site.example/', overview.now);
  const { desktop } = known.pictures;
  const found: Record<string, Measured> = {};
  for (const widget of design.widgets) {
    const onPage =
      desktop === undefined
        ? null
        : await pageColours(addressOf(desktop.hash), pageBoxes(widget)).catch(() => null); // a picture that cannot be read: nothing is told of it
    if (signal.aborted) break;
    const site = made?.ok === true ? made.value : null;
    const coverings =
      site === null
        ? []
        : MEASURED_SCREENS.flatMap((screen) =>
            coveringsOn(screen, measureParts(site, base, widget.key, screen), known.bars),
          );
    found[widget.id] = { onPage, coverings };
  }
  return found;
}
