import type { EpochMs } from '../core/model/units';
import { newerOf } from '../core/wire/newer';
import type { DesignFileV1 } from '../core/wire/design-file';
import type { FactsFileV1 } from '../core/wire/facts-file';
import type { LocaleTable, PointerV1 } from '../core/wire/pointer';
import type { PublishedSite } from '../core/wire/published-site';
import { chooseLocale } from '../core/words/locale';
import type { ServerClock } from './clock';
import { limitedFetch } from './limited-fetch';

export const NO_SITE = 'Unknown data-site. Copy the snippet from Install again.';
const FOREIGN = "This address is not on the site's list.";
export const UNREACHABLE = 'The server cannot be reached.';

export interface Loader {
  /** Reads the pointer, and the files it names that are not here yet. Null: nothing is published. Throws with a sentence for the webmaster’s console. */
  load(preferredLocales: readonly string[]): Promise<PublishedSite | null>;
}

/** Fetches what is published. Files are immutable, so a name that is known is never asked for again. */
export function siteLoader(base: string, clock: ServerClock): Loader {
  let design: { name: string; file: DesignFileV1 } | null = null;
  let known: Told | null = null;
  /** The parts of our own build: a page that outlives an upgrade goes on with them ([L9]). */
  let parts: Pick<PointerV1, 'panel' | 'watch'> | undefined;
  let facts: { name: string; file: FactsFileV1 } | null = null;
  return {
    async load(preferredLocales) {
      const heard = await getPointer(base, clock);
      known = newerOf(known, heard);
      parts ??= heard.pointer;
      const pointer = { ...known.pointer, panel: parts.panel, watch: parts.watch };
      if (pointer.design === null) return null;
      const locale = chooseLocale(
        preferredLocales,
        pointer.localeTable ?? NO_TABLE,
        pointer.locales[0] ?? 'en',
      );
      const designName = `${pointer.design}.${locale}.json`;
      const [newDesign, newFacts] = await Promise.all([
        design?.name === designName ? design.file : getFile<DesignFileV1>(`${base}/${designName}`),
        facts?.name === pointer.facts ? facts.file : getFile<FactsFileV1>(`${base}/${pointer.facts}`),
      ]);
      design = { name: designName, file: newDesign };
      facts = { name: pointer.facts, file: newFacts };
      return newDesign.v === 1 && newFacts.v === 1 ? { pointer, design: newDesign, facts: newFacts } : null;
    },
  };
}

/** A pointer that a cache kept from an earlier server has none. */
const NO_TABLE: LocaleTable = { own: {}, related: {} };

/** A pointer, and when it was made; a cache on the way may have kept it. */
interface Told {
  readonly madeAt: EpochMs;
  readonly pointer: PointerV1;
}

async function getPointer(base: string, clock: ServerClock): Promise<Told> {
  const response = await reach(`${base}/live.json`);
  clock.setBy(response);
  const pointer = (await response.json()) as PointerV1;
  if (pointer.v !== 1) throw new Error(UNREACHABLE);
  return { madeAt: Date.parse(response.headers.get('Date') ?? '') || 0, pointer };
}

async function getFile<T>(address: string): Promise<T> {
  return (await (await reach(address)).json()) as T;
}

/** An answer that can be read; whatever stands in the way is one of the three faults. */
async function reach(address: string): Promise<Response> {
  const response = await limitedFetch(address).catch(() => null); // the line is cut: asked again
  if (response?.ok) return response;
  throw new Error(response?.status === 404 ? NO_SITE : response?.status === 403 ? FOREIGN : UNREACHABLE);
}
