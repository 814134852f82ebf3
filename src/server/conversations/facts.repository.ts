import { type Expression, type ExpressionBuilder, sql } from 'kysely';
import type { ConversationFacts } from '../../core/model/conversation';
import type { EpochMs } from '../../core/model/units';
import { keptQuery } from '../db/kept-query';
import type { Db } from '../db/open';
import type { Schema } from '../db/schema';

/** The conversation's facts as its visitor may know them. Throws where it is not on this site. */
export async function getFacts(db: Db, siteId: string, id: string): Promise<ConversationFacts> {
  const [row] = await findRow(db, { siteId, id });
  if (row === undefined)
    throw new Error(`Expected a conversation ${id} on its site: its facts were asked for.`);
  return toFacts(row);
}

const findRow = keptQuery((db: Db, { siteId, id }: { siteId: string; id: string }) =>
  factsQuery(db, siteId, id),
);

const COLUMNS = [
  ...(['conversation.id', 'conversation.status', 'conversation.widget_key', 'conversation.team_id'] as const),
  ...(['conversation.asked_ms', 'conversation.joined_ms', 'conversation.left_ms'] as const),
  ...(['conversation.ended_ms', 'conversation.ended_by', 'conversation.last_entry_ms'] as const),
  ...(['conversation.answers_json', 'conversation.waiting_ms'] as const),
] as const;

function factsQuery(db: Db, siteId: string, id: string) {
  return db
    .selectFrom('conversation')
    .leftJoin('person', 'person.id', 'conversation.assigned_to')
    .leftJoin('visitor', (on) =>
      on
        .onRef('visitor.site_id', '=', 'conversation.site_id')
        .onRef('visitor.id', '=', 'conversation.visitor_id'),
    )
    .select([...COLUMNS])
    .select(['person.name as responder', 'visitor.mail as mail'])
    .select((expression) =>
      onlyWhere(expression, 'note', openNotes(expression, siteId, id).$asScalar()).as('open_notes'),
    )
    .select((expression) =>
      onlyWhere(expression, 'ended', repliesAfter(expression, siteId, id).$asScalar()).as('after_given'),
    )
    .select((expression) => onlyWhere(expression, 'asked', askedBefore(expression).$asScalar()).as('earlier'))
    .where('conversation.site_id', '=', siteId)
    .where('conversation.id', '=', id);
}

type FactsRow = Awaited<ReturnType<ReturnType<typeof factsQuery>['executeTakeFirstOrThrow']>>;

function toFacts(row: FactsRow): ConversationFacts {
  return {
    id: row.id,
    standing: row.status,
    widgetKey: row.widget_key,
    askedMs: row.asked_ms,
    joinedMs: row.joined_ms,
    leftMs: row.left_ms,
    endedMs: row.ended_ms,
    endedBy: row.ended_by,
    responderName: row.responder,
    noteMail: row.answers_json === null ? null : row.mail,
    isAnswered: row.status === 'note' && row.open_notes === 0,
    lastMs: row.last_entry_ms,
    waitingMs: waitingSince(row),
    teamId: row.team_id,
    place: row.status === 'asked' ? (row.earlier ?? 0) + 1 : null,
    isAfterGiven: (row.after_given ?? 0) > 0,
  };
}

type Of = ExpressionBuilder<Schema, 'conversation'>;

/** Counted only for conversations of a status, as every message asks for the facts of its own. */
function onlyWhere({ eb }: Of, status: 'note' | 'asked' | 'ended', count: Expression<number | null>) {
  return eb.case().when('conversation.status', '=', status).then(count).end();
}

function openNotes({ selectFrom }: Of, siteId: string, id: string) {
  return selectFrom('note')
    .select(({ fn }) => fn.countAll<number>().as('open'))
    .where('note.site_id', '=', siteId)
    .where('note.conversation_id', '=', id)
    .where('note.state', '!=', 'done');
}

/** [M7] How many questions of the same team wait for longer. */
function askedBefore({ selectFrom }: Of) {
  return selectFrom('conversation as earlier')
    .select(({ fn }) => fn.countAll<number>().as('before'))
    .whereRef('earlier.site_id', '=', 'conversation.site_id')
    .where('earlier.status', '=', 'asked')
    .whereRef('earlier.team_id', 'is', 'conversation.team_id')
    .where('earlier.is_practice', '=', 0)
    .whereRef('earlier.asked_ms', '<=', 'conversation.asked_ms')
    .where((eb) =>
      // Not looked up by themselves: an id alone would walk over all conversations before it.
      eb.or([
        eb(sql`+earlier.asked_ms`, '<', eb.ref('conversation.asked_ms')),
        eb(sql`+earlier.id`, '<', eb.ref('conversation.id')),
      ]),
    );
}

function repliesAfter({ selectFrom }: Of, siteId: string, id: string) {
  return selectFrom('form_reply')
    .select(({ fn }) => fn.countAll<number>().as('given'))
    .where('form_reply.site_id', '=', siteId)
    .where('form_reply.conversation_id', '=', id)
    .where('form_reply.place', '=', 'after')
    .whereRef('form_reply.stored_ms', '>=', 'conversation.asked_ms');
}

/** [M3] When the oldest message of the visitor was stored, since they asked, that no responder has written after; lines of the server answer nothing. */
export function waitingSince(row: { waiting_ms: EpochMs | null; asked_ms: EpochMs }): EpochMs | null {
  return row.waiting_ms === null || row.waiting_ms < row.asked_ms ? null : row.waiting_ms;
}
