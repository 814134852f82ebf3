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
  return TAKES_ALL[wide.kind]({ kind: narrow.kind, text: part }, whole);
}

type Takes = (narrow: Pick<PageRule, 'kind' | 'text'>, whole: string) => boolean;

/** Whether a kind of rule, with its text, takes whatever a narrower one takes. What is not certain is not told. */
const TAKES_ALL: { readonly [K in PageRule['kind']]: Takes } = {
  exact: () => false,
  'begins-with': ({ kind, text }, whole) =>
    (kind === 'exact' && (text.startsWith(whole) || `${text}/` === whole)) ||
    (kind === 'begins-with' && text.startsWith(whole)),
  // [P9] A folder's beginning takes the page that stands for it too, which lacks the last stroke.
  contains: ({ kind, text }, whole) =>
    PLAIN_KINDS.has(kind) && (kind === 'begins-with' ? text.replace(/\/$/, '') : text).includes(whole),
  'ends-with': ({ kind, text }, whole) => (kind === 'exact' || kind === 'ends-with') && text.endsWith(whole),
  wildcard: () => false,
  expression: () => false,
};

/** Kinds whose text stands in the address as it is. */
const PLAIN_KINDS: ReadonlySet<PageRule['kind']> = new Set(['exact', 'begins-with', 'contains', 'ends-with']);
