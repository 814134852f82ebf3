import type { DesignFileV1, WireText } from './design-file';
import type { WireField } from './form-file';

/** What only the window needs of a design, in a file of its own beside it: `<design>.<locale>.room.json`. */
export interface WindowFileV1 {
  readonly v: 1;
  /** By the widget's key. */
  readonly widgets: Readonly<Record<string, WindowPart>>;
}

/** The window's part of one widget. */
export interface WindowPart {
  readonly forms: {
    readonly before: readonly WireField[];
    readonly note: readonly WireField[];
    readonly after?: readonly WireField[];
  };
  readonly words: Readonly<Record<string, WireText>>;
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
