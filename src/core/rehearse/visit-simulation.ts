import { INVITATION_ID } from '../wire/invitation';
import type { VisitSimulation } from './visit';
import type { Seen } from './visit';
import { turned } from '../model/page-clock';
import { decide } from '../decide/decide';
import type { Decision } from '../decide/decision';
import { EMPTY_MEMORY } from '../model/memory';
import { originOf } from '../decide/origin';
import { type MemoryEvent, isNoByClosing, remember, visitOf } from '../decide/remember';
import { approachHere } from '../invitations/approach';
import { type Circumstances, type InstantEvent, pageViewAt } from '../model/circumstances';
import { DAY_MS, type EpochMs, type Seconds } from '../model/units';
import { isNewPageView } from '../pages/route';
import type { WireInvitation } from '../wire/design-file';
import { limitsOf } from '../wire/limits';
import type { PublishedSite } from '../wire/published-site';
import type { ConversationFacts } from '../model/conversation';
import { launcherHere } from './launcher-here';

/** What somebody does on a visit. The same as on a page, and as *Try a visit* offers. */
export type VisitStep =
  | { readonly kind: 'page'; readonly address: string; readonly referrer?: string }
  | { readonly kind: 'scroll'; readonly percent: number }
  | { readonly kind: 'seen'; readonly selector: string }
  | { readonly kind: 'instant'; readonly instantEvent: InstantEvent }
  | {
      readonly kind:
        | 'move'
        | 'hide'
        | 'show'
        | 'type'
        | 'stop-typing'
        | 'open'
        | 'close'
        | 'decline'
        | 'accept'
        | 'ask-again'
        | 'nothing';
    }
  /** What the server tells of the conversation, and of the teams. */
  | { readonly kind: 'told'; readonly conversation: ConversationFacts | null }
  | { readonly kind: 'teams'; readonly teams: PublishedSite['pointer']['teams'] };

/** An act, so long after the one before. */
export type VisitEvent = VisitStep & { readonly after: Seconds };

/** A visitor as they stand, with the page view they are in; their page was loaded long ago. */
export function beginSimulation(site: PublishedSite, at: Circumstances): VisitSimulation {
  return settle({
    site,
    circumstances: { ...at, heardAt: at.now },
    seen: [],
    openedByItselfAt: null,
    loadedAt: -Infinity,
  });
}

/** A tab that opens on a page; `memory` is what its browser keeps. */
export function openTab(site: PublishedSite, at: Circumstances): VisitSimulation {
  const blank: VisitSimulation = {
    site,
    circumstances: { ...at, heardAt: at.now },
    seen: [],
    openedByItselfAt: null,
    loadedAt: at.now,
  };
  return settle(onPage(blank, at.page.address, ''));
}

/** Time passes, with an ask whenever the engine wants one; nobody does anything. */
export function waitUntil(simulation: VisitSimulation, until: EpochMs): VisitSimulation {
  let here = simulation;
  for (;;) {
    const { askAgainAt } = decide(here.site, here.circumstances);
    const launcher = launcherHere(here);
    const comesAt = launcher.kind === 'comes' ? launcher.at : Infinity;
    const next = Math.min(askAgainAt ?? Infinity, comesAt);
    if (next > until) break;
    here = settle(withCircumstances(here, { now: next }));
    if (next === comesAt) here = withSeen(here, { at: next, kind: 'launcher' });
  }
  return withCircumstances(here, { now: Math.max(here.circumstances.now, until) });
}

/** Somebody does something now; the engine is asked, and an instant event is over once it has answered ([I4]). */
export function takeStep(simulation: VisitSimulation, step: VisitStep): VisitSimulation {
  const after = settle(applied(simulation, step));
  return after.circumstances.page.instantEvent === null ? after : withPageView(after, { instantEvent: null });
}

/** Plays a visit through `decide`: what showed, when; `explain` at any instant says why not the rest. */
export function replay(
  site: PublishedSite,
  start: Circumstances,
  events: readonly VisitEvent[],
): VisitSimulation {
  return events.reduce(
    (simulation, event) =>
      takeStep(waitUntil(simulation, simulation.circumstances.now + event.after * 1000), event),
    openTab(site, start),
  );
}

function applied(simulation: VisitSimulation, step: VisitStep): VisitSimulation {
  const { circumstances } = simulation;
  const { page, now } = circumstances;
  switch (step.kind) {
    case 'page':
      return isNewPageView(page.address, step.address)
        ? onPage(left(simulation), step.address, step.referrer ?? page.address)
        : withPageView(simulation, { address: step.address });
    case 'scroll':
      return movedAbout(withPageView(simulation, { scrolled: Math.max(page.scrolled, step.percent) }));
    case 'seen':
      return withPageView(simulation, { seen: [...page.seen, step.selector] });
    case 'instant':
      return withPageView(simulation, { instantEvent: step.instantEvent });
    case 'move':
      return movedAbout(simulation);
    case 'hide':
      return page.isVisible ? turnedTo(simulation, false) : simulation;
    case 'show':
      return page.isVisible ? simulation : withCircumstances(turnedTo(simulation, true), { heardAt: now });
    case 'type':
    case 'stop-typing':
      return withPageView(simulation, { isTyping: step.kind === 'type' });
    case 'open':
    case 'accept':
      return {
        ...withCircumstances(withPageView(left(simulation), { hasOpened: true }), {
          isWindowOpen: true,
          heardAt: now + STREAM_TELLS_MS,
          unread: 0,
        }),
        openedByItselfAt: null,
      };
    case 'close':
      return closed(simulation);
    case 'decline':
      return declined(simulation);
    case 'ask-again':
      return withCircumstances(simulation, { asksAgain: true });
    case 'told':
      return withCircumstances(simulation, {
        conversation: step.conversation,
        ...heardNow(circumstances),
        ...(step.conversation?.standing === 'ended' ? {} : { asksAgain: false }),
      });
    case 'teams':
      return withCircumstances(
        {
          ...simulation,
          site: { ...simulation.site, pointer: { ...simulation.site.pointer, teams: step.teams } },
        },
        heardNow(circumstances),
      );
    case 'nothing':
      return simulation;
  }
}

/** While the window is open the stream tells by itself, every few seconds: the word stays fresh for as long as it is. */
const STREAM_TELLS_MS = 400 * DAY_MS;
function heardNow({ isWindowOpen, now }: Circumstances): Partial<Circumstances> {
  return { heardAt: isWindowOpen ? now + STREAM_TELLS_MS : now };
}

/** Asks until nothing more follows: the pointer for a fresh word, a step along the transitions, an invitation to show or take away. */
function settle(simulation: VisitSimulation): VisitSimulation {
  let here = simulation;
  for (let turn = 0; turn < TURNS_MAX; turn++) {
    const decision = decide(here.site, here.circumstances);
    const next = followed(here, decision);
    if (next === here) return here;
    here = next;
  }
  throw new Error(`Expected a walk to settle within ${TURNS_MAX} asks at ${simulation.circumstances.now}.`);
}
const TURNS_MAX = 12;

function followed(simulation: VisitSimulation, decision: Decision): VisitSimulation {
  const { circumstances } = simulation;
  const isLit = decision.isStateKnown && decision.state !== 'nobody' && decision.state !== 'closed';
  const moment = decision.widget === null ? null : decision.moment;
  if (moment !== circumstances.moment || isLit !== circumstances.isLit) {
    const moved = withCircumstances(simulation, { moment, isLit });
    return moment === circumstances.moment || moment === null
      ? moved
      : withSeen(moved, { at: circumstances.now, kind: 'moment', moment });
  }
  if (decision.withdraw !== null && circumstances.invited !== null)
    return withSeen(left(simulation), { at: circumstances.now, kind: 'withdrawn', id: decision.withdraw });
  if (decision.wantsFresh) return withCircumstances(simulation, heardNow(circumstances));
  return decision.show === null ? simulation : invitedBy(simulation, decision, decision.show);
}

function invitedBy(simulation: VisitSimulation, decision: Decision, id: string): VisitSimulation {
  const { site, circumstances } = simulation;
  const { now, page } = circumstances;
  const invitation = site.design.widgets
    .find(({ key }) => key === decision.widget)
    ?.invitations.find((one: WireInvitation) => one[INVITATION_ID] === id);
  if (invitation === undefined) return simulation;
  const shown = withSeen(
    withPageView(afterEvent(simulation, { kind: 'invitation-shown', id, at: now }), {
      shown: [...page.shown, id],
    }),
    {
      at: now,
      kind: 'invited',
      id,
    },
  );
  switch (approachHere(invitation, circumstances)) {
    case 'speak':
      return withCircumstances(shown, { invited: { id, at: now } });
    case 'open':
      return { ...withCircumstances(shown, { isWindowOpen: true }), openedByItselfAt: now };
    case 'stir':
      return left(withCircumstances(shown, { invited: { id, at: now } }));
  }
}

function onPage(simulation: VisitSimulation, address: string, referrer: string): VisitSimulation {
  const { circumstances } = simulation;
  const { now, visitor, isWindowOpen } = circumstances;
  const origin = originOf(address, referrer);
  const viewed = afterEvent(simulation, { kind: 'page-view', at: now, address, ...origin });
  const isFirst = simulation.seen.length === 0 && circumstances.moment === null;
  const visible = isFirst ? afterEvent(viewed, { kind: 'seen', at: now }) : viewed;
  const { memory } = visible.circumstances;
  const kept = memory.visit ?? origin;
  return {
    ...withCircumstances(visible, {
      page: pageViewAt(address, now),
      visitor: { ...visitor, visit: visitOf(memory), referrer: kept.referrer, campaign: kept.campaign },
      heardAt: now,
      moment: isWindowOpen ? circumstances.moment : null,
    }),
    openedByItselfAt: null,
    loadedAt: now,
  };
}

function turnedTo(simulation: VisitSimulation, isVisible: boolean): VisitSimulation {
  const { page, now } = simulation.circumstances;
  const clocks = { clock: turned(page.clock, isVisible, now), idle: turned(page.idle, isVisible, now) };
  return withPageView(afterEvent(simulation, { kind: isVisible ? 'seen' : 'hidden', at: now }), {
    isVisible,
    ...clocks,
  });
}

function movedAbout(simulation: VisitSimulation): VisitSimulation {
  const { page, now } = simulation.circumstances;
  return withPageView(simulation, { idle: { doneMs: 0, since: page.isVisible ? now : null } });
}

function closed(simulation: VisitSimulation): VisitSimulation {
  const { now } = simulation.circumstances;
  const isNo = isNoByClosing(simulation.openedByItselfAt, now);
  const after = left(withCircumstances(simulation, { isWindowOpen: false, asksAgain: false, heardAt: now }));
  return isNo ? declined(after) : after;
}

function declined(simulation: VisitSimulation): VisitSimulation {
  const { now } = simulation.circumstances;
  const { restDays } = limitsOf(simulation.site.design);
  return left(
    withPageView(afterEvent(simulation, { kind: 'declined', at: now, restDays }), { hasDeclined: true }),
  );
}

/** What an invitation brought to the screen goes from it, for whatever cause ([I6]). */
function left(simulation: VisitSimulation): VisitSimulation {
  const { invited, now } = simulation.circumstances;
  if (invited === null && simulation.openedByItselfAt === null) return simulation;
  return {
    ...withCircumstances(
      withPageView(afterEvent(simulation, { kind: 'invitation-left', at: now }), { leftAt: now }),
      {
        invited: null,
      },
    ),
    openedByItselfAt: null,
  };
}

function afterEvent(simulation: VisitSimulation, event: MemoryEvent): VisitSimulation {
  const { memory, level } = simulation.circumstances;
  return withCircumstances(simulation, {
    memory: remember(level === 'none' ? EMPTY_MEMORY : memory, event, level),
  });
}

function withSeen(simulation: VisitSimulation, seen: Seen): VisitSimulation {
  return { ...simulation, seen: [...simulation.seen, seen] };
}

function withPageView(simulation: VisitSimulation, change: Partial<Circumstances['page']>): VisitSimulation {
  return withCircumstances(simulation, { page: { ...simulation.circumstances.page, ...change } });
}

function withCircumstances(simulation: VisitSimulation, change: Partial<Circumstances>): VisitSimulation {
  return { ...simulation, circumstances: { ...simulation.circumstances, ...change } };
}
