import { compileSite } from '../../core/decide/compile-site';
import type { DesignFileV1 } from '../../core/wire/design-file';
import { formatTextFor } from '../format-text';
import type { PanelPicture, PanelPort } from '../port';
import { windowFileLoader } from './window-file-loader';

export interface HeldDesign {
  /** Under which name the shown design was published: the opened one's while the window is open. */
  name(): string;
  /** What to paint; null: the window's own file is on its way. */
  take(next: PanelPicture): PanelPicture | null;
}

/** [L7] An open window keeps the look and the words it was opened with; rules and states come at once. */
export function heldDesign(port: PanelPort, onCome: () => void): HeldDesign {
  const windowFiles = windowFileLoader(port.surroundings, onCome);
  let held: { readonly design: DesignFileV1; readonly name: string } | null = null;

  /** The picture with the window's own file, where the design came in two; null: it is on its way. */
  const furnished = (next: PanelPicture): PanelPicture | null => {
    const { design } = next.site;
    if (design.room === undefined) return next;
    const whole = windowFiles.whole(design, `${port.base}/${port.designName()}.${design.locale}.room.json`);
    return whole === null ? null : dressed(next, whole);
  };
  const asOpened = (next: PanelPicture): PanelPicture => {
    if (!next.isWindowOpen) held = null;
    else held ??= { design: next.site.design, name: port.designName() };
    const shown = held === null ? null : dressed(next, held.design);
    if (shown === null || shown.widget === next.widget) return next;
    port.frame.paint(shown, formatTextFor(shown, port.surroundings));
    return shown;
  };
  return {
    name: () => held?.name ?? port.designName(),
    take: (next) => {
      const whole = furnished(next);
      return whole === null ? null : asOpened(whole);
    },
  };
}

/** The picture in another state of its design; null where the widget is not in it. */
function dressed(next: PanelPicture, design: DesignFileV1): PanelPicture | null {
  const site = { ...next.site, design };
  const widget = compileSite(site).widget(next.widget.key);
  return widget === undefined ? null : { ...next, site, widget };
}
