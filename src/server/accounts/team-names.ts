import type { Db } from '../db/open';
import { listTeams } from '../facts/teams.repository';
import { getSite } from './sites.repository';

/** What teams are called in the site's first language, in the order of the site. */
export async function namesOf(db: Db, siteId: string, teamIds: readonly string[]): Promise<string[]> {
  const [teams, { defaultLocale }] = await Promise.all([listTeams(db, siteId), getSite(db, siteId)]);
  return teams
    .filter(({ id }) => teamIds.includes(id))
    .map(({ key, name }) => name[defaultLocale] ?? Object.values(name)[0] ?? key);
}
