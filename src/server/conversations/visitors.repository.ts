import type { EpochMs } from '../../core/model/units';
import { keptQuery } from '../db/kept-query';
import type { Db } from '../db/open';

export interface NewVisitor {
  readonly id: string;
  readonly locale: string;
}

export async function insertVisitor(db: Db, siteId: string, visitor: NewVisitor, at: EpochMs): Promise<void> {
  await insertRow(db, { siteId, ...visitor, at });
}

const insertRow = keptQuery(
  (db: Db, { siteId, id, locale, at }: NewVisitor & { siteId: string; at: EpochMs }) =>
    db.insertInto('visitor').values({
      ...{ site_id: siteId, id, name: null, mail: null, locale, device: null },
      ...{ first_ms: at, seen_ms: at },
    }),
);

export async function insertToken(
  db: Db,
  siteId: string,
  visitorId: string,
  tokenHash: string,
  at: EpochMs,
  expiresAt: EpochMs,
): Promise<void> {
  await insertTokenRow(db, { siteId, visitorId, tokenHash, at, expiresAt });
}

const insertTokenRow = keptQuery((db: Db, token: TokenUse & { visitorId: string; expiresAt: EpochMs }) =>
  db.insertInto('visitor_token').values({
    ...{ token_hash: token.tokenHash, site_id: token.siteId, visitor_id: token.visitorId },
    ...{ created_ms: token.at, seen_ms: token.at, expires_ms: token.expiresAt },
  }),
);

interface TokenUse {
  readonly siteId: string;
  readonly tokenHash: string;
  readonly at: EpochMs;
}

/** The visitor of a token on this site, and when it was used last; null where it is unknown here or ran out. */
export async function findVisitorByToken(
  db: Db,
  siteId: string,
  tokenHash: string,
  at: EpochMs,
): Promise<{ visitorId: string; usedAt: EpochMs } | null> {
  const [row] = await findToken(db, { siteId, tokenHash, at });
  return row === undefined ? null : { visitorId: row.visitor_id, usedAt: row.seen_ms };
}

const findToken = keptQuery((db: Db, { siteId, tokenHash, at }: TokenUse) =>
  db
    .selectFrom('visitor_token')
    .select(['visitor_id', 'seen_ms'])
    .where('token_hash', '=', tokenHash)
    .where('site_id', '=', siteId)
    .where('expires_ms', '>', at),
);

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
