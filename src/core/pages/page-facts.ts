import { memoByKey, memoByObject } from '../memo';
import type { RulesCondition } from '../wire/design-file';
import type { Circumstances, PageView } from '../model/circumstances';
import { type Address, toAddress } from './address';
import { judgePage, ruleTakes } from './match';
import type { WireRule, WireWidget } from '../wire/design-file';
import { KIND, VALUE } from '../wire/condition';

/** What a page's address settles, once for its page view: read, and held against rules and widgets. */
export interface PageFacts {
  /** Null: neither http nor https ([P1]). */
  readonly address: Address | null;
  /** [P13] Whether a widget's lists accept the page. */
  accepts(widget: WireWidget): boolean;
  /** Whether one of a condition's rules takes the page, or the page before it. */
  takes(circumstances: Circumstances): (condition: RulesCondition) => boolean;
}

/** An address is worked out once for its page view; its clock no other page view has. */
const factsOf = /* @__PURE__ */ memoByObject<PageView['clock'], (href: string) => PageFacts>(() =>
  memoByKey(1, workOut),
);

/** The facts of a page view; kept with its clock, which no other page view has. */
export function pageFactsOf({ address: href, clock }: PageView): PageFacts {
  return factsOf(clock)(href);
}

function workOut(href: string): PageFacts {
  const address = toAddress(href);
  const accepts = memoByObject(
    ({ show, never }: WireWidget) => address !== null && judgePage(show, never, address).accepts,
  );
  const takesFrom = memoByKey(1, (referrer: string) => {
    const before = toAddress(referrer);
    return memoByObject((condition: RulesCondition) => {
      const seen = condition[KIND] === 'page' ? address : before;
      return seen !== null && (condition.slice(VALUE) as WireRule[]).some((rule) => ruleTakes(rule, seen));
    });
  });
  return { address, accepts, takes: ({ visitor }) => takesFrom(visitor.referrer ?? '') };
}
