import type { TeamState } from '../model/moment';
import type { EpochMs, Locale } from '../model/units';

/**
 * [T1] Which offered locale serves a wish, made where it is published, so that a page needs no data of languages. By
 * language and script (`pt-Latn`), and with the region where it makes a difference (`pt-Latn-AO`).
 */
export interface LocaleTable {
  readonly own: Readonly<Record<string, Locale>>;
  /** For languages that are not offered: what their readers mostly read, too. */
  readonly related: Readonly<Record<string, Locale>>;
}

/** Version 1 of the pointer (`live.json`), which names both files together ([L2]). */
export interface PointerV1 {
  readonly v: 1;
  /** File name without `.<locale>.json`; null while nothing is published. */
  readonly design: string | null;
  /** File name of the facts. */
  readonly facts: string;
  readonly version: number;
  readonly revision: number;
  readonly locales: readonly Locale[];
  /** Pointers of earlier servers have none. */
  readonly localeTable?: LocaleTable;
  readonly paused: boolean;
  /** By calendar id ([H12]). */
  readonly overrides: Readonly<
    Record<string, { readonly isOpen: boolean; readonly until: EpochMs; readonly reason: string }>
  >;
  /** By team id ([S1]). */
  readonly teams: Readonly<Record<string, TeamState>>;
  /** File name of the panel ([L9]). */
  readonly panel: string;
  /** File name of the visit runtime, which only pages with invitations or with consent need ([L9]). */
  readonly watch?: string;
  /** The next instant the version in force changes ([L5]). */
  readonly askBefore: EpochMs | null;
  readonly leftOut?: true;
}
