import type { Design } from '../../core/model/design';
import type { EpochMs } from '../../core/model/units';
import type { DesignFileAnswer, VersionsView } from '../../core/wire/desk';
import type { Api } from '../frame/api';

/** Versions: published, set for later, brought back, paused, looked at beforehand. */
export interface PublishingPort {
  publish(asked: PublishAsked): Promise<number>;
  /** The newest first, below a number. */
  getVersions(below: number | null): Promise<VersionsView>;
  getVersion(number: number): Promise<{ readonly number: number; readonly design: Design }>;
  /** Publishes an earlier version as a new one. Gives its number. */
  bringBack(number: number, remark: string): Promise<number>;
  /** Takes back what is set for later, or ends a period. */
  cancelPublication(id: string): Promise<void>;
  setPaused(isPaused: boolean): Promise<void>;
  /** A private link to the draft on the owner's own site. */
  openPreview(): Promise<{ readonly id: string; readonly link: string; readonly expires: EpochMs }>;
  endPreview(id: string): Promise<void>;
  /** Judges a design that came as a file; nothing is stored. */
  judgeDesignFile(text: string): Promise<DesignFileAnswer>;
}

/** When a version is to be live, by the site's clock, `YYYY-MM-DDTHH:MM`; nulls: at once, and for good. */
export interface PublishAsked {
  readonly revision: number;
  readonly remark: string;
  readonly from: string | null;
  readonly until: string | null;
  /** The draft is taken back to how it is outside of the period. */
  readonly takesBack: boolean;
}

export function publishingPort({ get, post }: Api): PublishingPort {
  return {
    publish: async (asked) => (await post<{ version: number }>('publish', asked)).version,
    getVersions: (below) => get(below === null ? 'versions' : `versions?below=${below}`),
    getVersion: (number) => get(`versions/${number}`),
    bringBack: async (number, remark) =>
      (await post<{ version: number }>(`versions/${number}/bring-back`, { remark })).version,
    cancelPublication: async (id) => void (await post(`publications/${id}/cancel`, {})),
    setPaused: async (isPaused) => void (await post('pause', { isPaused })),
    openPreview: () => post('previews', {}),
    endPreview: async (id) => void (await post(`previews/${id}/end`, {})),
    judgeDesignFile: (text) => post('design-file', { text }),
  };
}
