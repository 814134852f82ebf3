import { type ExpressionBuilder, sql } from 'kysely';
import type { EpochMs } from '../../core/model/units';
import type { ConversationFacts } from '../../core/model/conversation';
import type { Db } from '../db/open';
import type { Schema } from '../db/schema';

export type ConversationRow = Schema['conversation'];

export async function insertConversation(db: Db, row: ConversationRow): Promise<void> {
  await db.insertInto('conversation').values(row).execute();
}

/** The one conversation a visitor stands in: their newest. */
export async function findConversationOf(
  db: Db,
  siteId: string,
  visitorId: string,
): Promise<ConversationRow | null> {
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
  return (
    (await db
      .selectFrom('conversation')
      .selectAll()
      .where('site_id', '=', siteId)
      .where('id', '=', id)
      .executeTakeFirst()) ?? null
  );
}

export async function updateConversation(
  db: Db,
  siteId: string,
  id: string,
  change: Partial<Omit<ConversationRow, 'site_id' | 'id'>>,
): Promise<void> {
  await db
    .updateTable('conversation')
    .set(change)
    .where('site_id', '=', siteId)
    .where('id', '=', id)
    .execute();
}

/** Conversations of all sites that run and have been quiet since before an instant; the server looks after each of them. */
export async function listRunning(db: Db, quietSince: EpochMs): Promise<ConversationRow[]> {
  const quiet = await Promise.all(
    (['asked', 'joined'] as const).map((status) =>
      db
        .selectFrom('conversation')
        .selectAll()
        .where('status', '=', status)
        .where('last_entry_ms', '<=', quietSince)
        .orderBy('last_entry_ms')
        .limit(500)
        .execute(),
    ),
  );
  return quiet.flat();
}

export async function listConversationIds(db: Db, siteId: string, visitorId: string): Promise<string[]> {
  const rows = await db
    .selectFrom('conversation')
    .select('id')
    .where('site_id', '=', siteId)
    .where('visitor_id', '=', visitorId)
    .execute();
  return rows.map(({ id }) => id);
}

/** Questions of a site that nobody has joined yet, longest waiting first; of them at most so many. */
export async function listAsked(
  db: Db,
  siteId: string,
  limit: number,
): Promise<{ id: string; visitor_id: string }[]> {
  return db
    .selectFrom('conversation')
    .select(['id', 'visitor_id'])
    .where('site_id', '=', siteId)
    .where('status', '=', 'asked')
    .orderBy('asked_ms')
    .limit(limit)
    .execute();
}

/** The conversation's facts as its visitor may know them. */
export async function getFacts(db: Db, siteId: string, id: string): Promise<ConversationFacts> {
  const row = await db
    .selectFrom('conversation')
    .leftJoin('person', 'person.id', 'conversation.assigned_to')
    .leftJoin('visitor', (on) =>
      on
        .onRef('visitor.site_id', '=', 'conversation.site_id')
        .onRef('visitor.id', '=', 'conversation.visitor_id'),
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
        .where('earlier.status', '=', 'asked')
        .whereRef('earlier.team_id', 'is', 'conversation.team_id')
        .where('earlier.is_practice', '=', 0)
        .where((eb) =>
          eb.or([
            eb('earlier.asked_ms', '<', eb.ref('conversation.asked_ms')),
            eb.and([
              eb('earlier.asked_ms', '=', eb.ref('conversation.asked_ms')),
              eb('earlier.id', '<', eb.ref('conversation.id')),
            ]),
          ]),
        )
        .as('earlier'),
    )
    .where('conversation.site_id', '=', siteId)
    .where('conversation.id', '=', id)
    .executeTakeFirstOrThrow();
  return {
    id: row.id,
    standing: row.status,
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
    place: row.status === 'asked' ? (row.earlier ?? 0) + 1 : null,
    isAfterGiven: (row.after_given ?? 0) > 0,
  };
}

/** [M3] When the oldest message of the visitor was stored that no responder has written after; lines of the server answer nothing. */
function waitingSince({ selectFrom }: ExpressionBuilder<Schema, 'conversation'>, siteId: string, id: string) {
  const ofThis = () =>
    selectFrom('entry').where('entry.site_id', '=', siteId).where('entry.conversation_id', '=', id);
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
