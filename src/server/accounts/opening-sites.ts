import type { State } from '../state';
import { findFirstSiteId, findRole } from './sites.repository';

/** Whether a person may open more sites here: the owner of the first one may, and everybody in the demo. */
export async function mayOpenSites(
  { db, env }: Pick<State, 'db' | 'env'>,
  personId: string,
): Promise<boolean> {
  if (env.demoSecret !== null) return true;
  const first = await findFirstSiteId(db);
  return first !== null && (await findRole(db, first, personId)) === 'owner';
}
