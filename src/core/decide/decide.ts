import { memoByObject } from '../memo';
import type { Decision } from './decision';
import { dueOf } from '../invitations/due';
import type { Circumstances } from '../model/circumstances';
import type { PublishedSite } from '../wire/published-site';
import { becauseOf } from './because';
import { decideWith } from './decide-with';
import { momentResultOf } from './moment-result';
import { whyNow } from '../hours/why-now';

export type { Signal } from '../invitations/judge';

/** The decision engine: given a published site and the circumstances, what is shown, in which words, and why. Never throws ([D4]). */
export function decide(site: PublishedSite, circumstances: Circumstances): Decision {
  const kept = keptOf(site);
  const { last } = kept;
  if (last !== null && isSilence(last, circumstances)) return last.decision;
  const decision = decideAnew(site, circumstances);
  kept.last = { circumstances, decision };
  return decision;
}

/** The same, worked out from the beginning. */
export function decideAnew(site: PublishedSite, circumstances: Circumstances): Decision {
  return decideWith(site, circumstances, {
    momentResultOf: momentResultOf,
    due: dueOf,
    why: whyNow,
    because: becauseOf,
  });
}

interface Last {
  readonly circumstances: Circumstances;
  readonly decision: Decision;
}

const keptOf = memoByObject<PublishedSite, { last: Last | null }>(() => ({ last: null }));

/** [A1] Nothing but the clock has changed since, and it has not come to the instant to ask again at: so neither has the decision. */
function isSilence({ circumstances: was, decision }: Last, is: Circumstances): boolean {
  return (
    was.now <= is.now &&
    is.now < (decision.askAgainAt ?? Infinity) &&
    was.page === is.page &&
    was.memory === is.memory &&
    was.visitor === is.visitor &&
    was.conversation === is.conversation &&
    was.invited === is.invited &&
    was.heardAt === is.heardAt &&
    was.isLit === is.isLit &&
    was.moment === is.moment &&
    was.isWindowOpen === is.isWindowOpen &&
    was.level === is.level &&
    was.forcedWidget === is.forcedWidget &&
    was.unread === is.unread &&
    was.asksAgain === is.asksAgain
  );
}
