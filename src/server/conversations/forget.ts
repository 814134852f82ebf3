import { listConversationIds } from './conversations.repository';
import { deleteVisitor, findVisitorByToken } from './visitors.repository';
import { inTransaction } from '../db/transaction';
import { hashOf } from '../ids';
import type { State } from '../state';
import { deskChannel, tellTeams, visitorChannel } from '../facts/presence';
import { TokenError, type Writer } from './talk';
import { tellPlaces } from './tell-places';

/** [V8] Deletes a visitor with all they have said and filled in; desks and their own windows are told. Throws TokenError. */
export async function forgetVisitor(state: State, { siteId, token, at }: Writer): Promise<void> {
  const gone = await inTransaction(state.db, async (tx) => {
    const visitorId = token === null ? null : await findVisitorByToken(tx, siteId, hashOf(token), at);
    if (visitorId === null) throw new TokenError();
    const ids = await listConversationIds(tx, siteId, visitorId);
    await deleteVisitor(tx, siteId, visitorId);
    return { visitorId, ids };
  });
  state.hub.send(visitorChannel(siteId, gone.visitorId), { name: 'forgotten', data: {} });
  state.hub.send(deskChannel(siteId), { name: 'gone', data: { ids: gone.ids } });
  await tellTeams(state, siteId);
  await tellPlaces(state, siteId);
}
