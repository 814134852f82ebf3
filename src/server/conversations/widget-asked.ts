import { hasGoneQuiet } from '../../core/decide/moment';
import type { Widget } from '../../core/model/design';
import { type EpochMs, SECOND_MS } from '../../core/model/units';
import { versionInForce } from '../../core/publish/in-force';
import type { KnownSite } from '../facts/known-sites';
import type { ConversationRow } from './conversations.repository';

/** A widget of the version in force by its key; where it is gone, the first. */
export function widgetOf(
  { publications, designs }: Pick<KnownSite, 'publications' | 'designs'>,
  key: string,
  at: EpochMs,
): Widget | undefined {
  const number = versionInForce(publications, at);
  const widgets = (number === null ? undefined : designs.get(number))?.widgets ?? [];
  return widgets.find((widget) => widget.key === key) ?? widgets[0];
}

/** [M4] Since when a conversation has been quiet for as long as its widget allows, whether the server has looked yet or not; null: it is not. */
export function quietSince(
  { status, last_entry_ms: lastMs }: Pick<ConversationRow, 'status' | 'last_entry_ms'>,
  widget: Widget | undefined,
  at: EpochMs,
): EpochMs | null {
  if (widget === undefined || !hasGoneQuiet({ standing: status, lastMs }, widget.timings, at)) return null;
  return lastMs + widget.timings.endsAfterQuiet * SECOND_MS;
}
