import type { HttpAnswer } from '../http/exchange';
import { findDeskConversation } from '../conversations/desk-conversations.repository';
import { listEntriesOfSite } from '../conversations/entries.repository';
import { PING_EVERY_MS } from '../facts/presence-board';
import { memberChannel, rightsEvent } from '../accounts/rights';
import { findMemberBySession } from '../accounts/who';
import { SIGNED_OUT, sessionChannel } from '../accounts/sign-out';
import { type HubStream, STREAM_HEADERS, holderOf, openEvents } from '../live/hub';
import type { State } from '../state';
import { deskChannel, teamStates } from '../facts/presence';
import type { DeskCall } from './route';

/** The desk's stream: what was said on the site, how the teams stand, and the pings that presence lives on ([S2]). */
export function deskStream({ state, request, member, sessionHash }: DeskCall): Promise<HttpAnswer> {
  const { site, person } = member;
  const after = Number(request.headers.get('Last-Event-ID') ?? 0);
  const events = openEvents(
    state.hub,
    () => ({
      channels: [deskChannel(site.id), sessionChannel(sessionHash), memberChannel(site.id, person.id)],
      holder: holderOf(request, `${deskChannel(site.id)}:${person.id}`),
      onClose: state.board.arrive(person.id),
    }),
    async (opened) => {
      const ping = (): void => {
        if (!opened.isOpen()) return;
        opened.send({ name: 'ping', data: {} });
        state.clock.wakeAt(state.clock.now() + PING_EVERY_MS, () => void pingMember());
      };
      /** A session runs out, and a role is taken away, without a word on this stream. */
      const pingMember = async (): Promise<void> => {
        const still = await findMemberBySession(state, sessionHash, site.key, 'responder').catch(() => null); // asked again at the next ping
        if (typeof still !== 'string') return ping();
        opened.send(still === 'signed-out' ? SIGNED_OUT : rightsEvent(null));
        opened.close();
      };
      ping();
      opened.send({ name: 'teams', data: { teams: await teamStates(state, site.id) } });
      if (after > 0) await resume(state, site.id, after, opened);
    },
  );
  return Promise.resolve({ status: 200, headers: STREAM_HEADERS, body: events });
}

const RESUMED_MAX = 500;

/** What was said on the site after an entry, with how its conversation stands now. */
async function resume(state: State, siteId: string, after: number, opened: HubStream): Promise<void> {
  for (const entry of await listEntriesOfSite(state.db, siteId, after, RESUMED_MAX)) {
    const conversation = await findDeskConversation(state.db, siteId, entry.conversationId);
    opened.send({ name: 'entry', id: entry.id, data: { conversation, entry } });
  }
}
