import type { FactsFileV1 } from '../../core/wire/facts-file';

/** Facts files that were read, by site and name. They never change, so nothing has to be thrown away but for room. */
export interface FactsCache {
  get(siteId: string, name: string): FactsFileV1 | null;
  put(siteId: string, name: string, facts: FactsFileV1): void;
}

const FILES_MAX = 200;

export function makeFactsCache(): FactsCache {
  const files = new Map<string, FactsFileV1>();
  return {
    get: (siteId, name) => files.get(`${siteId} ${name}`) ?? null,
    put: (siteId, name, facts) => {
      if (files.size >= FILES_MAX) files.clear();
      files.set(`${siteId} ${name}`, facts);
    },
  };
}
