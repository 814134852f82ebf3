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

/** Entries of a conversation after an id, oldest first. */
export async function listEntries(
  db: Db,
  siteId: string,
  conversationId: string,
  afterId: number,
  limit: number,
): Promise<VisitorEntry[]> {
  const rows = await entryQuery(db, siteId)
    .where('entry.conversation_id', '=', conversationId)
    .where('entry.id', '>', afterId)
    .orderBy('entry.id')
    .limit(limit)
    .execute();
  return rows.map(toEntry);
}

/** Pages the visitor wrote from, by entry id; for the desk only. */
export async function listEntryPages(
  db: Db,
  siteId: string,
  conversationId: string,
): Promise<Record<number, string>> {
  const rows = await db
    .selectFrom('entry')
    .select(['id', 'page'])
    .where('site_id', '=', siteId)
    .where('conversation_id', '=', conversationId)
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
): Promise<{ conversationId: string; entry: VisitorEntry }[]> {
  const rows = await entryQuery(db, siteId)
    .select('entry.conversation_id')
    .where('entry.id', '>', afterId)
    .orderBy('entry.id')
    .limit(limit)
    .execute();
  return rows.map((row) => ({ conversationId: row.conversation_id, entry: toEntry(row) }));
}
