import { decide } from '../decide/decide';
import type { Widget } from '../model/design';
import type { EpochMs } from '../model/units';
import type { PublishedSite } from '../wire/published-site';
import { type Assumptions, assumedVisitor } from './assumptions';

/**
 * A page on which a widget is the one that shows, for the stage to go to; null: none was found. Its own rules are
 * tried, and then the front page.
 */
export function pageShowing(
  site: PublishedSite,
  widget: Widget,
  assumptions: Assumptions,
  now: EpochMs,
): string | null {
  const tried = [
    assumptions.page,
    ...widget.pages.showOn.flatMap(({ kind, part, text }) =>
      part === 'path' ? [exampleOf(kind, text)] : [],
    ),
    '/',
  ];
  const shows = (page: string): boolean =>
    decide(site, assumedVisitor({ ...assumptions, page }, now)).widget === widget.key;
  return tried.find(shows) ?? null;
}

/** A path that a rule is likely to take. */
function exampleOf(kind: Widget['pages']['showOn'][number]['kind'], text: string): string {
  if (kind === 'wildcard') return text.replace(/\/\*\*$/, '/page').replace(/\*+/g, 'page');
  if (kind === 'expression') return text.replace(/\([^()]*\)[?*]/g, '').replace(/[\^$\\]/g, '');
  return text.startsWith('/') ? text : `/${text}`;
}
