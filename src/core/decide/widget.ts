import { compileSite } from './compile-site';
import type { WidgetChoice } from '../context/decision-context';
import { isRunning } from '../model/circumstances';
import { isKnown } from '../invitations/known';
import type { Circumstances } from '../model/circumstances';
import type { WireWidget } from '../wire/design-file';
import type { PublishedSite } from '../wire/published-site';
import type { PageFacts } from '../pages/page-facts';
import { IS_NOT } from '../wire/condition';

export interface ChosenWidget {
  readonly widget: WireWidget | null;
  readonly by: WidgetChoice;
}

/**
 * [P14] Which widget shows: the forced one, else the first in order that takes the page and whose audience this is
 * ([P15]). A running conversation keeps its own ([M8]).
 */
export function chooseWidget(
  site: PublishedSite,
  circumstances: Circumstances,
  page: PageFacts,
): ChosenWidget {
  const { widget: byKey } = compileSite(site);
  const { conversation, forcedWidget } = circumstances;
  const kept = isRunning(circumstances) ? byKey(conversation?.widgetKey) : undefined;
  if (kept !== undefined) return { widget: kept, by: 'running' };
  if (site.pointer.leftOut) return { widget: null, by: 'left-out' };
  const forced = byKey(forcedWidget);
  if (forced !== undefined) return { widget: forced, by: 'forced' };
  if (page.address === null) return { widget: null, by: 'no-address' };
  const widget =
    site.design.widgets.find((one) => page.accepts(one) && isAudience(one, circumstances, page)) ?? null;
  return { widget, by: widget === null ? 'none' : 'first' };
}

/** [P15] Whether a visitor belongs to a widget's audience: all that it asks must hold, an unknown kind never does. */
export function isAudience(
  { audience = [] }: WireWidget,
  circumstances: Circumstances,
  page: PageFacts,
): boolean {
  return audience.every((condition) => {
    const holds = isKnown(condition, {
      circumstances,
      address: page.address,
      takes: page.takes(circumstances),
    });
    return holds !== null && holds !== (condition[IS_NOT] === 1);
  });
}
