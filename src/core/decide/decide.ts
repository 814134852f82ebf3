import type { ClosedBy } from '../hours/why';
import { dueOf } from '../invitations/due';
import type { Signal } from '../invitations/judge';
import type { Circumstances } from '../model/circumstances';
import type { Behaviour, Moment, WidgetState } from '../model/moment';
import type { EpochMs } from '../model/units';
import type { WireWidget } from '../wire/design-file';
import type { PublishedSite } from '../wire/published-site';
import type { Line } from '../words/lines';
import { becauseOf } from './because';
import { decideWith } from './decide-with';
import type { PageFacts } from './page-facts';
import type { Reason } from './reason';
import { momentResultOf } from './moment-result';
import { whyNow } from './why-now';
import type { Presence } from './state';
import type { ChosenWidget } from './widget';

export type { Signal } from '../invitations/judge';

/** What a visitor gets right now, and why. Plain data without any formatted text ([D1]). */
export interface Decision {
  /** Key of the widget that shows; null: none does. */
  readonly widget: string | null;
  readonly state: WidgetState;
  /** Whether what was heard about people still holds ([S6]). */
  readonly isStateKnown: boolean;
  /** Why it is closed ([H15]); null: it is not. Cases ask for it ([T4]). */
  readonly closedBy: ClosedBy | null;
  readonly moment: Moment;
  /** [M8] A running conversation away from its pages: the launcher shows its unread count only. */
  readonly isCountOnly: boolean;
  readonly lines: readonly Line[];
  /** The invitation to show now, and the one to take away ([I3], [I8]). */
  readonly show: string | null;
  readonly withdraw: string | null;
  /** Somebody would be said to be there, or invite, on an old word: ask the pointer, then decide again ([S6], [I3]). */
  readonly wantsFresh: boolean;
  /** The next instant at which time alone may change the decision ([A1], [A2]). */
  readonly askAgainAt: EpochMs | null;
  readonly askAgainOn: readonly Signal[];
  /** What decided, at most one of each kind ([D2]). */
  readonly because: readonly Reason[];
}

/** What is settled before anything is shown: the widget, its state and behaviour. */
export interface DecisionContext {
  readonly site: PublishedSite;
  readonly circumstances: Circumstances;
  readonly page: PageFacts;
  readonly widget: WireWidget;
  readonly by: ChosenWidget['by'];
  readonly presence: Presence;
  readonly behaviour: Behaviour;
  readonly isCountOnly: boolean;
}

/** The decision engine: given a published site and the circumstances, what is shown, in which words, and why. Never throws ([D4]). */
export function decide(site: PublishedSite, circumstances: Circumstances): Decision {
  const last = LAST.get(site);
  if (last !== undefined && isSilence(last, circumstances)) return last.decision;
  const decision = decideAnew(site, circumstances);
  LAST.set(site, { circumstances, decision });
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

const LAST = new WeakMap<PublishedSite, Last>();

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
