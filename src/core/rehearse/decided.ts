import { decide } from '../decide/decide';
import type { Decision } from '../decide/decision';
import type { Circumstances } from '../model/circumstances';
import type { PublishedSite } from '../wire/published-site';

const DECIDED = new WeakMap<PublishedSite, WeakMap<Circumstances, Decision>>();

/** What the engine decides, asked once for the same site and circumstances, however many drawings, words and texts want it. */
export function decided(site: PublishedSite, circumstances: Circumstances): Decision {
  const known = keptIn(DECIDED, site, () => new WeakMap<Circumstances, Decision>());
  return keptIn(known, circumstances, () => decide(site, circumstances));
}

/** What is kept for an object, made the first time. */
export function keptIn<K extends object, V>(map: WeakMap<K, V>, key: K, make: () => V): V {
  const known = map.get(key);
  if (known !== undefined) return known;
  const made = make();
  map.set(key, made);
  return made;
}
