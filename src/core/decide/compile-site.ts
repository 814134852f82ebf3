import { memoByObject } from '../memo';
import type { WireWidget } from '../wire/design-file';
import type { PublishedSite } from '../wire/published-site';

/** A published site made ready for deciding: what is looked up at every decision is found without a search. */
export interface CompiledSite {
  /** The widget of a key; undefined: none of this design has it, or nothing shows. */
  readonly widget: (key: string | null | undefined) => WireWidget | undefined;
}

/**
 * Once per published site, the same for the widget, the stage and a rehearsed visit. A site never changes: a new version or
 * a new pointer is a new object, which is made ready anew.
 */
export const compileSite: (site: PublishedSite) => CompiledSite = /* @__PURE__ */ memoByObject(
  ({ design }: PublishedSite): CompiledSite => {
    const byKey = new Map<unknown, WireWidget>(design.widgets.map((widget) => [widget.key, widget]));
    return { widget: (key) => byKey.get(key) };
  },
);
