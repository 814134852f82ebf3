import type { DueVerdict } from '../invitations/due';
import type { Circumstances } from '../model/circumstances';
import type { EpochMs } from '../model/units';
import type { PublishedSite } from '../wire/published-site';
import { closedLines } from './closed-lines';
import type { Decision } from './decision';
import type { DecisionContext } from '../context/decision-context';
import type { WhyNow } from '../hours/hours-now';
import { pageFactsOf } from '../pages/page-facts';
import type { Reason } from './reason';
import type { MomentResult } from './moment-result';
import { FRESH_MS, type Presence, stateOf } from '../context/presence';
import { type ChosenWidget, chooseWidget } from './widget';
import { isRunning } from '../model/circumstances';

/** What of a decision nothing came of: why there is no widget, and until when. */
export interface NoWidget {
  readonly by: ChosenWidget['by'] | 'paused' | 'put-away' | 'out-of-sight';
  readonly path: string;
  readonly presence: Presence | null;
  readonly until: EpochMs | null;
}

/**
 * The parts of the engine that a page may not have yet: the window brings `momentResultOf`, the visit runtime brings `due`,
 * and only the application wants to know the reasons. Without them the decision is that of a closed window without
 * invitations.
 */
export interface Parts {
  readonly momentResultOf?: (context: DecisionContext) => MomentResult;
  readonly due?: (context: DecisionContext) => DueVerdict;
  /** Comes with the window, which words it. */
  readonly why?: WhyNow | undefined;
  readonly because?: (
    found: NoWidget | (DecisionContext & { readonly result: MomentResult; readonly due: DueVerdict }),
  ) => Reason[];
}

/** `decide` with the parts that are there. Every part decides only what is its own: together they are the whole engine. */
export function decideWith(site: PublishedSite, circumstances: Circumstances, parts: Parts): Decision {
  const page = pageFactsOf(circumstances.page);
  const { now, isWindowOpen, forcedWidget, memory, invited } = circumstances;
  const noWidget = (by: NoWidget['by'], presence: Presence | null, until: EpochMs | null): Decision => ({
    ...NO_WIDGET,
    withdraw: invited?.id ?? null,
    wantsFresh: presence?.wantsFresh ?? false,
    askAgainAt: until,
    because: parts.because?.({ by, path: page.address?.path ?? '', presence, until }) ?? [],
  });
  const goesOn = isRunning(circumstances);
  if (site.pointer.paused && !goesOn) return noWidget('paused', null, null);
  const { widget, by } = chooseWidget(site, circumstances, page);
  if (widget === null) return noWidget(by, null, null);
  const presence = stateOf(site, widget, circumstances, parts.why);
  const behaviour = widget.deeds[presence.state];
  const isAway = !isWindowOpen && !goesOn;
  if (isAway && memory.putAwayUntil !== null && now < memory.putAwayUntil)
    return noWidget('put-away', null, memory.putAwayUntil);
  if (isAway && behaviour === 'out-of-sight')
    return noWidget('out-of-sight', presence, orNull(presence.next));

  const isCountOnly = goesOn && forcedWidget !== widget.key && !page.accepts(widget);
  const context: DecisionContext = {
    site,
    circumstances,
    page,
    widget,
    by,
    presence,
    behaviour,
    isCountOnly,
  };
  const result = parts.momentResultOf?.(context) ?? {
    moment: 'passing-by',
    code: 'window-closed',
    lines: closedLines(context),
    next: Infinity,
  };
  const due = parts.due?.(context) ?? NO_INVITATION;
  const freshUntil = (circumstances.heardAt ?? -Infinity) + FRESH_MS;
  const isFresh = now < freshUntil;
  return {
    widget: widget.key,
    state: presence.state,
    isStateKnown: presence.isKnown,
    isStateFresh: presence.isFresh,
    closedBy: presence.hours?.closedBy ?? null,
    moment: result.moment,
    isCountOnly,
    lines: result.lines,
    show: isFresh ? due.due : null,
    withdraw: due.withdraw,
    wantsFresh: presence.wantsFresh || (due.due !== null && !isFresh),
    askAgainAt: orNull(
      Math.min(presence.next, result.next, due.next, due.due !== null && isFresh ? freshUntil : Infinity),
    ),
    askAgainOn: due.on,
    because: parts.because?.({ ...context, result, due }) ?? [],
  };
}

function orNull(instant: EpochMs): EpochMs | null {
  return instant === Infinity ? null : instant;
}

const NO_INVITATION: DueVerdict = { due: null, withdraw: null, next: Infinity, on: [] };

const NO_WIDGET: Decision = {
  widget: null,
  state: 'nobody',
  isStateKnown: false,
  isStateFresh: true,
  closedBy: null,
  moment: 'passing-by',
  isCountOnly: false,
  lines: [],
  show: null,
  withdraw: null,
  wantsFresh: false,
  askAgainAt: null,
  askAgainOn: [],
  because: [],
};
