import { hoursAt, hoursOf } from '../hours/hours-now';
import type { Widget } from '../model/design';
import type { EpochMs } from '../model/units';
import type { TransitionId } from '../model/transition';
import type { PublishedSite } from '../wire/published-site';

/** Ways along which only a change of the state leads: we close, we open. */
const BY_CLOSING: readonly TransitionId[] = ['availability-lost', 'availability-lost-while-waiting'];
const BY_OPENING: readonly TransitionId[] = ['availability-gained'];

/**
 * When the calendar leads along a transition that waits for a change of the state ([M9]); null: nobody knows when, as people come
 * and go; undefined: the way waits for no such change.
 */
export function laterAt(
  site: PublishedSite,
  { calendarId, behaviours }: Pick<Widget, 'calendarId' | 'behaviours'>,
  transition: TransitionId,
  now: EpochMs,
): EpochMs | null | undefined {
  const isClosing = BY_CLOSING.includes(transition);
  if (!isClosing && !BY_OPENING.includes(transition)) return undefined;
  const own = hoursOf(site, calendarId);
  if (own === null || behaviours.closed !== 'note') return null;
  const { isOpen, changesAt, opensAt } = hoursAt(own, now);
  if (isClosing) return isOpen && changesAt !== Infinity ? changesAt : null;
  return isOpen ? null : opensAt;
}
