import { findDeskConversation } from '../conversations/desk-conversations.repository';
import { listEntriesOfSite } from '../conversations/entries.repository';
import { PING_EVERY_MS } from '../facts/presence-board';
import { findMemberBySession } from '../accounts/who';
import { SIGNED_OUT, sessionChannel } from '../accounts/sign-out';
import { STREAM_HEADERS, holderOf } from '../live/hub';
import { deskChannel, teamStates } from '../facts/presence';
import type { DeskCall } from './route';

/** The desk's stream: what was said on the site, how the teams stand, and the pings that presence lives on ([S2]). */
export async function deskStream({ state, request, member, sessionHash }: DeskCall): Promise<Response> {
  const { site, person } = member;
  const leave = state.board.arrive(person.id);
  let isOpen = true;
  const opened = state.hub.open({
    channels: [deskChannel(site.id), sessionChannel(sessionHash)],
    holder: holderOf(request, `${deskChannel(site.id)}:${person.id}`),
    onClose: () => {
      isOpen = false;
      leave();
    },
  });
  request.signal.addEventListener('abort', opened.close);
  const ping = (): void => {
    if (!isOpen) return;
    opened.send({ name: 'ping', data: {} });
    state.clock.wakeAt(state.clock.now() + PING_EVERY_MS, () => void pingMember());
  };
  /** A session runs out, and a role is taken away, without a word on this stream. */
  const pingMember = async (): Promise<void> => {
    const still = await findMemberBySession(state, sessionHash, site.key, 'responder').catch(() => null); // asked again at the next ping
    if (typeof still !== 'string') return ping();
    opened.send(SIGNED_OUT);
    opened.close();
  };
  ping();
  opened.send({ name: 'teams', data: { teams: await teamStates(state, site.id) } });
  const after = Number(request.headers.get('Last-Event-ID') ?? 0);
  if (after > 0) {
    for (const entry of await listEntriesOfSite(state.db, site.id, after, 500)) {
      opened.send({
        name: 'entry',
        id: entry.id,
        data: { conversation: await findDeskConversation(state.db, site.id, entry.conversationId), entry },
      });
    }
  }
  return new Response(opened.body, { headers: STREAM_HEADERS });
}
