import type { DesignFileV1, WireWidget } from '../wire/design-file';
import type { WindowFileV1, WindowPart } from '../wire/split';

/** A design above so many bytes (gzip) comes in two files, the launcher's and the window's. */
export const SPLIT_ABOVE_BYTES = 6 * 1024;

/** A design in two: the *door*, which the launcher needs, and the *room*. */
export function splitDesign(design: DesignFileV1): {
  readonly door: DesignFileV1;
  readonly room: WindowFileV1;
} {
  const isDoor = ([key]: readonly [string, unknown]): boolean => key.startsWith('launcher.');
  const door = design.widgets.map((widget): WireWidget => {
    const words = Object.fromEntries(Object.entries(widget.words).filter(isDoor));
    return { ...widget, forms: { before: [], note: [] }, words };
  });
  const windowFiles = design.widgets.map(({ key, forms, words }): [string, WindowPart] => [
    key,
    { forms, words: Object.fromEntries(Object.entries(words).filter((one) => !isDoor(one))) },
  ]);
  return {
    door: { ...design, room: true, widgets: door },
    room: { v: 1, widgets: Object.fromEntries(windowFiles) },
  };
}
