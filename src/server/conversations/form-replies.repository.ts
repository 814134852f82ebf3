import type { FormPlace } from '../../core/model/form';
import type { Replies } from '../../core/model/form';
import type { EpochMs } from '../../core/model/units';
import type { Db } from '../db/open';

/** One form as a visitor gave it. */
export interface FormReply {
  readonly place: FormPlace;
  /** Design file without its locale, under which it was asked ([L10]). */
  readonly design: string;
  readonly locale: string;
  readonly widgetKey: string;
  readonly replies: Replies;
  readonly storedMs: EpochMs;
}

/** Given twice with one client id, it is stored once. */
export async function insertFormReply(
  db: Db,
  siteId: string,
  conversationId: string,
  reply: FormReply & { readonly id: string; readonly clientId: string },
): Promise<void> {
  await db
    .insertInto('form_reply')
    .values({
      site_id: siteId,
      id: reply.id,
      conversation_id: conversationId,
      place: reply.place,
      client_id: reply.clientId,
      design_file: reply.design,
      locale: reply.locale,
      widget_key: reply.widgetKey,
      replies_json: JSON.stringify(reply.replies),
      stored_ms: reply.storedMs,
    })
    .onConflict((on) => on.columns(['site_id', 'conversation_id', 'place', 'client_id']).doNothing())
    .execute();
}

/** The forms of a conversation, oldest first. */
export async function listFormReplies(db: Db, siteId: string, conversationId: string): Promise<FormReply[]> {
  const rows = await db
    .selectFrom('form_reply')
    .selectAll()
    .where('site_id', '=', siteId)
    .where('conversation_id', '=', conversationId)
    .orderBy('stored_ms')
    .orderBy('id')
    .execute();
  return rows.map((row) => ({
    place: row.place,
    design: row.design_file,
    locale: row.locale,
    widgetKey: row.widget_key,
    replies: JSON.parse(row.replies_json) as Replies,
    storedMs: row.stored_ms,
  }));
}
