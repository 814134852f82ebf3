import { SECOND_MS } from '../../core/model/units';
import { listSitesOf } from '../accounts/sites.repository';
import { tellTeams } from '../facts/presence';
import { SILENT_AFTER_MS } from '../facts/presence-board';
import { setPresenceChoice } from '../facts/teams.repository';
import { inTransaction } from '../db/transaction';
import { runAside } from '../log';
import type { State } from '../state';
import { listJoinedBy, listJoinedPersons, updateConversation } from './conversations.repository';
import { missUnanswerable } from './missed';
import { tellStanding } from './tell-entry';
import { tellPlaces } from './tell-places';

/** Says that a person is in, or is not any more; everybody who looks is told, and whoever talked with them. */
export async function choosePresence(
  state: State,
  siteId: string,
  personId: string,
  choice: 'in' | 'out',
): Promise<void> {
  await setPresenceChoice(state.db, siteId, personId, choice);
  if (choice === 'out') await leave(state, siteId, personId);
  await tellTeams(state, siteId);
}

/** A line that breaks for a moment takes nobody out of a conversation; the visitor is told within a minute all the same. */
const BACK_WITHIN_MS = 20 * SECOND_MS;

/** Whoever comes or goes is told on to everybody who looks at their sites; one site that cannot be told keeps no other back. */
export function watchPresence(state: State): void {
  state.board.onChange((personId) => {
    const ofSites = async (call: (siteId: string) => Promise<void>): Promise<void> => {
      for (const { id } of await listSitesOf(state.db, personId)) runAside('presence', call(id));
    };
    runAside(
      'presence',
      ofSites((siteId) => tellTeams(state, siteId)),
    );
    if (state.board.isThere(personId)) return;
    state.clock.wakeAt(state.clock.now() + BACK_WITHIN_MS, () => {
      if (state.board.isThere(personId)) return;
      runAside(
        'presence',
        ofSites((siteId) => leave(state, siteId, personId)),
      );
    });
  });
  // Who was there before the server was started, and has not come back since, has left.
  state.clock.wakeAt(state.clock.now() + SILENT_AFTER_MS, () => runAside('presence', leaveAbsent(state)));
}

async function leaveAbsent(state: State): Promise<void> {
  for (const { siteId, personId } of await listJoinedPersons(state.db))
    if (!state.board.isThere(personId)) await leave(state, siteId, personId);
}

/**
 * [M3] A person is not there any more: whatever they had joined waits for somebody again, with its team and its place by
 * when it was asked; its visitors are told, and what nobody can answer is missed.
 */
export async function leave(state: State, siteId: string, personId: string): Promise<void> {
  const at = state.clock.now();
  const left = await inTransaction(state.db, async (tx) => {
    const rows = await listJoinedBy(tx, siteId, personId);
    for (const { id } of rows)
      await updateConversation(tx, siteId, id, { status: 'asked', joined_ms: null, left_ms: at });
    return rows;
  });
  for (const row of left) await tellStanding(state, siteId, row.visitor_id, row.id);
  await missUnanswerable(state, siteId);
  if (left.length > 0) await tellPlaces(state, siteId);
}
