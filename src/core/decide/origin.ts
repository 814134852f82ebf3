import { toAddress } from '../pages/address';

/** Where a page view came from ([V5]). */
export interface Origin {
  /** Null: from nowhere that is known, or from the site's own domains. */
  readonly referrer: string | null;
  /** `utm_campaign` of the page's address. */
  readonly campaign: string | null;
}

/** [V5] Referrer and campaign of a page; a referrer on the page's own host, or one of the site's, is none. */
export function originOf(address: string, referrer: string, ownHosts: readonly string[] = []): Origin {
  const page = toAddress(address);
  const before = toAddress(referrer);
  const isOwn = before !== null && (before.host === page?.host || ownHosts.includes(before.host));
  const campaign = page?.query.find(([name]) => name === 'utm_campaign')?.[1] ?? null;
  return { referrer: before === null || isOwn ? null : referrer, campaign };
}
