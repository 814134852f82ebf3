import type { VisitorTalk } from '../../core/wire/talk';
import { findDeskConversation } from './desk-conversations.repository';
import { insertFormReply } from './form-replies.repository';
import { newId } from '../ids';
import type { AfterInput } from '../input/visitor.input';
import type { State } from '../state';
import { checkForm } from './forms';
import { deskChannel, visitorChannel } from '../facts/presence';
import { getTalk } from './talk';
import type { Writer } from './writer';

/** The form after a chat: stored, then told. Null where the visitor has no conversation. Throws TokenError. */
export async function takeAfter(state: State, writer: Writer, said: AfterInput): Promise<VisitorTalk | null> {
  const { visitorId, talk } = await getTalk(state, writer);
  if (talk === null) return null;
  const { id } = talk.conversation;
  const { replies } = await checkForm(state, writer.siteId, 'after', said);
  await insertFormReply(state.db, writer.siteId, id, {
    id: newId(writer.at),
    clientId: said.clientId,
    place: 'after',
    design: said.design,
    locale: said.locale,
    widgetKey: said.widget,
    replies,
    storedMs: writer.at,
  });
  const { talk: since } = await getTalk(state, writer);
  state.hub.send(visitorChannel(writer.siteId, visitorId), {
    name: 'conversation',
    data: since?.conversation,
  });
  state.hub.send(deskChannel(writer.siteId), {
    name: 'form',
    data: { conversation: await findDeskConversation(state.db, writer.siteId, id) },
  });
  return since;
}
