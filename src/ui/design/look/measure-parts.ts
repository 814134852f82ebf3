import type { Box, CoveredPart, MeasuredScreen } from '../../../core/look/collisions';
import type { Circumstances } from '../../../core/model/circumstances';
import { previewAt } from '../../../core/rehearse/preview-at';
import type { DrawnMoment } from '../../../core/model/moment';
import type { PublishedSite } from '../../../core/wire/published-site';
import { mount } from '../../../widget/preview';
import { PAGE_FONT } from '../stage/StandInPage';

const SEEN: readonly (readonly [part: CoveredPart, moment: DrawnMoment, selector: string])[] = [
  ['launcher', 'passing-by', '.launcher'],
  ['window', 'at-the-door', '.window'],
  ['invitation', 'invited', '.invitation'],
];

/** Where the parts of a widget stand on a screen: of the real runtime, out of sight. On phones the window is the whole screen. */
export function measureParts(
  site: PublishedSite,
  base: Circumstances,
  widget: string,
  screen: MeasuredScreen,
): Partial<Record<CoveredPart, Box>> {
  const place = document.createElement('div');
  Object.assign(place.style, {
    position: 'fixed',
    left: '-10000px',
    top: '0',
    width: `${screen.width}px`,
    height: `${screen.height}px`,
  });
  document.body.append(place);
  try {
    return Object.fromEntries(
      SEEN.flatMap(([part, moment, selector]) => {
        if (part === 'window' && screen.device === 'phone') return [];
        const {
          site: shown,
          circumstances,
          entries,
        } = previewAt(site, { ...base, forcedWidget: widget }, moment);
        const visitor = { ...circumstances.visitor, device: screen.device };
        const tile = mount(place, {
          site: shown,
          circumstances: { ...circumstances, visitor },
          entries,
          scheme: 'day',
          device: screen.device,
          width: screen.width,
          height: screen.height,
          font: PAGE_FONT,
          base: '',
        });
        const box = tile.root.querySelector(selector)?.getBoundingClientRect();
        const frame = place.getBoundingClientRect();
        tile.unmount();
        if (box === undefined || box.width === 0 || box.height === 0) return [];
        const { left, top } = frame;
        return [
          [
            part,
            { left: box.left - left, top: box.top - top, right: box.right - left, bottom: box.bottom - top },
          ] as const,
        ];
      }),
    );
  } finally {
    place.remove();
  }
}
