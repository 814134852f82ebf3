import { listAsked } from './conversations.repository';
import { getFacts } from './facts.repository';
import type { State } from '../state';
import { visitorChannel } from '../facts/presence';

/**
 * [M7] One question was taken up or given up: everybody who waits and looks is told where they stand now. Who waits behind
 * the first that are listed is told when the line has moved on.
 */
export async function tellPlaces(state: State, siteId: string): Promise<void> {
  for (const { id, visitor_id: visitorId } of await listAsked(state.db, siteId)) {
    const own = visitorChannel(siteId, visitorId);
    if (state.hub.count(own) > 0)
      state.hub.send(own, { name: 'conversation', data: await getFacts(state.db, siteId, id) });
  }
}
