import type { ConversationFacts } from '../../core/model/conversation';
import { gapAfter } from '../../core/wire/gap';
import type { VisitorEntry, VisitorTalk } from '../../core/wire/talk';
import { limitedFetch } from '../limited-fetch';
import type { PanelPort } from '../port';
import { mergeEntries } from './merge';

/** Who this visitor is to the server, and what both said: the token, the conversation, and where the stream resumes. */
export interface Session {
  conversation(): ConversationFacts | null;
  entries(): readonly VisitorEntry[];
  /** Entries of people that were not before the visitor's eyes yet. */
  unread(): number;
  /** Id of the last entry that came, for the stream to resume after. */
  lastId(): number;
  token(): string | null;
  setToken(token: string | null): void;
  /** Everything here has been before the visitor's eyes. */
  sawAll(): void;
  /** An answer of the server; it holds single entries, so it never moves the place the stream resumes from. */
  take(talk: VisitorTalk): void;
  takeConversation(facts: ConversationFacts): void;
  takeEntry(entry: VisitorEntry, id: number): void;
  /** After which entry one is missing; null: none is. */
  gap(): number | null;
  /** The whole conversation was read; what stood at the first reading counts as seen. */
  takeWhole(talk: VisitorTalk | { readonly conversation: null }): void;
  clear(): void;
  fetch(path: string, options?: RequestInit): Promise<Response>;
  post(path: string, body: unknown): Promise<Response>;
}

export function sessionWith({ base, memory }: Pick<PanelPort, 'base' | 'memory'>): Session {
  const empty = {
    conversation: null as ConversationFacts | null,
    entries: [] as readonly VisitorEntry[],
    lastId: 0,
    seenSeq: 0,
  };
  const state = { ...empty, isFirstReading: true };

  const token = (): string | null => memory.read().token;
  const setToken = (value: string | null): void => memory.write({ ...memory.read(), token: value });
  if (!isToken(token())) setToken(null);

  const sawAll = (): void => {
    state.seenSeq = Math.max(state.seenSeq, ...state.entries.map(({ seq }) => seq));
  };
  const take = (talk: VisitorTalk): void => {
    state.conversation = talk.conversation;
    state.entries = mergeEntries(state.entries, talk.entries);
  };
  const ask = (path: string, { headers, ...options }: RequestInit = {}): Promise<Response> => {
    const kept = token();
    return limitedFetch(`${base}/${path}`, {
      ...options,
      headers: {
        ...(headers as Record<string, string>),
        ...(kept !== null && { Authorization: `Bearer ${kept}` }),
      },
    });
  };
  return {
    conversation: () => state.conversation,
    entries: () => state.entries,
    unread: () =>
      state.entries.filter(({ author, seq }) => author === 'person' && seq > state.seenSeq).length,
    lastId: () => state.lastId,
    token,
    setToken,
    sawAll,
    take,
    takeConversation: (facts) => {
      state.conversation = facts;
    },
    takeEntry: (entry, id) => {
      state.entries = mergeEntries(state.entries, [entry]);
      state.lastId = Math.max(state.lastId, id);
    },
    gap: () => gapAfter(state.entries),
    takeWhole: (talk) => {
      if (talk.conversation !== null) take(talk);
      state.lastId = Math.max(state.lastId, ...state.entries.map(({ id }) => id));
      if (state.isFirstReading) sawAll();
      state.isFirstReading = false;
    },
    clear: () => {
      Object.assign(state, empty);
    },
    fetch: ask,
    post: (path, body) =>
      ask(path, {
        method: 'POST',
        keepalive: true, // a change of page does not take it back
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify(body),
      }),
  };
}

/** [V8] A damaged one counts as none. */
function isToken(kept: unknown): boolean {
  return typeof kept === 'string' && /^[\w-]{20,80}$/.test(kept);
}
