import type { CheckedReplies } from '../../core/forms/check';
import { withinLevel } from '../../core/decide/remember';
import { type ConversationFacts, isUnsettled } from '../../core/model/conversation';
import type { Replies } from '../../core/model/form';
import { EMPTY_MEMORY } from '../../core/model/memory';
import type { Moment, TeamState } from '../../core/model/moment';
import type { SentAnswer, VisitorEntry, VisitorTalk } from '../../core/wire/talk';
import type { PanelPort } from '../port';
import type { StreamEvent } from './event-stream';
import { newEntryId } from './ids';
import { type NoteReplies, type Outbox, type Outcome, type Outgoing, outboxWith } from './outbox';
import { pauseFor } from './retry';
import { type Session, sessionWith } from './session';
import { onWake } from '../surroundings';
import { type MessageStream, messageStream } from './stream';
import { type UnsentStore, unsentStore } from './unsent';
import { whereaboutsTeller } from './whereabouts';

export interface TalkPicture {
  readonly conversation: ConversationFacts | null;
  readonly entries: readonly VisitorEntry[];
  /** Whether there are entries before those that are here. */
  readonly hasEarlier: boolean;
  readonly outbox: readonly Outgoing[];
  readonly isConnected: boolean;
  /** What the server would not take: back to the field it came from. */
  readonly refused: Outgoing | null;
}

/** What goes along with what is written. */
interface HowSent {
  /** The form before a chat. */
  readonly before?: Replies | undefined;
  /** It may begin a conversation: the pages on the way go along. */
  readonly isFirst?: boolean;
  /** Something else is asked, however soon after a goodbye. */
  readonly anew?: boolean;
}

export interface Talk {
  picture(): TalkPicture;
  /** Reads what stands, if this visitor has written before. */
  begin(): Promise<void>;
  send(body: string, how?: HowSent): void;
  /** Reads the page before what is here. */
  readEarlier(): void;
  /** The form after a chat; throws where it could not be taken. */
  giveAfter(replies: Replies): Promise<void>;
  leaveNote(body: string, replies: NoteReplies): void;
  end(): Promise<void>;
  /** [V8] The server removes all first, then this browser; throws where the server could not be asked. */
  forget(): Promise<void>;
  takeBackRefused(): void;
  /** Everything here has been before the visitor's eyes. */
  sawAll(): void;
  /** Says what is shown to the desk. */
  tellWhereabouts(moment: Moment): void;
  /** Keeps the stream while the window is open or a conversation runs. */
  setListening(value: boolean): void;
}

export interface TalkPort extends PanelPort {
  /** The team the visitor asks for, by its id. */
  asksFor(): string | null;
  widgetKey(): string;
  onChange(): void;
}

/** The visitor's side of a conversation: a session with the server, an outbox, and the stream of what comes. */
export function talkWith(
  port: TalkPort,
  store: UnsentStore = unsentStore(port.memory.tabKey ?? '', port.memory.tabKey !== null),
): Talk {
  const session = sessionWith(port);
  const state = {
    isConnected: true,
    afterId: null as string | null,
    isReading: false,
    gap: null as number | null,
  };
  const whereabouts = whereaboutsTeller(port, session);
  const tab = newEntryId();
  const pause = (failedTries: number): Promise<void> => pauseFor(port.surroundings, failedTries);

  const changed = (): void => {
    outbox.keep();
    port.hearConversation(session.conversation(), session.unread());
    port.onChange();
  };
  /** Whoever cannot be known any more begins anew, with the form before a chat. */
  const becomeUnknown = (): void => {
    session.setToken(null);
    session.clear();
    outbox.dropToken();
  };
  const stream = messageStream({
    open: async (signal) => {
      const headers = { 'Last-Event-ID': String(session.lastId()) };
      const response = await session.fetch(`stream?tab=${tab}`, { signal, headers });
      if (response.status === 401) becomeUnknown();
      return response;
    },
    hear: (event) => hearEvent(event, { port, session, changed, readAnew, mindGap }),
    setConnected: (value) => {
      whereabouts.forget();
      if (state.isConnected === value) return;
      state.isConnected = value;
      changed();
    },
    pause,
    now: port.surroundings.now,
    wakeAt: port.surroundings.wakeAt,
    onWake,
  });
  const outbox: Outbox = outboxWith({
    store,
    offer: (one) => offer(one, { port, session, outbox, stream, becomeUnknown }),
    changed,
    pause,
  });
  const begin = async (): Promise<void> => {
    if (session.token() === null) return;
    const response = await session.fetch('conversation');
    if (response.status === 401) return becomeUnknown();
    if (!response.ok) throw new Error(`The conversation was answered ${response.status}.`);
    session.takeWhole((await response.json()) as VisitorTalk | { conversation: null });
    changed();
  };
  /** Something of it was missed: it is read anew, asked for later and later until it comes. */
  const readAnew = async (): Promise<void> => {
    if (state.isReading) return;
    state.isReading = true;
    for (let failedTries = 0; state.isReading;)
      await begin().then(
        () => {
          state.isReading = false;
        },
        () => pause(failedTries++),
      );
  };
  /** What is missing is read once; where it is missing still, the server has no more. */
  const mindGap = (): void => {
    const gap = session.gap();
    if (gap !== null && gap !== state.gap) void readAnew();
    state.gap = gap;
  };
  const add = (written: Pick<Outgoing, 'body' | 'note' | 'before' | 'trail' | 'anew'>): void => {
    if (session.token() === null) outbox.newToken();
    outbox.add({ ...written, page: port.page().slice(0, 2048) });
  };
  outbox.drain(); // what the page before left
  return {
    picture: () => ({
      conversation: session.conversation(),
      entries: session.entries(),
      hasEarlier: session.hasEarlier(),
      outbox: outbox.items(),
      isConnected: state.isConnected,
      refused: outbox.refused(),
    }),
    begin,
    send: (body, { before, isFirst = false, anew = false } = {}) => {
      const { trail } = withinLevel(port.memory.read(), port.memory.level());
      add({ body, note: null, ...(before && { before }), ...(isFirst && { trail }), ...(anew && { anew }) });
    },
    readEarlier: () => {
      const before = session.entries()[0]?.id ?? 0;
      const read = async (): Promise<void> => {
        const response = await session.fetch(`conversation?before=${before}`);
        if (response.ok) session.takeEarlier((await response.json()) as VisitorTalk);
        changed();
      };
      read().catch(() => undefined); // it can be asked for again
    },
    leaveNote: (body, note) => add({ body, note }),
    giveAfter: async (replies) => {
      state.afterId ??= newEntryId(); // sent again after a lost answer, it is the same one
      const response = await session.post('after', { ...under(port), clientId: state.afterId, replies });
      if (!response.ok) throw new Error(`The form was answered ${response.status}.`);
      state.afterId = null;
      session.take({ ...((await response.json()) as VisitorTalk), entries: [] });
      changed();
    },
    end: async () => {
      const response = await session.post('end', {});
      if (response.ok) session.take((await response.json()) as VisitorTalk);
      changed();
    },
    forget: async () => {
      const { ok, status } = await session.post('forget', {});
      if (!ok && status !== 401) throw new Error(`Forgetting was answered ${status}.`);
      port.memory.write(EMPTY_MEMORY);
      becomeUnknown();
      outbox.clear();
      state.afterId = null;
      stream.restart(); // the old one belongs to somebody who is known
      changed();
    },
    takeBackRefused: outbox.takeBackRefused,
    sawAll: session.sawAll,
    tellWhereabouts: whereabouts.tell,
    setListening: stream.listen,
  };
}

interface OfferPorts {
  readonly port: TalkPort;
  readonly session: Session;
  readonly outbox: Outbox;
  readonly stream: MessageStream;
  becomeUnknown(): void;
}

/** Offers one item to the server. What is no answer at all is tried again. */
async function offer(one: Outgoing, ports: OfferPorts): Promise<Outcome> {
  const { port, session, outbox, stream, becomeUnknown } = ports;
  const newToken = session.token() === null ? outbox.newToken() : undefined;
  const { clientId, body, page, note, before, trail, anew } = one;
  const team = isUnsettled(session.conversation()) ? null : port.asksFor(); // whom a conversation that begins is for
  const asks = team === null ? {} : { asks: team };
  const message = { ...under(port), ...asks, ...previewPass(port), newToken, clientId, body, page };
  try {
    const response = await (note === null
      ? session.post('messages', { ...message, replies: before, trail, anew })
      : session.post('notes', { ...message, ...note }));
    if (response.status === 401) {
      becomeUnknown();
      stream.restart(); // the old one would go on telling of the conversation it was opened for
      return 'later';
    }
    if (response.status === 429 || response.status >= 500) return 'later';
    if (!response.ok) return await faultsIn(response);
    const answer = (await response.json()) as SentAnswer;
    if (newToken !== undefined) session.setToken(newToken);
    session.take(answer);
    if (newToken !== undefined) stream.restart();
    port.setAsksAgain(false);
    return 'taken';
  } catch {
    return 'later'; // the line is down, or the answer broke off
  }
}

/** What of a form does not fit, by field; none where the refusal says nothing of it. */
async function faultsIn(response: Response): Promise<CheckedReplies['faults']> {
  const said = (await response.json().catch(() => ({}) /* not JSON: a refusal without fields */)) as {
    faults?: CheckedReplies['faults'];
  };
  return said.faults ?? {};
}

interface HearPorts {
  readonly port: TalkPort;
  readonly session: Session;
  changed(): void;
  readAnew(): Promise<void>;
  mindGap(): void;
}

/** [S7] What has changed is known within five seconds; open windows do not all ask at once. */
const NEWS_SPREAD_MS = 3000;

/** One event of the stream. */
function hearEvent(
  { name, id, data }: StreamEvent,
  { port, session, changed, readAnew, mindGap }: HearPorts,
): void {
  const { now, wakeAt } = port.surroundings;
  if (name === 'beat') return port.hearTeams(null, now());
  const told: unknown = JSON.parse(data);
  if (name === 'teams') return port.hearTeams((told as { teams: Record<string, TeamState> }).teams, now());
  if (name === 'news') return void wakeAt(now() + Math.random() * NEWS_SPREAD_MS, port.ask);
  if (name === 'reload') return void readAnew();
  if (name === 'forgotten') session.clear();
  if (name === 'conversation') session.takeConversation(told as ConversationFacts);
  if (name === 'entry' || name === 'earlier-entry') session.takeEntry(told as VisitorEntry, Number(id ?? 0));
  mindGap();
  changed();
}

/** What names the design something is said under ([L10]). */
function under(port: TalkPort): { design: string; locale: string; widget: string } {
  return { design: port.designName(), locale: port.frame.root.lang, widget: port.widgetKey() };
}

/** Whoever looks at the draft by a private link writes to try it. Storage that throws counts as none. */
function previewPass({ passKey }: TalkPort): { pass?: string } {
  try {
    const pass = sessionStorage.getItem(passKey);
    return pass === null ? {} : { pass };
  } catch {
    return {}; // blocked
  }
}
