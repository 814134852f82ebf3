import type { ConversationFacts } from '../../core/model/conversation';
import type { VisitorEntry } from '../../core/wire/talk';
import { findConversationOf } from './conversations.repository';
import { getFacts } from './facts.repository';
import { findDeskConversation } from './desk-conversations.repository';
import type { State } from '../state';
import { deskChannel, visitorChannel } from '../facts/presence';

/**
 * Tells the visitor's streams and the desks of entries that were stored together, and how the conversation the visitor
 * stands in stands since; `current` says so where the caller knows. An entry of an earlier conversation has a name of its
 * own, so that windows of an earlier program do not take it for one of the conversation they show.
 */
export async function tellEntries(
  state: State,
  { siteId, visitorId }: { readonly siteId: string; readonly visitorId: string },
  entries: readonly VisitorEntry[],
  current: ConversationFacts | null = null,
): Promise<void> {
  const [own, desk] = [visitorChannel(siteId, visitorId), deskChannel(siteId)];
  const isHeard = state.hub.count(own) > 0;
  const standing = isHeard ? (current ?? (await findStanding(state, siteId, visitorId))) : null;
  for (const entry of entries) {
    const id = entry.conversationId;
    const isCurrent = standing?.id === id;
    if (isCurrent) state.hub.send(own, { name: 'conversation', data: standing });
    if (isHeard)
      state.hub.send(own, { name: isCurrent ? 'entry' : 'earlier-entry', id: entry.id, data: entry });
    if (state.hub.count(desk) === 0) continue;
    const summary = await findDeskConversation(state.db, siteId, id);
    state.hub.send(desk, { name: 'entry', id: entry.id, data: { conversation: summary, entry } });
  }
}

async function findStanding(
  { db }: Pick<State, 'db'>,
  siteId: string,
  visitorId: string,
): Promise<ConversationFacts | null> {
  const row = await findConversationOf(db, siteId, visitorId);
  return row === null ? null : getFacts(db, siteId, row.id);
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
