import type { ConversationFacts } from '../../core/model/conversation';
import type { DeskConversation } from '../../core/wire/desk';
import type { VisitorEntry } from '../../core/wire/talk';
import type { Db, Tx } from '../db/open';
import { deskChannel, visitorChannel } from '../facts/presence';
import type { State } from '../state';
import { findHeadOf } from './conversations.repository';
import { findDeskConversation } from './desk-conversations.repository';
import { getFacts } from './facts.repository';

/** Whose windows are told. */
export interface Hearers {
  readonly siteId: string;
  readonly visitorId: string;
}

/** What is told besides the entries themselves; null, or not there: it was not read, as nobody listened. */
export interface Telling {
  /** How the conversation stands that the visitor stands in. */
  readonly standing: ConversationFacts | null;
  /** Conversations as a desk lists them, by id. */
  readonly summaries: ReadonlyMap<string, DeskConversation | null>;
}

/** Reads what is told with entries, as far as somebody listens: in the transaction that stores them, where that is cheapest. `standing`, where it is known already. */
export async function readTelling(
  db: Db | Tx,
  { hub }: Pick<State, 'hub'>,
  { siteId, visitorId }: Hearers,
  {
    entries,
    standing: known = null,
  }: { entries: readonly VisitorEntry[]; standing?: ConversationFacts | null },
): Promise<Telling> {
  const isHeard = known === null && hub.count(visitorChannel(siteId, visitorId)) > 0;
  const ids = hub.count(deskChannel(siteId)) > 0 ? entries.map((entry) => entry.conversationId) : [];
  const summaries = new Map<string, DeskConversation | null>();
  for (const id of new Set(ids)) summaries.set(id, await findDeskConversation(db, siteId, id));
  return { standing: isHeard ? await findStanding(db, siteId, visitorId) : known, summaries };
}

async function findStanding(
  db: Db | Tx,
  siteId: string,
  visitorId: string,
): Promise<ConversationFacts | null> {
  const row = await findHeadOf(db, siteId, visitorId);
  return row === null ? null : getFacts(db, siteId, row.id);
}

/**
 * Tells the visitor's streams and the desks of entries that were stored together, and how the conversation the visitor
 * stands in stands since. An entry of an earlier conversation has a name of its own, so that windows of an earlier
 * program do not take it for one of the conversation they show.
 */
export async function tellEntries(
  state: State,
  hearers: Hearers,
  entries: readonly VisitorEntry[],
  read: Telling | null = null,
): Promise<void> {
  const { siteId, visitorId } = hearers;
  const { hub, db } = state;
  const [own, desk] = [visitorChannel(siteId, visitorId), deskChannel(siteId)];
  const telling = read ?? (await readTelling(db, state, hearers, { entries }));
  // Who has begun to listen since it was read is told all the same.
  const isHeard = hub.count(own) > 0;
  const standing = isHeard ? (telling.standing ?? (await findStanding(db, siteId, visitorId))) : null;
  for (const entry of entries) {
    const id = entry.conversationId;
    const isCurrent = standing?.id === id;
    if (isCurrent) hub.send(own, { name: 'conversation', data: standing });
    if (isHeard) hub.send(own, { name: isCurrent ? 'entry' : 'earlier-entry', id: entry.id, data: entry });
    if (hub.count(desk) === 0) continue;
    const conversation = telling.summaries.get(id) ?? (await findDeskConversation(db, siteId, id));
    hub.send(desk, { name: 'entry', id: entry.id, data: { conversation, entry } });
  }
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
