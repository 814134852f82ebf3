import { findConversation, listConversationIds } from './conversations.repository';
import { deleteVisitor } from './visitors.repository';
import type { Tx } from '../db/open';
import { inTransaction } from '../db/transaction';
import type { State } from '../state';
import { deskChannel, tellTeams, visitorChannel } from '../facts/presence';
import { type Writer, knownVisitor } from './writer';
import { tellPlaces } from './tell-places';

/** [V8] Deletes a visitor with all they have said and filled in; desks and their own windows are told. Throws TokenError. */
export async function forgetVisitor(state: State, writer: Writer): Promise<void> {
  const { siteId } = writer;
  const gone = await inTransaction(state.db, async (tx) => {
    return remove(tx, siteId, await knownVisitor(tx, writer));
  });
  await tellGone(state, siteId, gone, 'forgotten');
}

/** Deletes a conversation that was only practice, with the visitor who was oneself. Gives whether there was one. */
export async function removePractice(state: State, siteId: string, id: string): Promise<boolean> {
  const gone = await inTransaction(state.db, async (tx) => {
    const row = await findConversation(tx, siteId, id);
    return row === null || row.is_practice === 0 ? null : remove(tx, siteId, row.visitor_id);
  });
  if (gone !== null) await tellGone(state, siteId, gone, 'practice');
  return gone !== null;
}

interface Gone {
  readonly visitorId: string;
  readonly ids: readonly string[];
}

async function remove(tx: Tx, siteId: string, visitorId: string): Promise<Gone> {
  const ids = await listConversationIds(tx, siteId, visitorId);
  await deleteVisitor(tx, siteId, visitorId);
  return { visitorId, ids };
}

async function tellGone(
  state: State,
  siteId: string,
  gone: Gone,
  why: 'forgotten' | 'practice',
): Promise<void> {
  state.whereabouts.forget(siteId, gone.visitorId);
  state.hub.send(visitorChannel(siteId, gone.visitorId), { name: 'forgotten', data: {} });
  state.hub.send(deskChannel(siteId), { name: 'gone', data: { ids: gone.ids, why } });
  await tellTeams(state, siteId);
  await tellPlaces(state, siteId);
}
