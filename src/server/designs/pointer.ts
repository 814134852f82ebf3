import type { EpochMs } from '../../core/model/units';
import { nextVersionChange, versionInForce } from '../../core/publish/in-force';
import type { PointerV1 } from '../../core/wire/pointer';
import { listOverrides } from '../facts/calendars.repository';
import { findNewestFacts, listDesignFiles, listPublications } from './publications.repository';
import type { Site } from '../accounts/sites.repository';
import type { State } from '../state';
import type { GuestFiles } from '../visitor/widget-files';
import { teamStates } from '../facts/presence';

/** What is live at an instant ([L2]): both files named together, and how the teams stand. */
export async function getPointer(
  state: Pick<State, 'db' | 'board' | 'sites'>,
  site: Site,
  guest: GuestFiles,
  at: EpochMs,
): Promise<PointerV1> {
  const [publications, facts, teams, overrides, known] = await Promise.all([
    listPublications(state.db, site.id, at),
    findNewestFacts(state.db, site.id),
    teamStates(state, site.id),
    listOverrides(state.db, site.id, at),
    state.sites.get(site.id),
  ]);
  const number = versionInForce(publications, at);
  const names = number === null ? [] : await listDesignFiles(state.db, site.id, number);
  const parsed = names
    .map((name) => /^(d\d+-[0-9a-f]+)\.([A-Za-z0-9-]+)\.json$/.exec(name))
    .filter((match) => match !== null);
  const locales = parsed.map((match) => match[2] ?? '').sort();
  const first = locales.filter((locale) => locale === site.defaultLocale);
  return {
    v: 1,
    design: parsed[0]?.[1] ?? null,
    facts: facts?.name ?? '',
    version: number ?? 0,
    revision: facts?.revision ?? 0,
    locales: [...first, ...locales.filter((locale) => locale !== site.defaultLocale)],
    localeTable: known.localeTables.get(number ?? 0),
    paused: site.pausedAt !== null,
    overrides,
    teams,
    panel: guest.panel,
    watch: guest.watch,
    askBefore: nextVersionChange(publications, at),
  };
}
