import { type Selectable, sql } from 'kysely';
import type { EpochMs } from '../../core/model/units';
import type { VisitorEntry } from '../../core/wire/talk';
import { keptQuery } from '../db/kept-query';
import type { Db } from '../db/open';
import type { Schema } from '../db/schema';
import type { ConversationHead } from './conversations.repository';
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
  const [row] = await findSent(db, { siteId, conversationId, author: author as 'visitor', clientId });
  return row === undefined ? null : toEntry(row);
}

const findSent = keptQuery((db: Db, sent: Sent & { conversationId: string; author: 'visitor' }) =>
  entryQuery(db, sent.siteId)
    .where('entry.conversation_id', '=', sent.conversationId)
    .where('entry.author', '=', sent.author)
    .where('entry.client_id', '=', sent.clientId),
);

interface Sent {
  readonly siteId: string;
  readonly clientId: string;
}

/** What a visitor has sent under an id of their browser's, in whichever of their conversations. */
export async function findEntryOfVisitor(
  db: Db,
  siteId: string,
  visitorId: string,
  clientId: string,
): Promise<VisitorEntry | null> {
  const [row] = await findSentByVisitor(db, { siteId, visitorId, clientId });
  return row === undefined ? null : toEntry(row);
}

const findSentByVisitor = keptQuery((db: Db, { siteId, visitorId, clientId }: Sent & { visitorId: string }) =>
  entryQuery(db, siteId)
    .innerJoin('conversation', (on) =>
      on
        .onRef('conversation.site_id', '=', 'entry.site_id')
        .onRef('conversation.id', '=', 'entry.conversation_id'),
    )
    .where('conversation.site_id', '=', siteId)
    .where('conversation.visitor_id', '=', visitorId)
    .where('entry.author', '=', 'visitor')
    .where('entry.client_id', '=', clientId),
);

/** Adds the next entry; its `seq` is the conversation's last one + 1, in the same transaction. Throws where the conversation is gone. */
export async function appendEntry(
  db: Db,
  conversation: ConversationHead,
  entry: NewEntry,
  at: EpochMs,
): Promise<VisitorEntry> {
  const { site_id: siteId, id } = conversation;
  const [counted] = await countEntry(db, { siteId, id, at, effect: effectOf(entry) });
  if (counted === undefined) throw new Error('Expected the conversation that is written into: it is gone.');
  const seq = counted.last_seq;
  const row = { ...entry, site_id: siteId, conversation_id: id, seq, stored_ms: at };
  const [stored] = await insertRow(db, row);
  if (stored === undefined) throw new Error('Expected the id of the entry that was stored.');
  const [author] =
    entry.person_id === null ? [] : await findAuthor(db, { siteId, personId: entry.person_id });
  return toEntry({ ...row, id: stored.id, name: author?.name ?? null, face_json: author?.face_json ?? null });
}

/** [M3] What an entry does to how long its visitor has waited; a line of the server does nothing. */
function effectOf({ author, kind }: NewEntry): Counted['effect'] {
  if (author === 'visitor' && kind !== 'ended') return 'asks';
  return author === 'person' && kind === 'message' ? 'answers' : 'none';
}

interface Counted {
  readonly siteId: string;
  readonly id: string;
  readonly at: EpochMs;
  readonly effect: 'asks' | 'answers' | 'none';
}

const countEntry = keptQuery((db: Db, { siteId, id, at, effect }: Counted) =>
  db
    .updateTable('conversation')
    .set(({ eb, ref }) => ({
      last_seq: eb('last_seq', '+', 1),
      last_entry_ms: at,
      waiting_ms: eb
        .case(sql<Counted['effect']>`${effect}`)
        .when('none')
        .then(ref('waiting_ms'))
        .when('asks')
        .then(eb.case().when('waiting_ms', '>=', ref('asked_ms')).then(ref('waiting_ms')).else(at).end())
        .end(),
      // Whatever is said keeps it from ending.
      ends_ms: eb
        .case(sql<Counted['effect']>`${effect}`)
        .when('none')
        .then(ref('ends_ms'))
        .end(),
    }))
    .where('site_id', '=', siteId)
    .where('id', '=', id)
    .returning('last_seq'),
);

const insertRow = keptQuery((db: Db, row: Omit<Selectable<Schema['entry']>, 'id'>) =>
  db
    .insertInto('entry')
    .values({
      ...{ site_id: row.site_id, conversation_id: row.conversation_id, seq: row.seq, kind: row.kind },
      ...{ author: row.author, person_id: row.person_id, client_id: row.client_id, body: row.body },
      ...{ page: row.page, written_ms: row.written_ms, stored_ms: row.stored_ms },
    })
    .returning('id'),
);

const findAuthor = keptQuery((db: Db, { siteId, personId }: { siteId: string; personId: string }) =>
  db
    .selectFrom('person')
    .leftJoin('site_member', (on) =>
      on.onRef('site_member.person_id', '=', 'person.id').on('site_member.site_id', '=', siteId),
    )
    .select(['person.name', 'site_member.face_json'])
    .where('person.id', '=', personId),
);

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
