import type { VisitorEntry } from '../../core/wire/talk';
import { getFacts } from './conversations.repository';
import { findDeskConversation } from './desk-conversations.repository';
import type { State } from '../state';
import { deskChannel, visitorChannel } from '../facts/presence';

/** Tells the visitor's streams and the desks of one entry, and how the conversation stands since. */
export async function tellEntry(
  state: State,
  siteId: string,
  visitorId: string,
  id: string,
  entry: VisitorEntry,
): Promise<void> {
  const facts = await getFacts(state.db, siteId, id);
  const summary = await findDeskConversation(state.db, siteId, id);
  const own = visitorChannel(siteId, visitorId);
  state.hub.send(own, { name: 'conversation', data: facts });
  state.hub.send(own, { name: 'entry', id: entry.id, data: entry });
  state.hub.send(deskChannel(siteId), {
    name: 'entry',
    id: entry.id,
    data: { conversation: summary, entry },
  });
}
