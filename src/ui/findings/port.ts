import type { FindingFacts } from '../../core/wire/desk';
import type { Api } from '../frame/api';

/** What findings are computed from besides the draft, and the dismissed ones. */
export interface FindingsPort {
  getFindings(): Promise<FindingFacts>;
  /** Dismisses a finding, with the reason. */
  dismiss(key: string, reason: string): Promise<void>;
  restoreFinding(key: string): Promise<void>;
}

export function findingsPort({ get, post }: Api): FindingsPort {
  return {
    getFindings: () => get('findings'),
    dismiss: async (key, reason) => void (await post('findings/dismiss', { key, reason })),
    restoreFinding: async (key) => void (await post('findings/restore', { key })),
  };
}
