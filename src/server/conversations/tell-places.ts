import { listAsked } from './conversations.repository';
import { getFacts } from './facts.repository';
import type { State } from '../state';
import { visitorChannel } from '../facts/presence';

/** So many waiting visitors are told at once; whoever waits behind them is told when the line has moved on. */
const TOLD_MAX = 200;

/** [M7] One question was taken up or given up: everybody who waits and looks is told where they stand now. */
export async function tellPlaces(state: State, siteId: string): Promise<void> {
  for (const { id, visitor_id: visitorId } of await listAsked(state.db, siteId, TOLD_MAX)) {
    const own = visitorChannel(siteId, visitorId);
    if (state.hub.count(own) > 0)
      state.hub.send(own, { name: 'conversation', data: await getFacts(state.db, siteId, id) });
  }
}
