import type { ConversationFacts } from '../../core/model/conversation';
import { gapAfter } from '../../core/wire/gap';
import type { EntryPage, VisitorEntry, VisitorTalk } from '../../core/wire/talk';
import { limitedFetch } from '../limited-fetch';
import type { PanelPort } from '../port';
import { mergeEntries } from './merge';

/** Who this visitor is to the server, and what both said: the token, the conversation they stand in, the entries of all, and where the stream resumes. */
export interface Session {
  conversation(): ConversationFacts | null;
  entries(): readonly VisitorEntry[];
  /** Whether there are entries before those that are here. */
  hasEarlier(): boolean;
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
  /** The newest page of all that was said. */
  takeWhole(talk: VisitorTalk | { readonly conversation: null }): void;
  /** The page before what is here. */
  takeEarlier(page: EntryPage): void;
  clear(): void;
  fetch(path: string, options?: RequestInit): Promise<Response>;
  post(path: string, body: unknown): Promise<Response>;
}

export function sessionWith({ base, memory }: Pick<PanelPort, 'base' | 'memory'>): Session {
  const empty = {
    conversation: null as ConversationFacts | null,
    entries: [] as readonly VisitorEntry[],
    lastId: 0,
    hasEarlier: false,
  };
  const state = { ...empty };

  const token = (): string | null => memory.read().token;
  /** Of whoever has just begun to write nothing was read yet. */
  const setToken = (value: string | null): void =>
    memory.write({ ...memory.read(), token: value, seenId: value === null ? null : 0 });
  if (!isToken(token())) setToken(null);

  /** What another tab has shown counts too. */
  const seenId = (): number => memory.read().seenId ?? Infinity;
  const newestId = (): number => state.entries.at(-1)?.id ?? 0;
  const sawAll = (): void => {
    const kept = memory.read();
    if (kept.token !== null && (kept.seenId ?? 0) < newestId()) memory.write({ ...kept, seenId: newestId() });
  };
  const add = ({ entries, earlier = [] }: Pick<VisitorTalk, 'entries' | 'earlier'>): void => {
    state.entries = mergeEntries(state.entries, [...earlier, ...entries]);
  };
  const take = (talk: VisitorTalk): void => {
    state.conversation = talk.conversation;
    add(talk);
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
    hasEarlier: () => state.hasEarlier,
    unread: () => state.entries.filter(({ author, id }) => author === 'person' && id > seenId()).length,
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
      const oldest = state.entries[0];
      if (talk.conversation !== null) {
        take(talk);
        // Where more was read already than this page holds, it is known what comes before.
        if (oldest === undefined || state.entries[0]?.id !== oldest.id)
          state.hasEarlier = talk.hasEarlier === true;
      }
      state.lastId = Math.max(state.lastId, newestId());
      if (memory.read().seenId === null) sawAll(); // kept by an earlier program
    },
    takeEarlier: (page) => {
      add(page);
      state.hasEarlier = page.hasEarlier === true;
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
