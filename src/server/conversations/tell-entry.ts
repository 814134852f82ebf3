import type { VisitorEntry } from '../../core/wire/talk';
import { findConversationOf } from './conversations.repository';
import { getFacts } from './facts.repository';
import { findDeskConversation } from './desk-conversations.repository';
import type { State } from '../state';
import { deskChannel, visitorChannel } from '../facts/presence';

/**
 * Tells the visitor's streams and the desks of one entry, and how the conversation stands since. One of an earlier
 * conversation has a name of its own, so that windows of an earlier program do not take it for the one they show.
 */
export async function tellEntry(
  state: State,
  siteId: string,
  visitorId: string,
  entry: VisitorEntry,
): Promise<void> {
  const id = entry.conversationId;
  const own = visitorChannel(siteId, visitorId);
  const summary = await findDeskConversation(state.db, siteId, id);
  if (state.hub.count(own) > 0) {
    const isCurrent = (await findConversationOf(state.db, siteId, visitorId))?.id === id;
    if (isCurrent) state.hub.send(own, { name: 'conversation', data: await getFacts(state.db, siteId, id) });
    state.hub.send(own, { name: isCurrent ? 'entry' : 'earlier-entry', id: entry.id, data: entry });
  }
  state.hub.send(deskChannel(siteId), {
    name: 'entry',
    id: entry.id,
    data: { conversation: summary, entry },
  });
}

/** Tells both sides how a conversation stands, where nothing was said. */
export async function tellStanding(
  state: State,
  siteId: string,
  visitorId: string,
  id: string,
): Promise<void> {
  state.hub.send(visitorChannel(siteId, visitorId), {
    name: 'conversation',
    data: await getFacts(state.db, siteId, id),
  });
  state.hub.send(deskChannel(siteId), {
    name: 'conversation',
    data: { conversation: await findDeskConversation(state.db, siteId, id) },
  });
}
