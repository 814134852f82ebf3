import type { SettingsView } from '../../core/wire/desk';
import type { Api } from '../frame/api';

/** The site as a whole. Each change gives the settings as they are since; it takes effect at once. */
export interface SettingsPort {
  getSettings(): Promise<SettingsView>;
  /** Visitors read the new name with the next version that is published. */
  setName(name: string): Promise<SettingsView>;
  /** Opening hours that were kept in the old zone go along. */
  setZone(zone: string): Promise<SettingsView>;
  /** An address as it was typed. */
  addDomain(origin: string): Promise<SettingsView>;
  removeDomain(origin: string): Promise<SettingsView>;
}

export function settingsPort({ get, post }: Api): SettingsPort {
  return {
    getSettings: () => get('settings'),
    setName: (name) => post('settings/name', { name }),
    setZone: (zone) => post('settings/zone', { zone }),
    addDomain: (origin) => post('settings/domains', { origin }),
    removeDomain: (origin) => post('settings/domains/remove', { origin }),
  };
}
