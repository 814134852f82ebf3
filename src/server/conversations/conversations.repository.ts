import type { Selectable } from 'kysely';
import type { EpochMs } from '../../core/model/units';
import { keptQuery } from '../db/kept-query';
import type { Db } from '../db/open';
import type { Schema } from '../db/schema';

export type ConversationRow = Selectable<Schema['conversation']>;

/** Of a conversation what decides where something goes; a message reads no more of it. */
const HEAD = [
  ...(['site_id', 'id', 'visitor_id', 'team_id', 'widget_key', 'status', 'assigned_to', 'asked_ms'] as const),
  ...(['joined_ms', 'left_ms', 'missed_ms', 'ended_ms', 'last_entry_ms'] as const),
] as const;
export type ConversationHead = Pick<ConversationRow, (typeof HEAD)[number]>;

export async function insertConversation(db: Db, row: ConversationRow): Promise<void> {
  await insertRow(db, row);
}

const insertRow = keptQuery((db: Db, row: ConversationRow) =>
  db.insertInto('conversation').values({
    ...{ site_id: row.site_id, id: row.id, visitor_id: row.visitor_id, team_id: row.team_id },
    ...{ widget_key: row.widget_key, design_file: row.design_file, is_practice: row.is_practice },
    ...{ status: row.status, state_at_start: row.state_at_start, page: row.page },
    ...{ asked_ms: row.asked_ms, joined_ms: row.joined_ms, ended_ms: row.ended_ms, ended_by: row.ended_by },
    ...{ last_entry_ms: row.last_entry_ms, last_seq: row.last_seq, assigned_to: row.assigned_to },
    ...{ answers_json: row.answers_json, trail_json: row.trail_json, left_ms: row.left_ms },
    ...{ missed_ms: row.missed_ms, is_done: row.is_done, waiting_ms: row.waiting_ms },
    ...{ ends_ms: row.ends_ms, ends_by: row.ends_by },
  }),
);

/** The conversation a visitor stands in: their newest; if any of theirs runs, it is this one ([M4]). */
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

/** The same as a head. */
export async function findHeadOf(
  db: Db,
  siteId: string,
  visitorId: string,
): Promise<ConversationHead | null> {
  const [row] = await findNewestHead(db, { siteId, visitorId });
  return row ?? null;
}

const findNewestHead = keptQuery((db: Db, { siteId, visitorId }: { siteId: string; visitorId: string }) =>
  db
    .selectFrom('conversation')
    .select(HEAD)
    .where('site_id', '=', siteId)
    .where('visitor_id', '=', visitorId)
    .orderBy('id', 'desc')
    .limit(1),
);

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

export async function findHead(db: Db, siteId: string, id: string): Promise<ConversationHead | null> {
  const [row] = await findHeadById(db, { siteId, id });
  return row ?? null;
}

const findHeadById = keptQuery((db: Db, { siteId, id }: { siteId: string; id: string }) =>
  db.selectFrom('conversation').select(HEAD).where('site_id', '=', siteId).where('id', '=', id),
);

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

/** Conversations of all sites that somebody has ended, and that are not over yet. */
export async function listEnding(db: Db): Promise<{ siteId: string; id: string; endsMs: EpochMs }[]> {
  const rows = await db
    .selectFrom('conversation')
    .select(['site_id', 'id', 'ends_ms'])
    .where('ends_ms', 'is not', null)
    .execute();
  return rows.flatMap(({ site_id: siteId, id, ends_ms: endsMs }) =>
    endsMs === null ? [] : [{ siteId, id, endsMs }],
  );
}

/** A visitor's conversations, oldest first. */
export async function listConversationIds(db: Db, siteId: string, visitorId: string): Promise<string[]> {
  const rows = await db
    .selectFrom('conversation')
    .select('id')
    .where('site_id', '=', siteId)
    .where('visitor_id', '=', visitorId)
    .orderBy('id')
    .execute();
  return rows.map(({ id }) => id);
}

/** Conversations of a site that a person has joined and that run. */
export async function listJoinedBy(db: Db, siteId: string, personId: string): Promise<ConversationRow[]> {
  return db
    .selectFrom('conversation')
    .selectAll()
    .where('site_id', '=', siteId)
    .where('assigned_to', '=', personId)
    .where('status', '=', 'joined')
    .execute();
}

/** Whoever has joined a conversation that runs, on all sites. */
export async function listJoinedPersons(db: Db): Promise<{ siteId: string; personId: string }[]> {
  const rows = await db
    .selectFrom('conversation')
    .select(['site_id', 'assigned_to'])
    .distinct()
    .where('status', '=', 'joined')
    .execute();
  return rows.flatMap(({ site_id: siteId, assigned_to: personId }) =>
    personId === null ? [] : [{ siteId, personId }],
  );
}

/** Questions of a site that nobody has joined, longest waiting first; at most so many. */
export async function listAskedRows(db: Db, siteId: string, limit: number): Promise<ConversationRow[]> {
  return db
    .selectFrom('conversation')
    .selectAll()
    .where('site_id', '=', siteId)
    .where('status', '=', 'asked')
    .orderBy('asked_ms')
    .limit(limit)
    .execute();
}

/** Sites on which a question waits that nobody has joined. */
export async function listSitesAsked(db: Db): Promise<string[]> {
  const rows = await db
    .selectFrom('conversation')
    .select('site_id')
    .distinct()
    .where('status', '=', 'asked')
    .execute();
  return rows.map(({ site_id: siteId }) => siteId);
}

/** [M4] Whether all notes of a conversation are answered. */
export async function isNoteAnswered(db: Db, siteId: string, id: string): Promise<boolean> {
  const open = await db
    .selectFrom('note')
    .select('id')
    .where('site_id', '=', siteId)
    .where('conversation_id', '=', id)
    .where('state', '!=', 'done')
    .limit(1)
    .executeTakeFirst();
  return open === undefined;
}

/** Whether the visitor asked something and none of ours has written since; where they left, since the visitor's last word. */
export async function isUnanswered(
  db: Db,
  { site_id: siteId, id, asked_ms: askedMs, left_ms: leftMs }: ConversationHead,
): Promise<boolean> {
  const said = db
    .selectFrom('entry')
    .select(['author', 'stored_ms'])
    .where('site_id', '=', siteId)
    .where('conversation_id', '=', id)
    .where('kind', 'in', ['message', 'note'])
    .orderBy('seq', 'desc')
    .limit(1);
  const [last, ours] = await Promise.all([
    said.executeTakeFirst(),
    said.where('author', '=', 'person').executeTakeFirst(),
  ]);
  if (last?.author !== 'visitor') return false;
  return leftMs !== null || ours === undefined || ours.stored_ms < askedMs;
}

const LISTED_MAX = 200;

/** Questions of a site that nobody has joined yet, longest waiting first; the first two hundred of them. */
export async function listAsked(db: Db, siteId: string): Promise<{ id: string; visitor_id: string }[]> {
  return listWaiting(db, { siteId });
}

const listWaiting = keptQuery((db: Db, { siteId }: { siteId: string }) =>
  db
    .selectFrom('conversation')
    .select(['id', 'visitor_id'])
    .where('site_id', '=', siteId)
    .where('status', '=', 'asked')
    .orderBy('asked_ms')
    .limit(LISTED_MAX),
);
