import type { Measured } from '../../core/boards/board';
import { type BarsByDevice, SCREENS, coveringsOn } from '../../core/look/collisions';
import type { Design } from '../../core/model/design';
import { arrivingAt } from '../../core/rehearse/arriving';
import type { Overview, PagePictures } from '../../core/wire/desk';
import { draftSite } from '../design/draft-site';
import { measureParts } from './measure-parts';
import { pageBoxes, pageColours } from './use-page-colours';

/** What can be measured at all: bars that are marked, or a picture of the page on larger screens. */
export function isMeasurable({ pictures, bars }: PagePictures): boolean {
  return pictures.desktop !== undefined || hasBars(bars);
}

const hasBars = ({ desktop, phone }: BarsByDevice): boolean => [desktop, phone].some(({ upper, lower }) => upper > 0 || lower > 0);

/** Measures every widget of a draft on the owner's page: what it is told from there, and what it lies over. */
export async function measureForBoards(
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
    const onPage = desktop === undefined ? null : await pageColours(addressOf(desktop.hash), pageBoxes(widget), signal).catch(() => null);
    if (signal.aborted) break;
    const site = made?.ok === true ? made.value : null;
    const coverings =
      site === null ? [] : SCREENS.flatMap((screen) => coveringsOn(screen, measureParts(site, base, widget.key, screen), known.bars));
    found[widget.id] = { onPage, coverings };
  }
  return found;
}
