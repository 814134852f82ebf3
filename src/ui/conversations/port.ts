import type { EpochMs } from '../../core/model/units';
import type { DeskConversation, DeskTalk } from '../../core/wire/desk';
import type { VisitorEntry } from '../../core/wire/talk';
import type { Api } from '../frame/api';

/** Conversations of the site, as the desk sees them. */
export interface ConversationsPort {
  /** The newest first, before an instant. */
  listConversations(before: EpochMs | null): Promise<{ conversations: DeskConversation[]; hasMore: boolean }>;
  /** The newest of what was said, or the page before an entry. */
  getConversation(id: string, before?: number): Promise<DeskTalk>;
  reply(id: string, said: { clientId: string; body: string }): Promise<VisitorEntry>;
  /** Ends a conversation ten seconds later, so that it can be undone; one that was missed is done with at once. */
  end(id: string): Promise<void>;
  undoEnd(id: string): Promise<void>;
  /** Deletes a conversation that was only practice. */
  removePractice(id: string): Promise<void>;
}

export function conversationsPort({ get, post }: Api): ConversationsPort {
  return {
    listConversations: (before) => get(before === null ? 'conversations' : `conversations?before=${before}`),
    getConversation: (id, before) =>
      get(`conversations/${id}${before === undefined ? '' : `?before=${before}`}`),
    reply: async (id, said) =>
      (await post<{ entry: VisitorEntry }>(`conversations/${id}/entries`, said)).entry,
    end: async (id) => void (await post(`conversations/${id}/end`, { isSoon: true })),
    undoEnd: async (id) => void (await post(`conversations/${id}/end/undo`, {})),
    removePractice: async (id) => void (await post(`conversations/${id}/remove-practice`, {})),
  };
}
