import type { CheckedReplies } from '../../core/forms/check';
import { EMPTY_MEMORY, type Memory } from '../../core/model/memory';
import { withinLevel } from '../../core/decide/remember';
import type { Replies } from '../../core/model/form';
import type { TeamState } from '../../core/model/moment';
import type { SentAnswer, VisitorEntry, VisitorTalk } from '../../core/wire/talk';
import type { ConversationFacts } from '../../core/model/conversation';
import type { PanelPort } from '../port';
import { eventCutter } from './event-stream';
import { newEntryId, newVisitorToken } from './ids';
import { mergeEntries } from './merge';
import { RETRY_MS, pause } from './retry';
import { type UnsentStore, unsentStore } from './unsent';

/** Something written here that the server has not acknowledged yet. */
export interface Outgoing {
  readonly clientId: string;
  readonly body: string;
  readonly note: NoteReplies | null;
  /** The form before a chat, given with its first words. */
  readonly before?: Replies;
  /** [V9] Pages on the way, with the first words. */
  readonly trail?: Memory['trail'];
  /** The form's faults, where the server found some. */
  readonly faults?: CheckedReplies['faults'];
  /** The page it was written on; it may go out from a later one. */
  readonly page: string;
  readonly standing: 'sending' | 'waiting';
}

/** What a note brings besides its words; an address alone turns a waiting question into a note (*address left*). */
export interface NoteReplies {
  readonly mail: string;
  readonly name: string;
  /** By field ([L10]). */
  readonly replies?: Replies;
}

export interface TalkPicture {
  readonly conversation: ConversationFacts | null;
  readonly entries: readonly VisitorEntry[];
  readonly outbox: readonly Outgoing[];
  readonly isConnected: boolean;
  /** What the server would not take: back to the field it came from. */
  readonly refused: Outgoing | null;
}

export interface TalkSession {
  picture(): TalkPicture;
  /** Reads what stands, if this visitor has written before. */
  begin(): Promise<void>;
  /** `isFirst`: the pages on the way go along. */
  send(body: string, before?: Replies, isFirst?: boolean): void;
  /** The form after a chat; throws where it could not be taken. */
  giveAfter(replies: Replies): Promise<void>;
  leaveNote(body: string, replies: NoteReplies): void;
  end(): Promise<void>;
  /** [V8] The server removes all first, then this browser; throws where the server could not be asked. */
  forget(): Promise<void>;
  takeBackRefused(): void;
  /** Everything here has been before the visitor's eyes. */
  sawAll(): void;
  /** Keeps the stream while the window is open or a conversation runs. */
  setListening(value: boolean): void;
}

/** [S7] What has changed is known within five seconds; open windows do not all ask at once. */
const NEWS_SPREAD_MS = 3000;

/** The visitor's side of a conversation: an outbox that loses nothing, and a stream that resumes where it broke. */
export function talkWith(
  port: PanelPort & { asksFor(): string | null },
  widgetKey: () => string,
  onChange: () => void,
  store: UnsentStore = unsentStore(port.memory.tabKey ?? '', port.memory.tabKey !== null),
): TalkSession {
  let conversation: ConversationFacts | null = null;
  let entries: readonly VisitorEntry[] = [];
  const unsent = store.read();
  let outbox = unsent.items;
  let refused: Outgoing | null = null;
  /** Made before the first message, kept once it is acknowledged: sending it again cannot make a second visitor. */
  let pendingToken = unsent.token;
  let isSending = false;
  let isConnected = true;
  let stream: AbortController | null = null;
  let lastId = 0;
  let seenSeq = 0;
  let isFirst = true;
  /** Sent again after a lost answer, the form after a chat is the same one. */
  let afterId: string | null = null;

  const changed = (): void => {
    store.write({ token: pendingToken, items: outbox });
    const unread = entries.filter((entry) => entry.author === 'person' && entry.seq > seenSeq).length;
    port.hearConversation(conversation, unread);
    onChange();
  };

  /** An answer holds one entry only, so it never moves the place the stream resumes from. */
  const take = (talk: VisitorTalk): void => {
    conversation = talk.conversation;
    entries = mergeEntries(entries, talk.entries);
  };

  const setToken = (token: string | null): void => port.memory.write({ ...port.memory.read(), token });
  if (!isToken(port.memory.read().token)) setToken(null);

  /** Whoever cannot be known any more begins anew, with the form before a chat. */
  const becomeUnknown = (): void => {
    setToken(null);
    pendingToken = null;
    [conversation, entries, lastId] = [null, [], 0];
  };

  const headers = (): Record<string, string> => {
    const { token } = port.memory.read();
    return token === null ? {} : { Authorization: `Bearer ${token}` };
  };

  /** What names the design something is said under ([L10]). */
  const under = () => ({ design: port.designName(), locale: port.frame.root.lang, widget: widgetKey() });
  /** Of a conversation that begins: whom it is for. */
  /** Whoever looks at the draft by a private link writes to try it. */
  const pass = () => {
    const kept = passOf(port.passKey);
    return kept === null ? {} : { pass: kept };
  };
  const asks = () => (conversation === null && port.asksFor() !== null ? { asks: port.asksFor() } : {});

  const post = (path: string, body: unknown): Promise<Response> =>
    fetch(`${port.base}/${path}`, {
      method: 'POST',
      credentials: 'omit',
      keepalive: true, // a change of page does not take it back
      headers: { 'Content-Type': 'application/json', ...headers() },
      body: JSON.stringify(body),
    });

  /** Sends the outbox, oldest first, one at a time; tries again until the server has taken or refused each. */
  const drain = async (): Promise<void> => {
    if (isSending) return;
    isSending = true;
    for (let tries = 0; outbox.length > 0;) {
      const [next] = outbox as [Outgoing];
      const outcome = await offer(next);
      if (outcome === 'later') {
        outbox = outbox.map((one) => ({ ...one, standing: 'waiting' }));
        changed();
        await pause(RETRY_MS[Math.min(tries++, RETRY_MS.length - 1)] ?? 30000);
        continue;
      }
      tries = 0;
      outbox = outbox.slice(1);
      if (outcome !== 'taken') refused = { ...next, faults: outcome };
      changed();
    }
    isSending = false;
  };

  /** Refused for good: what of its form does not fit, by field. */
  const offer = async (one: Outgoing): Promise<'taken' | 'later' | CheckedReplies['faults']> => {
    const newToken = port.memory.read().token === null ? (pendingToken ??= newVisitorToken()) : undefined;
    const said = {
      ...under(),
      ...asks(),
      ...pass(),
      newToken,
      clientId: one.clientId,
      body: one.body,
      page: one.page,
    };
    try {
      const response = await (one.note === null
        ? post('messages', { ...said, replies: one.before, trail: one.trail })
        : post('notes', { ...said, ...one.note }));
      if (response.status === 401) {
        becomeUnknown();
        restartStream(true); // the old one would go on telling of the conversation it was opened for
        return 'later';
      }
      if (response.status === 429 || response.status >= 500) return 'later';
      if (!response.ok)
        return (
          ((await response.json().catch(() => ({}))) as { faults?: CheckedReplies['faults'] }).faults ?? {}
        );
      const answer = (await response.json()) as SentAnswer;
      if (newToken !== undefined) setToken(newToken);
      take(answer);
      restartStream(newToken !== undefined);
      port.setAsksAgain(false);
      return 'taken';
    } catch {
      return 'later';
    }
  };

  const add = (body: string, note: NoteReplies | null, before?: Replies, trail?: Memory['trail']): void => {
    if (port.memory.read().token === null) pendingToken ??= newVisitorToken();
    outbox = [
      ...outbox,
      {
        clientId: newEntryId(),
        body,
        note,
        ...(before === undefined ? {} : { before }),
        ...(trail === undefined ? {} : { trail }),
        page: port.page().slice(0, 2048),
        standing: 'sending',
      },
    ];
    changed();
    void drain();
  };

  /** Keeps one stream; each break resumes after the last id, later and later. */
  const run = async (own: AbortController): Promise<void> => {
    for (let tries = 0; !own.signal.aborted;) {
      try {
        const response = await fetch(`${port.base}/stream`, {
          credentials: 'omit',
          signal: own.signal,
          headers: { ...headers(), 'Last-Event-ID': String(lastId) },
        });
        if (response.status === 401) becomeUnknown();
        if (!response.ok || response.body === null)
          throw new Error(`The stream answered ${response.status}.`);
        tries = 0;
        setConnected(true);
        await readAll(response.body, hear);
      } catch {
        // Fall through: the stream is opened again below.
      }
      if (own.signal.aborted) return;
      setConnected(false);
      await pause(RETRY_MS[Math.min(tries++, RETRY_MS.length - 1)] ?? 30000);
    }
  };

  const setConnected = (value: boolean): void => {
    if (isConnected === value) return;
    isConnected = value;
    changed();
  };

  const hear = (name: string, id: string | null, data: string): void => {
    if (name === 'beat') return port.hearTeams(null, port.surroundings.now());
    const painted: unknown = JSON.parse(data);
    if (name === 'teams')
      return port.hearTeams((painted as { teams: Record<string, TeamState> }).teams, port.surroundings.now());
    if (name === 'news') return void setTimeout(port.ask, Math.random() * NEWS_SPREAD_MS);
    if (name === 'reload') return void begin();
    if (name === 'forgotten') [conversation, entries, lastId] = [null, [], 0];
    if (name === 'conversation') conversation = painted as ConversationFacts;
    if (name === 'entry') {
      entries = mergeEntries(entries, [painted as VisitorEntry]);
      lastId = Math.max(lastId, Number(id ?? 0));
    }
    changed();
  };

  const restartStream = (hasNewToken: boolean): void => {
    if (!hasNewToken || stream === null) return;
    stream.abort();
    stream = new AbortController();
    void run(stream);
  };

  const begin = async (): Promise<void> => {
    if (port.memory.read().token === null) return;
    const response = await fetch(`${port.base}/conversation`, { credentials: 'omit', headers: headers() });
    if (response.status === 401) becomeUnknown();
    if (!response.ok) return;
    const talk = (await response.json()) as VisitorTalk | { conversation: null };
    if (talk.conversation !== null) take(talk);
    lastId = Math.max(lastId, ...entries.map(({ id }) => id));
    if (isFirst) seenSeq = Math.max(0, ...entries.map(({ seq }) => seq));
    isFirst = false;
    changed();
  };

  if (outbox.length > 0) void drain();

  return {
    picture: () => ({ conversation, entries, outbox, isConnected, refused }),
    begin,
    send: (body, before, isFirst = false) =>
      add(
        body,
        null,
        before,
        isFirst ? withinLevel(port.memory.read(), port.memory.level()).trail : undefined,
      ),
    giveAfter: async (replies) => {
      afterId ??= newEntryId();
      const response = await post('after', { ...under(), clientId: afterId, replies });
      if (!response.ok) throw new Error(`The form was answered ${response.status}.`);
      afterId = null;
      take({ ...((await response.json()) as VisitorTalk), entries: [] });
      changed();
    },
    leaveNote: (body, replies) => add(body, replies),
    end: async () => {
      const response = await post('end', {});
      if (response.ok) take((await response.json()) as VisitorTalk);
      changed();
    },
    forget: async () => {
      const response = await post('forget', {});
      if (!response.ok && response.status !== 401)
        throw new Error(`Forgetting was answered ${response.status}.`);
      port.memory.write(EMPTY_MEMORY);
      becomeUnknown();
      [outbox, refused, afterId, seenSeq] = [[], null, null, 0];
      restartStream(true); // the old one belongs to somebody who is known
      changed();
    },
    takeBackRefused: () => {
      refused = null;
    },
    sawAll: () => {
      seenSeq = Math.max(seenSeq, ...entries.map(({ seq }) => seq));
    },
    setListening: (value) => {
      if (value === (stream !== null)) return;
      stream?.abort();
      stream = value ? new AbortController() : null;
      if (stream !== null) void run(stream);
    },
  };
}

async function readAll(
  body: ReadableStream<Uint8Array>,
  hear: (name: string, id: string | null, data: string) => void,
): Promise<void> {
  const cut = eventCutter(({ name, id, data }) => hear(name, id, data));
  const decoder = new TextDecoder();
  const reader = body.getReader();
  for (let part = await reader.read(); !part.done; part = await reader.read())
    cut(decoder.decode(part.value, { stream: true }));
}

/** Storage that throws counts as none. */
function passOf(key: string): string | null {
  try {
    return sessionStorage.getItem(key);
  } catch {
    return null;
  }
}

/** [V8] A damaged one counts as none. */
function isToken(kept: unknown): boolean {
  return typeof kept === 'string' && /^[\w-]{20,80}$/.test(kept);
}
