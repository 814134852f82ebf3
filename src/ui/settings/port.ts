import type { Locale } from '../../core/model/units';
import type { RetentionAnswer, SettingsView } from '../../core/wire/desk';
import type { Api } from '../frame/api';

/** The site as a whole. Each change gives the settings as they are since; it takes effect at once. */
export interface SettingsPort {
  getSettings(): Promise<SettingsView>;
  /** Visitors read the new name with the next version that is published. */
  setName(name: string): Promise<SettingsView>;
  /** Opening hours that were kept in the old zone go along. */
  setZone(zone: string): Promise<SettingsView>;
  /** What the place of the zone is called in a language; empty: the zone's city. */
  setPlace(asked: { readonly locale: Locale; readonly place: string }): Promise<SettingsView>;
  /** `isSure`: also where that deletes some. */
  setRetention(asked: { readonly days: number; readonly isSure: boolean }): Promise<RetentionAnswer>;
  /** An address as it was typed. */
  addDomain(origin: string): Promise<SettingsView>;
  removeDomain(origin: string): Promise<SettingsView>;
}

export function settingsPort({ get, post }: Api): SettingsPort {
  return {
    getSettings: () => get('settings'),
    setName: (name) => post('settings/name', { name }),
    setZone: (zone) => post('settings/zone', { zone }),
    setPlace: (asked) => post('settings/place', asked),
    setRetention: (asked) => post('settings/retention', asked),
    addDomain: (origin) => post('settings/domains', { origin }),
    removeDomain: (origin) => post('settings/domains/remove', { origin }),
  };
}
