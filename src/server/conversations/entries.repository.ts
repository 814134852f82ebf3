import { sql } from 'kysely';
import type { EpochMs } from '../../core/model/units';
import type { VisitorEntry } from '../../core/wire/talk';
import type { Db } from '../db/open';
import type { Schema } from '../db/schema';
import type { ConversationRow } from './conversations.repository';
import { faceOf } from '../accounts/members.repository';

export type NewEntry = Pick<
  Schema['entry'],
  'kind' | 'author' | 'person_id' | 'client_id' | 'body' | 'page' | 'written_ms'
>;

export async function findEntryByClientId(
  db: Db,
  siteId: string,
  conversationId: string,
  author: string,
  clientId: string,
): Promise<VisitorEntry | null> {
  const row = await entryQuery(db, siteId)
    .where('entry.conversation_id', '=', conversationId)
    .where('entry.author', '=', author as 'visitor')
    .where('entry.client_id', '=', clientId)
    .executeTakeFirst();
  return row === undefined ? null : toEntry(row);
}

/** What a visitor has sent under an id of their browser's, in whichever of their conversations. */
export async function findEntryOfVisitor(
  db: Db,
  siteId: string,
  visitorId: string,
  clientId: string,
): Promise<VisitorEntry | null> {
  const row = await entryQuery(db, siteId)
    .innerJoin('conversation', (on) =>
      on
        .onRef('conversation.site_id', '=', 'entry.site_id')
        .onRef('conversation.id', '=', 'entry.conversation_id'),
    )
    .where('conversation.site_id', '=', siteId)
    .where('conversation.visitor_id', '=', visitorId)
    .where('entry.author', '=', 'visitor')
    .where('entry.client_id', '=', clientId)
    .executeTakeFirst();
  return row === undefined ? null : toEntry(row);
}

/** Adds the next entry; its `seq` is the conversation's last one + 1, in the same transaction. */
export async function appendEntry(
  db: Db,
  conversation: ConversationRow,
  entry: NewEntry,
  at: EpochMs,
): Promise<VisitorEntry> {
  const { site_id: siteId, id } = conversation;
  const counted = await db
    .updateTable('conversation')
    .set(({ eb }) => ({ last_seq: eb('last_seq', '+', 1), last_entry_ms: at }))
    .where('site_id', '=', siteId)
    .where('id', '=', id)
    .returning('last_seq')
    .executeTakeFirstOrThrow();
  const { id: entryId } = await db
    .insertInto('entry')
    .values({ ...entry, site_id: siteId, conversation_id: id, seq: counted.last_seq, stored_ms: at })
    .returning('id')
    .executeTakeFirstOrThrow();
  const row = await entryQuery(db, siteId).where('entry.id', '=', entryId).executeTakeFirstOrThrow();
  return toEntry(row);
}

/** Whether it was said already that a person has joined a conversation. */
export async function hasJoined(
  db: Db,
  siteId: string,
  conversationId: string,
  personId: string,
): Promise<boolean> {
  const row = await db
    .selectFrom('entry')
    .select('id')
    .where('site_id', '=', siteId)
    .where('conversation_id', '=', conversationId)
    .where('kind', '=', 'joined')
    .where('person_id', '=', personId)
    .limit(1)
    .executeTakeFirst();
  return row !== undefined;
}

/** Entries of several conversations after an id, oldest first; at most so many. */
export async function listEntriesAfter(
  db: Db,
  siteId: string,
  conversationIds: readonly string[],
  afterId: number,
  limit: number,
): Promise<VisitorEntry[]> {
  const entries = await ofEach(db, siteId, conversationIds, (query) =>
    query.where(ENTRY_ID, '>', afterId).orderBy('entry.seq').limit(limit),
  );
  return entries.slice(0, limit);
}

/** The newest entries of several conversations, before an id where one is given, oldest first; at most so many. */
export async function listEntriesBefore(
  db: Db,
  siteId: string,
  conversationIds: readonly string[],
  beforeId: number | null,
  limit: number,
): Promise<VisitorEntry[]> {
  const entries = await ofEach(db, siteId, conversationIds, (query) => {
    const newest = query.orderBy('entry.seq', 'desc').limit(limit);
    return beforeId === null ? newest : newest.where(ENTRY_ID, '<', beforeId);
  });
  return entries.slice(-limit);
}

/** Not looked up by itself: entries of one conversation stand in the order of their ids. */
const ENTRY_ID = sql<number>`+entry.id`;

/** Each conversation is read in its own order, which an index holds; then they are put in the order in which they were said. */
async function ofEach(
  db: Db,
  siteId: string,
  conversationIds: readonly string[],
  narrow: (query: ReturnType<typeof entryQuery>) => ReturnType<typeof entryQuery>,
): Promise<VisitorEntry[]> {
  const rows = await Promise.all(
    conversationIds.map((id) =>
      narrow(entryQuery(db, siteId).where('entry.conversation_id', '=', id)).execute(),
    ),
  );
  return rows
    .flat()
    .sort((a, b) => a.id - b.id)
    .map(toEntry);
}

/** Pages the visitor wrote from, by entry id, of a run of entries; for the desk only. */
export async function listEntryPages(
  db: Db,
  siteId: string,
  ids: readonly number[],
): Promise<Record<number, string>> {
  if (ids.length === 0) return {};
  const rows = await db
    .selectFrom('entry')
    .select(['id', 'page'])
    .where('site_id', '=', siteId)
    .where('id', 'in', ids)
    .where('page', 'is not', null)
    .execute();
  return Object.fromEntries(rows.map(({ id, page }) => [id, page ?? '']));
}

function entryQuery(db: Db, siteId: string) {
  return db
    .selectFrom('entry')
    .leftJoin('person', 'person.id', 'entry.person_id')
    .leftJoin('site_member', (on) =>
      on
        .onRef('site_member.site_id', '=', 'entry.site_id')
        .onRef('site_member.person_id', '=', 'entry.person_id'),
    )
    .select([
      'entry.id',
      'entry.conversation_id',
      'entry.seq',
      'entry.kind',
      'entry.author',
      'entry.client_id',
      'entry.body',
      'entry.stored_ms',
    ])
    .select(['person.name', 'site_member.face_json'])
    .where('entry.site_id', '=', siteId);
}

type EntryRow = Awaited<ReturnType<ReturnType<typeof entryQuery>['execute']>>[number];

function toEntry(row: EntryRow): VisitorEntry {
  return {
    id: row.id,
    conversationId: row.conversation_id,
    seq: row.seq,
    kind: row.kind,
    author: row.author === 'system' ? 'house' : row.author, // version 1 of the wire calls it so
    clientId: row.client_id,
    name: row.name,
    face: faceOf(row.face_json),
    body: row.body,
    storedMs: row.stored_ms,
  };
}

/** Entries of a whole site after an id, for a desk's stream that resumes. */
export async function listEntriesOfSite(
  db: Db,
  siteId: string,
  afterId: number,
  limit: number,
): Promise<VisitorEntry[]> {
  const rows = await entryQuery(db, siteId)
    .where('entry.id', '>', afterId)
    .orderBy('entry.id')
    .limit(limit)
    .execute();
  return rows.map(toEntry);
}
