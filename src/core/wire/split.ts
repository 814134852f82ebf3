import type { DesignFileV1, WireText, WireWidget } from './design-file';
import type { WireField } from './form-file';

/** wire.md: a design above so many bytes (gzip) comes in two files, the launcher's and the window's. */
export const SPLIT_ABOVE_BYTES = 6 * 1024;

/** What only the window needs of a design, in a file of its own beside it: `<design>.<locale>.room.json`. */
export interface WindowFileV1 {
  readonly v: 1;
  /** By the widget's key. */
  readonly widgets: Readonly<Record<string, WindowPart>>;
}

interface WindowPart {
  readonly forms: {
    readonly before: readonly WireField[];
    readonly note: readonly WireField[];
    readonly after?: readonly WireField[];
  };
  readonly words: Readonly<Record<string, WireText>>;
}

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

/** The whole again. A room that lacks a widget leaves it as it came. */
export function joinDesign(split: DesignFileV1, { widgets }: WindowFileV1): DesignFileV1 {
  const door = { ...split };
  delete (door as { room?: true }).room;
  return {
    ...door,
    widgets: door.widgets.map((widget) => {
      const own = Object.hasOwn(widgets, widget.key) ? widgets[widget.key] : undefined;
      return own === undefined
        ? widget
        : { ...widget, forms: own.forms, words: { ...widget.words, ...own.words } };
    }),
  };
}
