import type { Override } from '../../core/model/calendar';
import type { Design } from '../../core/model/design';
import type { Role } from '../../core/model/role';
import type { EpochMs } from '../../core/model/units';
import type { Publication } from '../../core/publish/in-force';
import { localeTable } from '../../core/publish/locale-table';
import type { FactsFileV1 } from '../../core/wire/facts-file';
import type { LocaleTable } from '../../core/wire/pointer';
import { type Site, findSite, findSiteByKey, listDomains, listRoles } from '../accounts/sites.repository';
import { type Db, settingsRevision } from '../db/open';
import { listPublications } from '../designs/publications.repository';
import { findVersion } from '../designs/versions.repository';
import type { ServerTime } from '../live/clock';
import { listOverrides } from './calendars.repository';
import { readFacts } from './facts';
import type { FactsCache } from './facts-cache';
import { type Team, listTeams } from './teams.repository';

/** What owners have set of a site, as far as every request of a visitor or of a desk needs it. */
export interface KnownSite {
  readonly site: Site;
  /** Origins whose pages may carry the widget. */
  readonly domains: readonly string[];
  readonly teams: readonly Team[];
  /** By person. */
  readonly roles: ReadonlyMap<string, Role>;
  /** What is in force since it was read, and all that is planned. */
  readonly publications: readonly Publication[];
  /** Of those publications, by version number. */
  readonly designs: ReadonlyMap<number, Design>;
  /** Which of their locales a visitor gets, by version number. */
  readonly localeTables: ReadonlyMap<number, LocaleTable>;
  readonly facts: FactsFileV1 | null;
  /** By calendar, also those that are over. */
  readonly overrides: Readonly<Record<string, Override>>;
}

/** Reads what was set of a site once, and anew after anything was set anywhere: no message waits for it. */
export interface KnownSites {
  /** Null: no site has this key. */
  byKey(key: string): Promise<KnownSite | null>;
  /** Throws where there is no such site. */
  get(siteId: string): Promise<KnownSite>;
}

const SITES_MAX = 200;

interface Kept {
  readonly known: KnownSite;
  readonly revision: number;
  readonly readAt: EpochMs;
}

export function makeKnownSites(db: Db, facts: FactsCache, clock: ServerTime): KnownSites {
  const kept = new Map<string, Kept>();
  const find = async (name: string, findSite: () => Promise<Site | null>): Promise<KnownSite | null> => {
    const [revision, readAt] = [settingsRevision(db), clock.now()];
    const before = kept.get(name);
    // Read later than now: what was in force then may not be so yet.
    if (before?.revision === revision && before.readAt <= readAt) return before.known;
    const site = await findSite();
    if (site === null) return null;
    const known = await readSite({ db, facts }, site, readAt, before?.known);
    if (kept.size >= SITES_MAX) kept.clear();
    kept.set(name, { known, revision, readAt });
    return known;
  };
  return {
    byKey: (key) => find(`key ${key}`, () => findSiteByKey(db, key)),
    get: async (siteId) => {
      const known = await find(`id ${siteId}`, () => findSite(db, siteId));
      if (known === null) throw new Error(`Expected a site ${siteId}: what belongs to it was asked for.`);
      return known;
    },
  };
}

async function readSite(
  { db, facts: cache }: { readonly db: Db; readonly facts: FactsCache },
  site: Site,
  at: EpochMs,
  before?: KnownSite,
): Promise<KnownSite> {
  const [domains, teams, roles, publications, facts, overrides] = await Promise.all([
    listDomains(db, site.id),
    listTeams(db, site.id),
    listRoles(db, site.id),
    listPublications(db, site.id, at),
    readFacts(db, cache, site.id),
    listOverrides(db, site.id, 0),
  ]);
  const numbers = [...new Set(publications.map(({ version }) => version))];
  // A version never changes: it is parsed once.
  const own = await Promise.all(
    numbers.map(
      async (number) =>
        [number, before?.designs.get(number) ?? (await designOf(db, site.id, number))] as const,
    ),
  );
  const tables = before?.site.defaultLocale === site.defaultLocale ? before.localeTables : null;
  const localeTables = new Map(
    own.map(([number, { locales }]) => [
      number,
      tables?.get(number) ?? localeTable(locales, site.defaultLocale),
    ]),
  );
  return { site, domains, teams, roles, publications, designs: new Map(own), localeTables, facts, overrides };
}

async function designOf(db: Db, siteId: string, number: number): Promise<Design> {
  const version = await findVersion(db, siteId, number);
  if (version === null) throw new Error(`Expected version ${number} of site ${siteId}: it was made live.`);
  return version.design;
}
