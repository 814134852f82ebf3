import { judgeOnPage, standsOnPage } from '../look/on-page';
import { judgePairs, judgedOf, shownSchemes } from '../look/pairs';
import { paletteOf } from '../look/palette';
import type { Widget } from '../model/design';
import type { Look } from '../model/look';
import { memoByObject } from '../memo';
import { type Finding, type FindingContext, finding } from './finding';

/** What is hard to read, hardly seen on the owner's page, or lies over bars that stay in place there. */
export function lookFindings({ design, measured }: FindingContext): Finding[] {
  return design.widgets.flatMap((widget) => [
    ...hardToRead(widget),
    ...hardlySeen(widget, measured),
    ...overBars(widget, measured),
  ]);
}

function hardToRead({ id: widgetId, name, look }: Widget): Finding[] {
  const { count, ratio } = hardOf(look);
  return count === 0
    ? []
    : [finding('text-contrast', [widgetId], { widgetId, values: { name, count, ratio } })];
}

/** How many pairs are hard to read wherever visitors can see them, and the worst ratio of them. Asked for with every letter that is typed. */
const hardOf = memoByObject((look: Look): { readonly count: number; readonly ratio: number } => {
  const hard = shownSchemes(look)
    .flatMap((scheme) => judgePairs(judgedOf(look, scheme)))
    .filter(({ passes }) => !passes);
  return { count: hard.length, ratio: tenths(Math.min(...hard.map(({ ratio }) => ratio))) };
});

function hardlySeen(
  { id: widgetId, name, look, launcher }: Widget,
  measured: FindingContext['measured'],
): Finding[] {
  const onPage = measured[widgetId]?.onPage ?? null;
  return standsOnPage(launcher.form).flatMap((what) => {
    const colours = onPage?.[what] ?? [];
    if (colours.length === 0) return [];
    const { passes, ratio, page } = judgeOnPage(
      paletteOf(look, shownSchemes(look)[0] ?? 'day'),
      what,
      colours,
    );
    return passes
      ? []
      : [
          finding('launcher-contrast', [widgetId, what], {
            widgetId,
            values: { name, what, page, ratio: tenths(ratio) },
          }),
        ];
  });
}

function overBars({ id: widgetId, name }: Widget, measured: FindingContext['measured']): Finding[] {
  const [first, ...more] = measured[widgetId]?.coverings ?? [];
  if (first === undefined) return [];
  const { part, bar, screen, by } = first;
  return [
    finding('bar-covered', [widgetId], {
      widgetId,
      values: { name, part, bar, screen, by, more: more.length },
    }),
  ];
}

/** Cut off, so that what fails is never told as what would do. */
function tenths(ratio: number): number {
  return Math.floor(ratio * 10) / 10;
}
