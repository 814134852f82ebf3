import type { RulesCondition } from '../wire/design-file';
import type { Circumstances, PageView } from '../model/circumstances';
import { type Address, toAddress } from './address';
import { judgePage, ruleTakes } from './match';
import type { WireRule, WireWidget } from '../wire/design-file';

/** What a page's address settles, once for its page view: read, and held against rules and widgets. */
export interface PageFacts {
  /** Null: neither http nor https ([P1]). */
  readonly address: Address | null;
  /** [P13] Whether a widget's lists accept the page. */
  accepts(widget: WireWidget): boolean;
  /** Whether one of a condition's rules takes the page, or the page before it. */
  takes(circumstances: Circumstances): (condition: RulesCondition) => boolean;
}

const KEPT = new WeakMap<PageView['clock'], PageFacts & { readonly href: string }>();

/** The facts of a page view; kept with its clock, which no other page view has. */
export function pageFactsOf({ address: href, clock }: PageView): PageFacts {
  let facts = KEPT.get(clock);
  if (facts === undefined || facts.href !== href) KEPT.set(clock, (facts = workOut(href)));
  return facts;
}

function workOut(href: string): PageFacts & { readonly href: string } {
  const address = toAddress(href);
  const known = new Map<unknown, boolean>();
  const once = (about: unknown, judge: () => boolean): boolean => {
    let is = known.get(about);
    if (is === undefined) known.set(about, (is = judge()));
    return is;
  };
  return {
    href,
    address,
    accepts: (widget) =>
      once(widget, () => address !== null && judgePage(widget.show, widget.never, address).accepts),
    takes:
      ({ visitor: { referrer } }) =>
      (condition) => {
        const taken = (seen: Address | null): boolean =>
          seen !== null && (condition.slice(2) as WireRule[]).some((rule) => ruleTakes(rule, seen));
        // The page before it stays what it is while the page view lasts.
        return once(condition, () => taken(condition[0] === 'page' ? address : toAddress(referrer ?? '')));
      },
  };
}
