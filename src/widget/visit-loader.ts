import type { PublishedSite } from '../core/wire/published-site';
import type { GuestState } from './here';
import type { VisitRuntimeModule, VisitRuntimePort } from './port';

export interface VisitLoaderPort extends Omit<VisitRuntimePort, 'site'> {
  readonly state: Pick<GuestState, 'runtime'>;
  /** What is published; null: nothing was heard yet. */
  site(): PublishedSite | null;
  fetchModule<T>(name: string): Promise<T>;
}

/** Fetches the visit runtime, once: where there is something to invite to, or visits may be remembered. */
export function visitLoader(port: VisitLoaderPort): (live: PublishedSite) => Promise<void> {
  const { state, look, fetchModule } = port;
  let comes: Promise<void> | null = null;
  const fetchRuntime = async (live: PublishedSite): Promise<void> => {
    if (live.pointer.watch === undefined) return;
    const { startVisitRuntime } = await fetchModule<VisitRuntimeModule>(live.pointer.watch);
    state.runtime = startVisitRuntime({ ...port, site: () => port.site() ?? live });
    state.runtime.learnt(live);
    look();
  };
  return (live) => (comes ??= fetchRuntime(live));
}
