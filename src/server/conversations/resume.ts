import { LIMITS } from '../../core/limits';
import { findHeadOf, listConversationIds } from './conversations.repository';
import { getFacts } from './facts.repository';
import { listEntriesAfter } from './entries.repository';
import type { HubEvent } from '../live/hub';
import type { State } from '../state';

/** What a visitor's stream missed: entries of all their conversations after an id, and how the current one stands. More than 500: `reload`. */
export async function findEntriesAfter(
  { db }: Pick<State, 'db'>,
  siteId: string,
  visitorId: string,
  afterId: number,
): Promise<HubEvent[]> {
  const current = await findHeadOf(db, siteId, visitorId);
  if (current === null) return [];
  const after = Number.isSafeInteger(afterId) && afterId > 0 ? afterId : 0;
  const ids = await listConversationIds(db, siteId, visitorId);
  const entries = await listEntriesAfter(db, siteId, ids, after, LIMITS.entriesPerResume + 1);
  if (entries.length > LIMITS.entriesPerResume) return [{ name: 'reload', data: {} }];
  return [
    { name: 'conversation', data: await getFacts(db, siteId, current.id) },
    ...entries.map((entry): HubEvent => ({
      name: entry.conversationId === current.id ? 'entry' : 'earlier-entry',
      id: entry.id,
      data: entry,
    })),
  ];
}
