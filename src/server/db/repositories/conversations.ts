import { type ExpressionBuilder, sql } from 'kysely';
import type { EpochMs } from '../../../core/model/units';
import type { DeskConversation } from '../../../core/wire/desk';
import type { ConversationFacts, VisitorEntry } from '../../../core/wire/talk';
import type { Db } from '../open';
import type { Schema } from '../schema';

export type ConversationRow = Schema['conversation'];
export type NewEntry = Pick<Schema['entry'], 'kind' | 'author' | 'person_id' | 'client_id' | 'body' | 'page' | 'written_ms'>;

export async function insertConversation(db: Db, row: ConversationRow): Promise<void> {
  await db.insertInto('conversation').values(row).execute();
}

/** The one conversation a visitor stands in: their newest. */
export async function findConversationOf(db: Db, siteId: string, visitorId: string): Promise<ConversationRow | null> {
  const row = await db
    .selectFrom('conversation')
    .selectAll()
    .where('site_id', '=', siteId)
    .where('visitor_id', '=', visitorId)
    .orderBy('id', 'desc')
    .limit(1)
    .executeTakeFirst();
  return row ?? null;
}

export async function findConversation(db: Db, siteId: string, id: string): Promise<ConversationRow | null> {
  return (await db.selectFrom('conversation').selectAll().where('site_id', '=', siteId).where('id', '=', id).executeTakeFirst()) ?? null;
}

export async function updateConversation(
  db: Db,
  siteId: string,
  id: string,
  change: Partial<Omit<ConversationRow, 'site_id' | 'id'>>,
): Promise<void> {
  await db.updateTable('conversation').set(change).where('site_id', '=', siteId).where('id', '=', id).execute();
}

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
export async function appendEntry(db: Db, conversation: ConversationRow, entry: NewEntry, at: EpochMs): Promise<VisitorEntry> {
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

/** Entries of a conversation after an id, oldest first. */
export async function listEntries(db: Db, siteId: string, conversationId: string, afterId: number, limit: number): Promise<VisitorEntry[]> {
  const rows = await entryQuery(db, siteId)
    .where('entry.conversation_id', '=', conversationId)
    .where('entry.id', '>', afterId)
    .orderBy('entry.id')
    .limit(limit)
    .execute();
  return rows.map(toEntry);
}

/** Conversations of all sites that run and have been quiet since before an instant; the house looks after each of them. */
export async function listRunning(db: Db, quietSince: EpochMs): Promise<ConversationRow[]> {
  return db
    .selectFrom('conversation')
    .selectAll()
    .where('standing', 'in', ['asked', 'joined'])
    .where('last_entry_ms', '<=', quietSince)
    .orderBy('last_entry_ms')
    .limit(500)
    .execute();
}

export async function listConversationIds(db: Db, siteId: string, visitorId: string): Promise<string[]> {
  const rows = await db.selectFrom('conversation').select('id').where('site_id', '=', siteId).where('visitor_id', '=', visitorId).execute();
  return rows.map(({ id }) => id);
}

/** Questions of a site that nobody has joined yet, longest waiting first; of them at most so many. */
export async function listAsked(db: Db, siteId: string, limit: number): Promise<{ id: string; visitor_id: string }[]> {
  return db
    .selectFrom('conversation')
    .select(['id', 'visitor_id'])
    .where('site_id', '=', siteId)
    .where('standing', '=', 'asked')
    .orderBy('asked_ms')
    .limit(limit)
    .execute();
}

/** Pages the visitor wrote from, by entry id; for the desk only. */
export async function listEntryPages(db: Db, siteId: string, conversationId: string): Promise<Record<number, string>> {
  const rows = await db
    .selectFrom('entry')
    .select(['id', 'page'])
    .where('site_id', '=', siteId)
    .where('conversation_id', '=', conversationId)
    .where('page', 'is not', null)
    .execute();
  return Object.fromEntries(rows.map(({ id, page }) => [id, page ?? '']));
}

/** The conversation's facts as its visitor may know them. */
export async function getFacts(db: Db, siteId: string, id: string): Promise<ConversationFacts> {
  const row = await db
    .selectFrom('conversation')
    .leftJoin('person', 'person.id', 'conversation.assigned_to')
    .leftJoin('visitor', (on) =>
      on.onRef('visitor.site_id', '=', 'conversation.site_id').onRef('visitor.id', '=', 'conversation.visitor_id'),
    )
    .selectAll('conversation')
    .select(['person.name as responder', 'visitor.mail as mail'])
    .select((expression) => waitingSince(expression, siteId, id).as('waiting'))
    .select(({ selectFrom }) =>
      selectFrom('form_reply')
        .select(({ fn }) => fn.countAll<number>().as('given'))
        .where('form_reply.site_id', '=', siteId)
        .where('form_reply.conversation_id', '=', id)
        .where('form_reply.place', '=', 'after')
        .whereRef('form_reply.stored_ms', '>=', 'conversation.asked_ms')
        .as('after_given'),
    )
    .select(({ selectFrom }) =>
      selectFrom('conversation as earlier')
        .select(({ fn }) => fn.countAll<number>().as('before'))
        .whereRef('earlier.site_id', '=', 'conversation.site_id')
        .where('earlier.standing', '=', 'asked')
        .whereRef('earlier.team_id', 'is', 'conversation.team_id')
        .where((eb) =>
          eb.or([
            eb('earlier.asked_ms', '<', eb.ref('conversation.asked_ms')),
            eb.and([eb('earlier.asked_ms', '=', eb.ref('conversation.asked_ms')), eb('earlier.id', '<', eb.ref('conversation.id'))]),
          ]),
        )
        .as('earlier'),
    )
    .where('conversation.site_id', '=', siteId)
    .where('conversation.id', '=', id)
    .executeTakeFirstOrThrow();
  return {
    id: row.id,
    standing: row.standing,
    widgetKey: row.widget_key,
    askedMs: row.asked_ms,
    joinedMs: row.joined_ms,
    endedMs: row.ended_ms,
    endedBy: row.ended_by,
    responderName: row.responder,
    noteMail: row.answers_json === null ? null : row.mail,
    isAnswered: row.answers_json !== null && row.joined_ms !== null,
    lastMs: row.last_entry_ms,
    waitingMs: row.waiting,
    teamId: row.team_id,
    place: row.standing === 'asked' ? (row.earlier ?? 0) + 1 : null,
    isAfterGiven: (row.after_given ?? 0) > 0,
  };
}

/** [M3] When the oldest message of the visitor was stored that no responder has written after; lines of the house answer nothing. */
function waitingSince({ selectFrom }: ExpressionBuilder<Schema, 'conversation'>, siteId: string, id: string) {
  const ofThis = () => selectFrom('entry').where('entry.site_id', '=', siteId).where('entry.conversation_id', '=', id);
  return ofThis()
    .where('entry.author', '=', 'visitor')
    .where('entry.kind', 'in', ['message', 'note'])
    .whereRef('entry.stored_ms', '>=', 'conversation.asked_ms')
    .where(({ eb }) =>
      eb(
        'entry.seq',
        '>',
        ofThis()
          .where('entry.author', '=', 'person')
          .where('entry.kind', '=', 'message')
          .select(({ fn }) => fn.coalesce(fn.max('entry.seq'), sql<number>`0`).as('answered')),
      ),
    )
    .select(({ fn: { min } }) => min('entry.stored_ms').as('since'));
}

/** Everything that still wants somebody, however old: questions nobody has joined before all else, so that no bound cuts them off. */
export async function listOpenDeskConversations(db: Db, siteId: string, limit: number): Promise<DeskConversation[]> {
  const query = deskQuery(db, siteId).where('conversation.standing', 'in', ['asked', 'joined', 'note']);
  const rows = await query
    .orderBy(sql`conversation.standing = 'asked'`, 'desc')
    .orderBy('conversation.last_entry_ms', 'desc')
    .limit(limit)
    .execute();
  return rows.map(toDesk);
}

/** Ended ones, newest first; `before` pages back. */
export async function listEndedDeskConversations(
  db: Db,
  siteId: string,
  before: EpochMs | null,
  limit: number,
): Promise<DeskConversation[]> {
  let query = deskQuery(db, siteId).where('conversation.standing', '=', 'ended').orderBy('conversation.last_entry_ms', 'desc').limit(limit);
  if (before !== null) query = query.where('conversation.last_entry_ms', '<', before);
  return (await query.execute()).map(toDesk);
}

export async function findDeskConversation(db: Db, siteId: string, id: string): Promise<DeskConversation | null> {
  const row = await deskQuery(db, siteId).where('conversation.id', '=', id).executeTakeFirst();
  return row === undefined ? null : toDesk(row);
}

function deskQuery(db: Db, siteId: string) {
  return db
    .selectFrom('conversation')
    .innerJoin('visitor', (on) =>
      on.onRef('visitor.site_id', '=', 'conversation.site_id').onRef('visitor.id', '=', 'conversation.visitor_id'),
    )
    .leftJoin('person', 'person.id', 'conversation.assigned_to')
    .select(({ selectFrom }) => [
      'conversation.id',
      'conversation.standing',
      'conversation.page',
      'conversation.team_id',
      'conversation.assigned_to',
      'conversation.asked_ms',
      'conversation.last_entry_ms',
      'visitor.name as visitor_name',
      'visitor.mail as visitor_mail',
      'visitor.locale',
      'person.name as responder_name',
      selectFrom('entry')
        .select('entry.author')
        .whereRef('entry.conversation_id', '=', 'conversation.id')
        .where('entry.kind', 'in', ['message', 'note'])
        .orderBy('entry.seq', 'desc')
        .limit(1)
        .as('last_author'),
      selectFrom('entry')
        .select('entry.body')
        .whereRef('entry.conversation_id', '=', 'conversation.id')
        .where('entry.kind', 'in', ['message', 'note'])
        .orderBy('entry.seq', 'desc')
        .limit(1)
        .as('last_body'),
      selectFrom('entry')
        .select(({ fn }) => fn.min<number>('entry.stored_ms').as('since'))
        .whereRef('entry.conversation_id', '=', 'conversation.id')
        .where('entry.author', '=', 'visitor')
        .where('entry.kind', 'in', ['message', 'note'])
        .where(
          'entry.seq',
          '>',
          sql<number>`(select coalesce(max(ours.seq), 0) from entry as ours where ours.conversation_id = conversation.id and ours.author = 'person' and ours.kind = 'message')`,
        )
        .as('waiting_since'),
    ])
    .where('conversation.site_id', '=', siteId);
}

type DeskRow = Awaited<ReturnType<ReturnType<typeof deskQuery>['execute']>>[number];

function toDesk(row: DeskRow): DeskConversation {
  const isOpen = row.standing !== 'ended';
  return {
    id: row.id,
    standing: row.standing,
    visitorName: row.visitor_name,
    visitorMail: row.visitor_mail,
    locale: row.locale,
    page: row.page,
    teamId: row.team_id,
    responderId: row.assigned_to,
    responderName: row.responder_name,
    askedMs: row.asked_ms,
    lastEntryMs: row.last_entry_ms,
    lastAuthor: row.last_author ?? 'visitor',
    lastBody: row.last_body ?? '',
    waitingSinceMs: isOpen ? row.waiting_since : null,
  };
}

function entryQuery(db: Db, siteId: string) {
  return db
    .selectFrom('entry')
    .leftJoin('person', 'person.id', 'entry.person_id')
    .select(['entry.id', 'entry.seq', 'entry.kind', 'entry.author', 'entry.client_id', 'entry.body', 'entry.stored_ms', 'person.name'])
    .where('entry.site_id', '=', siteId);
}

type EntryRow = Awaited<ReturnType<ReturnType<typeof entryQuery>['execute']>>[number];

function toEntry(row: EntryRow): VisitorEntry {
  return {
    id: row.id,
    seq: row.seq,
    kind: row.kind,
    author: row.author,
    clientId: row.client_id,
    name: row.name,
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
