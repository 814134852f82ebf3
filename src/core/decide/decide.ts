import type { Circumstances } from '../model/circumstances';
import type { Deed, Moment, WidgetState } from '../model/moment';
import type { EpochMs } from '../model/units';
import { type Line, linesOf } from '../words/lines';
import type { PublishedSite } from '../wire/published-site';
import { momentOf } from './moment';
import type { Reason } from './reason';
import { stateOf } from './state';
import { chooseWidget, isRunning } from './widget';

/** What a visitor gets right now, and why. Plain data without any formatted text ([D1]). */
export interface Decision {
  /** Key of the widget that shows; null: none does. */
  readonly widget: string | null;
  readonly state: WidgetState;
  /** Whether what was heard about people still holds ([S6]). */
  readonly isStateKnown: boolean;
  readonly moment: Moment;
  readonly lines: readonly Line[];
  /** The invitation to show now, and the one to take away; none before the engine has them. */
  readonly show: string | null;
  readonly withdraw: string | null;
  /** The next instant at which time alone may change the decision ([A1], [A2]). */
  readonly askAgainAt: EpochMs | null;
  readonly askAgainOn: readonly Signal[];
  /** What decided, at most one of each kind ([D2]). */
  readonly because: readonly Reason[];
}

export type Signal = 'scroll' | 'leave' | 'activity' | 'click' | 'seen' | 'focus' | 'form';

/** The decision engine: given a published site and the circumstances, what is shown, in which words, and why. Never throws ([D4]). */
export function decide(site: PublishedSite, circumstances: Circumstances): Decision {
  const goesOn = isRunning(circumstances);
  if (site.pointer.paused && !goesOn) return nothing({ about: 'pause', code: 'site-paused', facts: {} });
  const chosen = chooseWidget(site, circumstances);
  if (chosen.widget === null) return nothing(chosen.because);
  const { widget } = chosen;
  const presence = stateOf(site, widget, circumstances);
  const deed: Deed = widget.deeds[presence.state];
  if (circumstances.isPutAway && !circumstances.isWindowOpen && !goesOn) return nothing(chosen.because);
  if (deed === 'out-of-sight' && !goesOn && !circumstances.isWindowOpen) return nothing(presence.because);
  const stands = momentOf(circumstances, presence.state, deed);
  return {
    widget: widget.key,
    state: presence.state,
    isStateKnown: presence.isKnown,
    moment: stands.moment,
    lines: linesOf(stands.moment, presence.state, deed, circumstances),
    show: null,
    withdraw: null,
    askAgainAt: presence.heldUntil,
    askAgainOn: [],
    because: [chosen.because, presence.because, stands.because],
  };
}

function nothing(because: Reason): Decision {
  return {
    widget: null,
    state: 'nobody',
    isStateKnown: false,
    moment: 'passing-by',
    lines: [],
    show: null,
    withdraw: null,
    askAgainAt: null,
    askAgainOn: [],
    because: [because],
  };
}
