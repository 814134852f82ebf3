import { isListedOrigin } from '../../core/pages/origins';
import { MINUTE_MS } from '../../core/model/units';
import { type Result, fail } from '../../core/result';
import { type Site, listDomains } from '../accounts/sites.repository';
import { type Fetched, guardedFetch } from '../http/guarded-fetch';
import { isLoopbackHost } from '../http/origin-gate';
import { waitWords } from '../live/rates';
import type { State } from '../state';

const BYTES_MAX = 2 * 1024 * 1024;
const MS_MAX = MINUTE_MS / 4;

/** [threat 14] A page of the site's own, as its server sends it; errors name the whole (`''`), in a sentence. */
export async function pageSource(
  { db, env, rates }: Pick<State, 'db' | 'env' | 'rates'>,
  site: Site,
  address: string,
): Promise<Result<Fetched>> {
  const wait = await rates.take('pageSource', site.id);
  if (wait > 0)
    return fail({ '': `That were many pages at once. Nothing was changed; go on in ${waitWords(wait)}.` });
  const own = site.address !== null && URL.canParse(site.address) ? [new URL(site.address).origin] : [];
  const origins = [...own, ...(await listDomains(db, site.id))];
  return guardedFetch(address, {
    mayAsk: ({ origin }) => isListedOrigin(origin, origins),
    // Whoever runs it for this computer alone is its owner, and may be building the site on it.
    allowsLoopback: env.publicUrl === null && isLoopbackHost(env.host),
    bytesMax: BYTES_MAX,
    msMax: MS_MAX,
  });
}
