import { turned } from '../decide/clock';
import { type Decision, decide } from '../decide/decide';
import { EMPTY_MEMORY } from '../decide/memory';
import { originOf } from '../decide/origin';
import { type Happening, isNoByClosing, remember, visitOf } from '../decide/remember';
import { approachHere } from '../invitations/manner';
import { type Circumstances, type Pulse, pageViewAt } from '../model/circumstances';
import type { Moment } from '../model/moment';
import { DAY_MS, type EpochMs, type Seconds } from '../model/units';
import { isNewPageView } from '../pages/route';
import type { WireInvitation } from '../wire/design-file';
import type { PublishedSite } from '../wire/published-site';
import type { ConversationFacts } from '../wire/talk';
import { launcherHere } from './launcher-here';

/** What somebody does on a visit (engine.md §8). The same as on a page, and as *Try a visit* offers. */
export type Act =
  | { readonly kind: 'page'; readonly address: string; readonly referrer?: string }
  | { readonly kind: 'scroll'; readonly percent: number }
  | { readonly kind: 'seen'; readonly selector: string }
  | { readonly kind: 'pulse'; readonly pulse: Pulse }
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
export type VisitEvent = Act & { readonly after: Seconds };

/** What came of it. */
export type Seen =
  | { readonly at: EpochMs; readonly kind: 'moment'; readonly moment: Moment }
  | { readonly at: EpochMs; readonly kind: 'invited' | 'withdrawn'; readonly id: string }
  /** The launcher came by itself, after its delay. */
  | { readonly at: EpochMs; readonly kind: 'launcher' };

/** A tab on the way: the site as it is told, the circumstances, what was seen, and whether the window is open by itself. */
export interface Walk {
  readonly site: PublishedSite;
  readonly circumstances: Circumstances;
  readonly seen: readonly Seen[];
  readonly openedByItselfAt: EpochMs | null;
  /** When the page was loaded that the tab is on: the launcher's delay counts from then. */
  readonly loadedAt: EpochMs;
}

/** A visitor as they stand, with the page view they are in; their page was loaded long ago. */
export function beginWalk(site: PublishedSite, at: Circumstances): Walk {
  return settle({
    site,
    circumstances: { ...at, heardAt: at.now },
    seen: [],
    openedByItselfAt: null,
    loadedAt: -Infinity,
  });
}

/** A tab that opens on a page; `memory` is what its browser keeps. */
export function openTab(site: PublishedSite, at: Circumstances): Walk {
  const blank: Walk = {
    site,
    circumstances: { ...at, heardAt: at.now },
    seen: [],
    openedByItselfAt: null,
    loadedAt: at.now,
  };
  return settle(onPage(blank, at.page.address, ''));
}

/** Time passes, with an ask whenever the engine wants one; nobody does anything. */
export function waitUntil(walk: Walk, until: EpochMs): Walk {
  let here = walk;
  for (;;) {
    const { askAgainAt } = decide(here.site, here.circumstances);
    const launcher = launcherHere(here);
    const comesAt = launcher.kind === 'comes' ? launcher.at : Infinity;
    const next = Math.min(askAgainAt ?? Infinity, comesAt);
    if (next > until) break;
    here = settle(having(here, { now: next }));
    if (next === comesAt) here = noted(here, { at: next, kind: 'launcher' });
  }
  return having(here, { now: Math.max(here.circumstances.now, until) });
}

/** Somebody does something now; the engine is asked, and a pulse is over once it has answered ([I4]). */
export function doAct(walk: Walk, act: Act): Walk {
  const after = settle(applied(walk, act));
  return after.circumstances.page.pulse === null ? after : onView(after, { pulse: null });
}

/** Plays a visit through `decide` (engine.md §8): what showed, when; `explain` at any instant says why not the rest. */
export function replay(site: PublishedSite, start: Circumstances, events: readonly VisitEvent[]): Walk {
  return events.reduce(
    (walk, event) => doAct(waitUntil(walk, walk.circumstances.now + event.after * 1000), event),
    openTab(site, start),
  );
}

function applied(walk: Walk, act: Act): Walk {
  const { circumstances } = walk;
  const { page, now } = circumstances;
  switch (act.kind) {
    case 'page':
      return isNewPageView(page.address, act.address)
        ? onPage(left(walk), act.address, act.referrer ?? page.address)
        : onView(walk, { address: act.address });
    case 'scroll':
      return movedAbout(onView(walk, { scrolled: Math.max(page.scrolled, act.percent) }));
    case 'seen':
      return onView(walk, { seen: [...page.seen, act.selector] });
    case 'pulse':
      return onView(walk, { pulse: act.pulse });
    case 'move':
      return movedAbout(walk);
    case 'hide':
      return page.isVisible ? turnedTo(walk, false) : walk;
    case 'show':
      return page.isVisible ? walk : having(turnedTo(walk, true), { heardAt: now });
    case 'type':
    case 'stop-typing':
      return onView(walk, { isTyping: act.kind === 'type' });
    case 'open':
    case 'accept':
      return {
        ...having(onView(left(walk), { hasOpened: true }), {
          isWindowOpen: true,
          heardAt: now + STREAM_TELLS_MS,
          unread: 0,
        }),
        openedByItselfAt: null,
      };
    case 'close':
      return closed(walk);
    case 'decline':
      return declined(walk);
    case 'ask-again':
      return having(walk, { asksAgain: true });
    case 'told':
      return having(walk, {
        conversation: act.conversation,
        ...heardNow(circumstances),
        ...(act.conversation?.standing === 'ended' ? {} : { asksAgain: false }),
      });
    case 'teams':
      return having(
        { ...walk, site: { ...walk.site, pointer: { ...walk.site.pointer, teams: act.teams } } },
        heardNow(circumstances),
      );
    case 'nothing':
      return walk;
  }
}

/** While the window is open the stream tells by itself, every few seconds: the word stays fresh for as long as it is. */
const STREAM_TELLS_MS = 400 * DAY_MS;
function heardNow({ isWindowOpen, now }: Circumstances): Partial<Circumstances> {
  return { heardAt: isWindowOpen ? now + STREAM_TELLS_MS : now };
}

/** Asks until nothing more follows: the pointer for a fresh word, a step along the transitions, an invitation to show or take away. */
function settle(walk: Walk): Walk {
  let here = walk;
  for (let turn = 0; turn < TURNS_MAX; turn++) {
    const decision = decide(here.site, here.circumstances);
    const next = followed(here, decision);
    if (next === here) return here;
    here = next;
  }
  throw new Error(`Expected a walk to settle within ${TURNS_MAX} asks at ${walk.circumstances.now}.`);
}
const TURNS_MAX = 12;

function followed(walk: Walk, decision: Decision): Walk {
  const { circumstances } = walk;
  const isLit = decision.isStateKnown && decision.state !== 'nobody' && decision.state !== 'closed';
  const moment = decision.widget === null ? null : decision.moment;
  if (moment !== circumstances.moment || isLit !== circumstances.isLit) {
    const moved = having(walk, { moment, isLit });
    return moment === circumstances.moment || moment === null
      ? moved
      : noted(moved, { at: circumstances.now, kind: 'moment', moment });
  }
  if (decision.withdraw !== null && circumstances.invited !== null)
    return noted(left(walk), { at: circumstances.now, kind: 'withdrawn', id: decision.withdraw });
  if (decision.wantsFresh) return having(walk, heardNow(circumstances));
  return decision.show === null ? walk : invitedBy(walk, decision, decision.show);
}

function invitedBy(walk: Walk, decision: Decision, id: string): Walk {
  const { site, circumstances } = walk;
  const { now, page } = circumstances;
  const invitation = site.design.widgets
    .find(({ key }) => key === decision.widget)
    ?.invitations.find((one: WireInvitation) => one[0] === id);
  if (invitation === undefined) return walk;
  const shown = noted(
    onView(happened(walk, { kind: 'invitation-shown', id, at: now }), { shown: [...page.shown, id] }),
    {
      at: now,
      kind: 'invited',
      id,
    },
  );
  switch (approachHere(invitation, circumstances)) {
    case 'speak':
      return having(shown, { invited: { id, at: now } });
    case 'open':
      return { ...having(shown, { isWindowOpen: true }), openedByItselfAt: now };
    case 'stir':
      return left(having(shown, { invited: { id, at: now } }));
  }
}

function onPage(walk: Walk, address: string, referrer: string): Walk {
  const { circumstances } = walk;
  const { now, visitor, isWindowOpen } = circumstances;
  const origin = originOf(address, referrer);
  const viewed = happened(walk, { kind: 'page-view', at: now, address, ...origin });
  const isFirst = walk.seen.length === 0 && circumstances.moment === null;
  const visible = isFirst ? happened(viewed, { kind: 'seen', at: now }) : viewed;
  const { memory } = visible.circumstances;
  const kept = memory.visit ?? origin;
  return {
    ...having(visible, {
      page: pageViewAt(address, now),
      visitor: { ...visitor, visit: visitOf(memory), referrer: kept.referrer, campaign: kept.campaign },
      heardAt: now,
      moment: isWindowOpen ? circumstances.moment : null,
    }),
    openedByItselfAt: null,
    loadedAt: now,
  };
}

function turnedTo(walk: Walk, isVisible: boolean): Walk {
  const { page, now } = walk.circumstances;
  const clocks = { clock: turned(page.clock, isVisible, now), idle: turned(page.idle, isVisible, now) };
  return onView(happened(walk, { kind: isVisible ? 'seen' : 'hidden', at: now }), { isVisible, ...clocks });
}

function movedAbout(walk: Walk): Walk {
  const { page, now } = walk.circumstances;
  return onView(walk, { idle: { doneMs: 0, since: page.isVisible ? now : null } });
}

function closed(walk: Walk): Walk {
  const { now } = walk.circumstances;
  const isNo = isNoByClosing(walk.openedByItselfAt, now);
  const after = left(having(walk, { isWindowOpen: false, asksAgain: false, heardAt: now }));
  return isNo ? declined(after) : after;
}

function declined(walk: Walk): Walk {
  const { now } = walk.circumstances;
  const restDays = walk.site.design.limits?.[4] ?? 30;
  return left(onView(happened(walk, { kind: 'declined', at: now, restDays }), { hasDeclined: true }));
}

/** What an invitation brought to the screen goes from it, for whatever cause ([I6]). */
function left(walk: Walk): Walk {
  const { invited, now } = walk.circumstances;
  if (invited === null && walk.openedByItselfAt === null) return walk;
  return {
    ...having(onView(happened(walk, { kind: 'invitation-left', at: now }), { leftAt: now }), {
      invited: null,
    }),
    openedByItselfAt: null,
  };
}

function happened(walk: Walk, happening: Happening): Walk {
  const { memory, level } = walk.circumstances;
  return having(walk, { memory: remember(level === 'none' ? EMPTY_MEMORY : memory, happening, level) });
}

function noted(walk: Walk, seen: Seen): Walk {
  return { ...walk, seen: [...walk.seen, seen] };
}

function onView(walk: Walk, change: Partial<Circumstances['page']>): Walk {
  return having(walk, { page: { ...walk.circumstances.page, ...change } });
}

function having(walk: Walk, change: Partial<Circumstances>): Walk {
  return { ...walk, circumstances: { ...walk.circumstances, ...change } };
}
