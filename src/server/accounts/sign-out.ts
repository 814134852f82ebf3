import type { HubEvent } from '../live/hub';
import type { State } from '../state';
import { deleteOtherSessions, deleteSession, listSessions } from './persons.repository';

/** Streams that a session has opened. */
export const sessionChannel = (tokenHash: string): string => `session:${tokenHash}`;

/** The last word on a stream whose session has ended. */
export const SIGNED_OUT: HubEvent = { name: 'signed-out', data: {} };

/** Ends a session and, at once, the streams it has opened. */
export async function endSession(state: Pick<State, 'db' | 'hub'>, tokenHash: string): Promise<void> {
  await deleteSession(state.db, tokenHash);
  state.hub.end(sessionChannel(tokenHash), SIGNED_OUT);
}

/** Ends the sessions of a person but one, with their streams. */
export async function endOtherSessions(
  state: Pick<State, 'db' | 'hub' | 'clock'>,
  personId: string,
  kept: string,
): Promise<void> {
  const others = await listSessions(state.db, personId, state.clock.now());
  await deleteOtherSessions(state.db, personId, kept);
  for (const { tokenHash } of others)
    if (tokenHash !== kept) state.hub.end(sessionChannel(tokenHash), SIGNED_OUT);
}
