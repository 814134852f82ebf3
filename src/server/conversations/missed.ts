import type { EpochMs } from '../../core/model/units';
import {
  type ConversationHead,
  findConversation,
  isNoteAnswered,
  isUnanswered,
  listAskedRows,
  updateConversation,
} from './conversations.repository';
import { findVisitorMail, insertNote } from './visitors.repository';
import type { Tx } from '../db/open';
import { inTransaction } from '../db/transaction';
import { newId } from '../ids';
import type { State } from '../state';
import { deskChannel, teamStatesOf } from '../facts/presence';
import { widgetStateAt } from '../facts/widget-state';
import { findDeskConversation } from './desk-conversations.repository';
import { widgetOf } from './widget-asked';

/** So many questions are looked at in one turn; the next look sees the rest. */
const LOOKED_AT_MAX = 500;

/** A question that nobody has answered is missed from now on: a note where an address is known, and never done by itself. */
export async function miss(tx: Tx, row: ConversationHead, at: EpochMs): Promise<boolean> {
  const { site_id: siteId, id, team_id: teamId } = row;
  if (!(await isUnanswered(tx, row))) return false;
  await updateConversation(tx, siteId, id, { missed_ms: row.missed_ms ?? at, is_done: 0 });
  const mail = await findVisitorMail(tx, siteId, row.visitor_id);
  if (mail !== null && (await isNoteAnswered(tx, siteId, id)))
    await insertNote(tx, siteId, { id: newId(at), conversationId: id, teamId });
  return true;
}

/** Questions of a site that nobody can answer any more, where its owner does not let them wait on, are missed from now on. */
export async function missUnanswerable(state: State, siteId: string): Promise<void> {
  const at = state.clock.now();
  const site = await state.sites.get(siteId);
  const states = await teamStatesOf(state, site);
  const rows = await listAskedRows(state.db, siteId, LOOKED_AT_MAX);
  for (const row of rows.filter(({ missed_ms: missedMs }) => missedMs === null)) {
    const widget = widgetOf(site, row.widget_key, at);
    if (widget === undefined || widget.talks.keepsWaiting) continue;
    const behaviour = widget.behaviours[widgetStateAt(site, { widget, states }, at)];
    if (behaviour === 'chat' || behaviour === 'queue') continue;
    const isMissed = await inTransaction(state.db, async (tx) => {
      const now = await findConversation(tx, siteId, row.id); // somebody may have joined meanwhile
      return now?.status === 'asked' && miss(tx, now, at);
    });
    if (!isMissed) continue;
    state.hub.send(deskChannel(siteId), {
      name: 'conversation',
      data: { conversation: await findDeskConversation(state.db, siteId, row.id) },
    });
  }
}
