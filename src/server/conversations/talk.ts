import type { EntryPage, VisitorEntry, VisitorTalk } from '../../core/wire/talk';
import type { ConversationFacts } from '../../core/model/conversation';
import { LIMITS } from '../../core/limits';
import { findHeadOf, listConversationIds } from './conversations.repository';
import { getFacts } from './facts.repository';
import { listEntriesBefore } from './entries.repository';
import type { Db, Tx } from '../db/open';
import type { State } from '../state';
import { type Writer, knownVisitor } from './writer';

/** The newest of what a visitor and ours have said to each other, over all conversations; null where they have none. Throws TokenError. */
export async function getTalk(
  { db }: Pick<State, 'db'>,
  writer: Writer,
  before: number | null = null,
): Promise<{ visitorId: string; talk: VisitorTalk | null }> {
  const { siteId } = writer;
  const visitorId = await knownVisitor(db, writer);
  const row = await findHeadOf(db, siteId, visitorId);
  if (row === null) return { visitorId, talk: null };
  const [conversation, ids] = await Promise.all([
    getFacts(db, siteId, row.id),
    listConversationIds(db, siteId, visitorId),
  ]);
  const page = await pageOf(db, siteId, ids, before);
  return { visitorId, talk: { conversation, ...partedAt(row.id, page) } };
}

/** The conversation a visitor stands in; null where they have none. Throws TokenError. */
export async function getStanding(
  { db }: Pick<State, 'db'>,
  writer: Writer,
): Promise<ConversationFacts | null> {
  const row = await findHeadOf(db, writer.siteId, await knownVisitor(db, writer));
  return row === null ? null : getFacts(db, writer.siteId, row.id);
}

/** The newest entries of several conversations, before an entry; oldest first. */
export async function pageOf(
  db: Db | Tx,
  siteId: string,
  ids: readonly string[],
  before: number | null,
): Promise<EntryPage> {
  const limit = LIMITS.entriesPerPage;
  const newest = await listEntriesBefore(db, siteId, ids, before, limit + 1);
  return { entries: newest.slice(-limit), hasEarlier: newest.length > limit };
}

/** Entries of one conversation, and apart from them those of the others. */
export function partedAt(
  id: string,
  { entries, hasEarlier }: EntryPage,
): EntryPage & { readonly earlier: readonly VisitorEntry[] } {
  return {
    entries: entries.filter(({ conversationId }) => conversationId === id),
    earlier: entries.filter(({ conversationId }) => conversationId !== id),
    hasEarlier,
  };
}
