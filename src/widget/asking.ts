import { FRESH_MS } from '../core/context/presence';
import type { EpochMs } from '../core/model/units';
import type { PublishedSite } from '../core/wire/published-site';
import { inBackground } from './guard';
import type { Off, Surroundings } from './surroundings';

export interface AskingPort {
  readonly surroundings: Pick<Surroundings, 'now' | 'wakeAt'>;
  load(): Promise<PublishedSite | null>;
  /** What is published has been read. */
  onHeard(site: PublishedSite | null): void;
  look(): void;
}

/** What is published, and when people's presence was last confirmed. */
export interface Asking {
  readonly site: PublishedSite | null;
  /** When the server last confirmed how things stand; null: it is not known. */
  readonly heardAt: EpochMs | null;
  /** The stream told how the teams stand, or only that all is as it was. */
  hearTeams(teams: PublishedSite['pointer']['teams'] | null, at: EpochMs): void;
  /** An occasion to ask how things stand ([S7]); never a rhythm. */
  ask(): Promise<void>;
  /** Asks where the last answer is too old; else only looks. */
  askIfStale(): Promise<void>;
  /** Asks because a decision wants it; null where it was asked a moment ago. */
  askOnceFresh(): Promise<void> | null;
}

/** [L5] When another version comes into force, pages do not all ask at once. */
const SPREAD_MS = 10_000;

export function askingWith({ surroundings, load, onHeard, look }: AskingPort): Asking {
  const { now, wakeAt } = surroundings;
  /** By the monotonic clock: an answer may set the other one back. */
  let askedAt = -Infinity;
  let cancel: Off | undefined;
  const ask = async (): Promise<void> => {
    askedAt = performance.now();
    const site = await load();
    state.heardAt = site && now();
    state.site = site;
    onHeard(site);
    cancel?.();
    const askBefore = site?.pointer.askBefore ?? null;
    if (askBefore !== null) cancel = wakeAt(askBefore + Math.random() * SPREAD_MS, () => inBackground(ask()));
    look();
  };
  /** No words about people that nobody confirmed ([S6]). */
  const unheard = (): void => {
    state.heardAt = null;
    look();
  };
  const state = {
    site: null as PublishedSite | null,
    heardAt: null as EpochMs | null,
    ask,
    hearTeams: (teams: PublishedSite['pointer']['teams'] | null, at: EpochMs): void => {
      state.heardAt = at;
      const { site } = state;
      if (site !== null && teams !== null) state.site = { ...site, pointer: { ...site.pointer, teams } };
      look();
    },
    askIfStale: async (): Promise<void> => {
      if (state.heardAt === null || now() - state.heardAt >= FRESH_MS) await ask().catch(unheard);
      else look();
    },
    askOnceFresh: () => (performance.now() - askedAt >= FRESH_MS ? ask().catch(unheard) : null),
  };
  return state;
}
