import { LIMITS } from '../../core/limits';
import { findConversationOf, getFacts } from './conversations.repository';
import { listEntries } from './entries.repository';
import type { HubEvent } from '../live/hub';
import type { State } from '../state';

/** What a visitor's stream missed: entries after an id, and how the conversation stands. More than 500: `reload`. */
export async function findEntriesAfter(
  state: Pick<State, 'db'>,
  siteId: string,
  visitorId: string,
  afterId: number,
): Promise<HubEvent[]> {
  const row = await findConversationOf(state.db, siteId, visitorId);
  if (row === null) return [];
  const after = Number.isSafeInteger(afterId) && afterId > 0 ? afterId : 0;
  const entries = await listEntries(state.db, siteId, row.id, after, LIMITS.entriesPerResume + 1);
  if (entries.length > LIMITS.entriesPerResume) return [{ name: 'reload', data: {} }];
  return [
    { name: 'conversation', data: await getFacts(state.db, siteId, row.id) },
    ...entries.map((entry): HubEvent => ({ name: 'entry', id: entry.id, data: entry })),
  ];
}
