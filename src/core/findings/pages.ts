import type { Widget } from '../model/design';
import type { PageRule } from '../model/page-rule';
import { lowered } from '../pages/match';
import { type Finding, type FindingContext, finding } from './finding';

/** Page rules that never decide anything, and widgets whose turn never comes ([P13], [P14]). */
export function pageFindings({ design: { widgets } }: FindingContext): Finding[] {
  return widgets.flatMap((widget, place): Finding[] => {
    const { id: widgetId, name } = widget;
    const { showOn, neverOn } = widget.pages;
    const swallowed = [
      ...neverOn.flatMap((rule, index) => found(rule, neverOn.slice(0, index))),
      ...showOn.flatMap((rule, index) => found(rule, [...neverOn, ...showOn.slice(0, index)])),
    ].map(({ rule, by }) =>
      finding('rule-swallowed', [widgetId, rule.id], {
        widgetId,
        values: { name, rule: rule.text, by: by.text },
      }),
    );
    const before = widgets.slice(0, place).find(takesEverything);
    return before === undefined
      ? swallowed
      : [finding('widget-swallowed', [widgetId], { widgetId, values: { name, by: before.name } })];
  });
}

function found(rule: PageRule, before: readonly PageRule[]): { rule: PageRule; by: PageRule }[] {
  const by = before.find((one) => takesAllOf(one, rule));
  return by === undefined ? [] : [{ rule, by }];
}

/** On every page, for everybody: whatever comes after it can only be asked for by name. */
function takesEverything({ pages, audience }: Widget): boolean {
  return audience.length === 0 && pages.neverOn.length === 0 && pages.showOn.length === 0;
}

/** Whether one rule takes every page that another takes: told only where it is certain from their texts ([P9]). */
export function takesAllOf(wide: PageRule, narrow: PageRule): boolean {
  if (wide.part !== narrow.part) return false;
  const isFolded = wide.ignoresCase || wide.part === 'host';
  if (!isFolded && narrow.ignoresCase) return false;
  const [whole, part] = isFolded ? [lowered(wide.text), lowered(narrow.text)] : [wide.text, narrow.text];
  if (wide.kind === narrow.kind && whole === part) return true;
  const isPlain =
    narrow.kind === 'exact' ||
    narrow.kind === 'begins-with' ||
    narrow.kind === 'contains' ||
    narrow.kind === 'ends-with';
  if (!isPlain) return false;
  switch (wide.kind) {
    case 'begins-with':
      return (
        (narrow.kind === 'exact' && (part.startsWith(whole) || `${part}/` === whole)) ||
        (narrow.kind === 'begins-with' && part.startsWith(whole))
      );
    case 'contains':
      // [P9] A folder's beginning takes the page that stands for it too, which lacks the last stroke.
      return (narrow.kind === 'begins-with' ? part.replace(/\/$/, '') : part).includes(whole);
    case 'ends-with':
      return (narrow.kind === 'exact' || narrow.kind === 'ends-with') && part.endsWith(whole);
    default:
      return false;
  }
}
