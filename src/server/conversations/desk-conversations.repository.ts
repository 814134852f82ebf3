import type { EpochMs } from '../../core/model/units';
import { visitorMark } from '../../core/model/visitor-mark';
import type { DeskConversation } from '../../core/wire/desk';
import { keptQuery } from '../db/kept-query';
import type { Db } from '../db/open';
import { waitingSince } from './facts.repository';

/** Everything that still wants somebody, however old: questions nobody has joined before all else, so that no bound cuts them off. */
export async function listOpenDeskConversations(
  db: Db,
  siteId: string,
  limit: number,
): Promise<DeskConversation[]> {
  const [asked, open] = await Promise.all([
    deskQuery(db, siteId)
      .where('conversation.status', '=', 'asked')
      .orderBy('conversation.asked_ms')
      .limit(limit)
      .execute(),
    deskQuery(db, siteId)
      .where('conversation.is_done', '=', 0)
      .orderBy('conversation.last_entry_ms', 'desc')
      .limit(limit)
      .execute(),
  ]);
  const others = open.filter(({ status }) => status !== 'asked');
  return [...asked, ...others].slice(0, limit).map(toDesk);
}

/** What is done, newest first; `before` pages back. */
export async function listDoneDeskConversations(
  db: Db,
  siteId: string,
  before: EpochMs | null,
  limit: number,
): Promise<DeskConversation[]> {
  let query = deskQuery(db, siteId)
    .where('conversation.is_done', '=', 1)
    .orderBy('conversation.last_entry_ms', 'desc')
    .limit(limit);
  if (before !== null) query = query.where('conversation.last_entry_ms', '<', before);
  return (await query.execute()).map(toDesk);
}

export async function findDeskConversation(
  db: Db,
  siteId: string,
  id: string,
): Promise<DeskConversation | null> {
  const [row] = await findRow(db, { siteId, id });
  return row === undefined ? null : toDesk(row);
}

const findRow = keptQuery((db: Db, { siteId, id }: { siteId: string; id: string }) =>
  deskQuery(db, siteId).where('conversation.id', '=', id),
);

function deskQuery(db: Db, siteId: string) {
  return db
    .selectFrom('conversation')
    .innerJoin('visitor', (on) =>
      on
        .onRef('visitor.site_id', '=', 'conversation.site_id')
        .onRef('visitor.id', '=', 'conversation.visitor_id'),
    )
    .leftJoin('person', 'person.id', 'conversation.assigned_to')
    .select(({ selectFrom }) => [
      'conversation.id',
      'conversation.status',
      'conversation.visitor_id',
      'conversation.page',
      'conversation.is_practice',
      'conversation.team_id',
      'conversation.assigned_to',
      'conversation.asked_ms',
      'conversation.last_entry_ms',
      'conversation.left_ms',
      'conversation.missed_ms',
      'conversation.is_done',
      'conversation.waiting_ms',
      'conversation.ends_ms',
      'visitor.name as visitor_name',
      'visitor.mail as visitor_mail',
      'visitor.locale',
      'person.name as responder_name',
      selectFrom('entry')
        .select('entry.author')
        .whereRef('entry.site_id', '=', 'conversation.site_id')
        .whereRef('entry.conversation_id', '=', 'conversation.id')
        .where('entry.kind', 'in', ['message', 'note'])
        .orderBy('entry.seq', 'desc')
        .limit(1)
        .as('last_author'),
      selectFrom('entry')
        .select('entry.body')
        .whereRef('entry.site_id', '=', 'conversation.site_id')
        .whereRef('entry.conversation_id', '=', 'conversation.id')
        .where('entry.body', '!=', '') // an address left without words is not what was asked
        .orderBy('entry.seq', 'desc')
        .limit(1)
        .as('last_body'),
    ])
    .where('conversation.site_id', '=', siteId);
}

type DeskRow = Awaited<ReturnType<ReturnType<typeof deskQuery>['execute']>>[number];

function toDesk(row: DeskRow): DeskConversation {
  return {
    id: row.id,
    status: row.status,
    visitorName: row.visitor_name,
    visitorMail: row.visitor_mail === '' ? null : row.visitor_mail,
    visitorMark: visitorMark(row.visitor_id),
    locale: row.locale,
    page: row.page,
    isPractice: row.is_practice === 1,
    teamId: row.team_id,
    responderId: row.assigned_to,
    responderName: row.responder_name,
    askedMs: row.asked_ms,
    lastEntryMs: row.last_entry_ms,
    lastAuthor: row.last_author ?? 'visitor',
    lastBody: row.last_body ?? '',
    waitingSinceMs: row.is_done === 1 ? null : waitingSince(row),
    leftMs: row.left_ms,
    missedMs: row.missed_ms,
    isDone: row.is_done === 1,
    endsMs: row.ends_ms,
  };
}
