import type { Circumstances } from '../model/circumstances';
import { toAddress } from '../pages/address';
import { judgePage } from '../pages/match';
import type { WireWidget } from '../wire/design-file';
import type { PublishedSite } from '../wire/published-site';
import type { Reason } from './reason';

export interface WidgetVerdict {
  readonly widget: WireWidget | null;
  readonly because: Reason;
}

/** [P14] Which widget shows: the forced one, else the first in order that takes the page. A running conversation keeps its own ([M8]). */
export function chooseWidget(site: PublishedSite, circumstances: Circumstances): WidgetVerdict {
  const { widgets } = site.design;
  const standing = circumstances.conversation;
  const kept = standing !== null && isRunning(circumstances) ? widgets.find((one) => one.key === standing.widgetKey) : undefined;
  if (kept !== undefined) return { widget: kept, because: because('keeps-its-widget', { widget: kept.key }) };
  const forced = widgets.find((one) => one.key === circumstances.forcedWidget);
  if (forced !== undefined) return { widget: forced, because: because('forced', { widget: forced.key }) };
  const address = toAddress(circumstances.page.address);
  if (address === null) return { widget: null, because: because('not-a-web-address', {}) };
  const widget = widgets.find((one) => judgePage(one.show, one.never, address).accepts) ?? null;
  return widget === null
    ? { widget, because: because('no-widget-here', { path: address.path }) }
    : { widget, because: because('first-that-takes-the-page', { widget: widget.key, path: address.path }) };
}

/** [M8] Whether a conversation is under way: it then outlives pause and pages without a widget. */
export function isRunning({ conversation }: Pick<Circumstances, 'conversation'>): boolean {
  return conversation !== null && (conversation.standing === 'asked' || conversation.standing === 'joined');
}

function because(code: Reason['code'], facts: Reason['facts']): Reason {
  return { about: 'widget', code, facts };
}
