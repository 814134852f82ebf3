import type { EpochMs } from '../../core/model/units';
import type { Db } from '../db/open';

export interface NewVisitor {
  readonly id: string;
  readonly locale: string;
}

export async function insertVisitor(db: Db, siteId: string, visitor: NewVisitor, at: EpochMs): Promise<void> {
  await db
    .insertInto('visitor')
    .values({
      site_id: siteId,
      id: visitor.id,
      name: null,
      mail: null,
      locale: visitor.locale,
      device: null,
      first_ms: at,
      seen_ms: at,
    })
    .execute();
}

export async function insertToken(
  db: Db,
  siteId: string,
  visitorId: string,
  tokenHash: string,
  at: EpochMs,
  expiresAt: EpochMs,
): Promise<void> {
  await db
    .insertInto('visitor_token')
    .values({
      token_hash: tokenHash,
      site_id: siteId,
      visitor_id: visitorId,
      created_ms: at,
      seen_ms: at,
      expires_ms: expiresAt,
    })
    .execute();
}

/** The visitor of a token on this site; null where it is unknown here or ran out. */
export async function findVisitorByToken(
  db: Db,
  siteId: string,
  tokenHash: string,
  at: EpochMs,
): Promise<string | null> {
  const row = await db
    .selectFrom('visitor_token')
    .select('visitor_id')
    .where('token_hash', '=', tokenHash)
    .where('site_id', '=', siteId)
    .where('expires_ms', '>', at)
    .executeTakeFirst();
  return row?.visitor_id ?? null;
}

/** With their tokens, conversations, entries, forms and notes. */
export async function deleteVisitor(db: Db, siteId: string, visitorId: string): Promise<void> {
  await db.deleteFrom('visitor').where('site_id', '=', siteId).where('id', '=', visitorId).execute();
}

/** A token dies after so long without use; each use moves its end. */
export async function touchToken(
  db: Db,
  siteId: string,
  tokenHash: string,
  at: EpochMs,
  expiresAt: EpochMs,
): Promise<void> {
  await db
    .updateTable('visitor_token')
    .set({ seen_ms: at, expires_ms: expiresAt })
    .where('token_hash', '=', tokenHash)
    .where('site_id', '=', siteId)
    .execute();
}

export async function setVisitorReplies(
  db: Db,
  siteId: string,
  visitorId: string,
  replies: { mail: string; name: string | null },
): Promise<void> {
  await db
    .updateTable('visitor')
    .set((eb) => ({
      mail: replies.mail === '' ? eb.ref('mail') : replies.mail,
      name: replies.name ?? eb.ref('name'),
    }))
    .where('site_id', '=', siteId)
    .where('id', '=', visitorId)
    .execute();
}

export async function insertNote(
  db: Db,
  siteId: string,
  note: { id: string; conversationId: string; teamId: string | null },
): Promise<void> {
  await db
    .insertInto('note')
    .values({
      site_id: siteId,
      id: note.id,
      conversation_id: note.conversationId,
      team_id: note.teamId,
      state: 'new',
      assigned_to: null,
      answered_ms: null,
      due_ms: null,
    })
    .execute();
}

/** Where a visitor can be written to; null: they have not said. */
export async function findVisitorMail(db: Db, siteId: string, visitorId: string): Promise<string | null> {
  const row = await db
    .selectFrom('visitor')
    .select('mail')
    .where('site_id', '=', siteId)
    .where('id', '=', visitorId)
    .executeTakeFirst();
  return row?.mail || null;
}

export async function markNotesAnswered(
  db: Db,
  siteId: string,
  conversationId: string,
  at: EpochMs,
): Promise<void> {
  await db
    .updateTable('note')
    .set({ state: 'done', answered_ms: at })
    .where('site_id', '=', siteId)
    .where('conversation_id', '=', conversationId)
    .where('state', '!=', 'done')
    .execute();
}
