import type { Circumstances } from '../model/circumstances';
import { toAddress } from '../pages/address';
import { judgePage } from '../pages/match';
import type { WireWidget } from '../wire/design-file';
import type { PublishedSite } from '../wire/published-site';
import { decide } from './decide';
import type { Reason } from './reason';
import { stateOf } from './state';

/** One rule's verdict: whether it decided, stood ready, or lacked something ([D2]). */
export interface Verdict {
  readonly standing: 'decided' | 'ready' | 'failed';
  readonly reason: Reason;
}

/** Every rule's verdict, the winners first. Never ships in the widget. Its winners are those of `decide` ([D2]). */
export function explain(site: PublishedSite, circumstances: Circumstances): Verdict[] {
  const decision = decide(site, circumstances);
  const decided = decision.because.map((reason): Verdict => ({ standing: 'decided', reason }));
  const others = site.design.widgets.filter((one) => one.key !== decision.widget);
  const address = toAddress(circumstances.page.address);
  const judged = address === null ? [] : others.map((widget) => judge(widget, circumstances, site, decision.widget));
  return [...decided, ...judged];
}

function judge(widget: WireWidget, circumstances: Circumstances, site: PublishedSite, winner: string | null): Verdict {
  const address = toAddress(circumstances.page.address);
  const page = address === null ? null : judgePage(widget.show, widget.never, address);
  const facts = { widget: widget.key, path: address?.path ?? '' };
  if (page === null || !page.accepts) {
    const never = page !== null && page.rule !== null ? widget.never[page.rule] : undefined;
    const code = never === undefined ? 'not-among-its-pages' : 'never-here';
    return { standing: 'failed', reason: { about: 'widget', code, facts: { ...facts, rule: never?.[2] ?? '' } } };
  }
  const { state } = stateOf(site, widget, circumstances);
  return { standing: 'ready', reason: { about: 'widget', code: 'after-another-widget', facts: { ...facts, winner: winner ?? '', state } } };
}
