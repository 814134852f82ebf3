import { decide } from '../decide/decide';
import type { Decision } from '../decide/decision';
import { memoByObject } from '../memo';
import type { Circumstances } from '../model/circumstances';
import type { PublishedSite } from '../wire/published-site';

const decidedOn = memoByObject((site: PublishedSite) =>
  memoByObject((circumstances: Circumstances) => decide(site, circumstances)),
);

/** What the engine decides, asked once for the same site and circumstances, however many drawings, words and texts want it. */
export function decided(site: PublishedSite, circumstances: Circumstances): Decision {
  return decidedOn(site)(circumstances);
}
