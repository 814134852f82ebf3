import { toAddress } from '../pages/address';
import type { Level } from '../model/circumstances';
import { DAY_MS, type EpochMs, SECOND_MS } from '../model/units';
import { elapsedAt } from '../model/page-clock';
import {
  EARLIER_VISITS_MAX,
  EMPTY_MEMORY,
  MEMORY_UNITS_MAX,
  type Memory,
  TRAIL_MAX,
  type VisitRecord,
  goesOn,
  visitClock,
} from '../model/memory';

/** What happened to a visitor, as far as it may be remembered. */
export type MemoryEvent =
  | { readonly kind: 'wrote'; readonly token: string }
  | { readonly kind: 'put-away'; readonly until: EpochMs }
  | { readonly kind: 'token-refused' }
  | { readonly kind: 'forgotten' }
  /** A page view began ([V1]), in a tab that is visible. `referrer` and `campaign` are this page's own. */
  | {
      readonly kind: 'page-view';
      readonly at: EpochMs;
      readonly address: string;
      readonly referrer: string | null;
      readonly campaign: string | null;
    }
  /** A tab came into view, or went out of it. */
  | { readonly kind: 'seen' | 'hidden'; readonly at: EpochMs }
  | { readonly kind: 'invitation-shown'; readonly id: string; readonly at: EpochMs }
  | { readonly kind: 'invitation-left'; readonly at: EpochMs }
  | { readonly kind: 'declined'; readonly at: EpochMs; readonly restDays: number }
  | { readonly kind: 'replied'; readonly replies: Readonly<Record<string, string>> };

/**
 * The memory after something happened, at the level that may be kept ([V7]). A level that keeps less touches only what is
 * its own: what was kept under an earlier consent waits until this page says whether it still holds ([V8]).
 */
export function remember(memory: Memory, event: MemoryEvent, level: Level): Memory {
  if (event.kind === 'forgotten') return EMPTY_MEMORY;
  const next = after(withinLevel(memory, level), event, level === 'kept');
  if (level === 'kept') return fitted(next);
  const own = withOwn(memory, next, followsOn(memory, level));
  return own.trail === memory.trail ? own : fitted(own);
}

/** A memory with what any level keeps of another; [V9] whoever has written is followed from then on, and no further. */
function withOwn(
  memory: Memory,
  { token, seenId, putAwayUntil, restUntil, trail }: Memory,
  follows: boolean,
): Memory {
  const own = { ...memory, token, seenId, putAwayUntil, restUntil };
  return follows && token !== null ? { ...own, trail } : own;
}

function after(
  memory: Memory,
  event: Exclude<MemoryEvent, { kind: 'forgotten' }>,
  keepsVisits: boolean,
): Memory {
  switch (event.kind) {
    case 'wrote':
      return { ...memory, token: event.token };
    case 'put-away':
      return { ...memory, putAwayUntil: event.until };
    case 'token-refused':
      return { ...memory, token: null };
    case 'declined':
      return { ...memory, restUntil: event.at + event.restDays * DAY_MS };
    case 'replied':
      return { ...memory, replies: { ...memory.replies, ...event.replies } };
    case 'page-view':
      return keepsVisits ? afterPageView(memory, event) : { ...memory, trail: onward(memory, event) };
  }
  return memory.visit === null ? memory : afterInVisit(memory, memory.visit, event);
}

/** [V9] Whether the trail is one that *asked* may have: what was gathered under an earlier consent is not. */
function followsOn({ visit }: Memory, level: Level): boolean {
  return level === 'asked' && visit === null;
}

/** [V9] The pages since the visitor first wrote; a page that is loaded again is still one. */
function onward(
  { token, trail }: Memory,
  { address, at }: { readonly address: string; readonly at: EpochMs },
): Memory['trail'] {
  const step = stepOf(address);
  return token === null || trail.at(-1)?.[0] === step ? trail : [...trail, [step, at]];
}

/** [P5] Without what says where somebody came from. */
function stepOf(address: string): string {
  return toAddress(address)?.whole ?? address;
}

/** [V2], [V5] A page view goes on with the visit, or begins the next one with its own referrer and campaign. */
function afterPageView(
  memory: Memory,
  { at, address, referrer, campaign }: Extract<MemoryEvent, { kind: 'page-view' }>,
): Memory {
  const { visit } = memory;
  if (visit !== null && goesOn(visit, at)) {
    const trail = [...memory.trail, [stepOf(address), at] as const];
    return { ...memory, visit: { ...upToDate(visit, at), pages: visit.pages + 1 }, trail };
  }
  return {
    ...memory,
    visit: {
      number: (visit?.number ?? 0) + 1,
      startedAt: at,
      lastAt: at,
      doneMs: 0,
      tabs: 0,
      pages: 1,
      referrer,
      campaign,
      shown: 0,
      leftAt: null,
    },
    before: visit === null ? memory.before : [visit.startedAt, ...memory.before],
    trail: [[stepOf(address), at]],
  };
}

type InVisit = Extract<MemoryEvent, { kind: 'seen' | 'hidden' | 'invitation-shown' | 'invitation-left' }>;

function afterInVisit(memory: Memory, visit: VisitRecord, event: InVisit): Memory {
  const { at } = event;
  const now = upToDate(visit, at);
  switch (event.kind) {
    case 'seen':
      return { ...memory, visit: { ...now, tabs: visit.tabs + 1 } };
    case 'hidden':
      return { ...memory, visit: { ...now, tabs: Math.max(0, visit.tabs - 1) } };
    case 'invitation-left':
      return { ...memory, visit: { ...now, leftAt: at } };
    case 'invitation-shown': {
      const total = (Object.hasOwn(memory.counts, event.id) ? (memory.counts[event.id]?.[1] ?? 0) : 0) + 1;
      const counts = { ...memory.counts, [event.id]: [visit.number, total, at] as const };
      return { ...memory, visit: { ...now, shown: visit.shown + 1 }, counts };
    }
  }
}

/** [V3], [V4] The visit with its clock brought up to an instant; time that was told already is not told again. */
function upToDate(visit: VisitRecord, at: EpochMs): VisitRecord {
  return { ...visit, doneMs: elapsedAt(visitClock(visit), at), lastAt: Math.max(visit.lastAt, at) };
}

/** [V7], [V8] What a level may keep of a memory; the rest is gone. */
export function withinLevel(memory: Memory, level: Level): Memory {
  return level === 'kept' ? memory : withOwn(EMPTY_MEMORY, memory, followsOn(memory, level));
}

/** [V8] Bounded: the oldest steps of the trail go first, then the oldest counters. */
function fitted(memory: Memory): Memory {
  let fit: Memory = {
    ...memory,
    before: memory.before.slice(0, EARLIER_VISITS_MAX),
    trail: memory.trail.slice(-TRAIL_MAX),
  };
  while (JSON.stringify(fit).length > MEMORY_UNITS_MAX) {
    const [oldest] = Object.keys(fit.counts);
    if (fit.trail.length > 0) fit = { ...fit, trail: fit.trail.slice(1) };
    else if (oldest !== undefined)
      fit = { ...fit, counts: Object.fromEntries(Object.entries(fit.counts).slice(1)) };
    else return { ...fit, replies: {}, visit: null };
  }
  return fit;
}

/** [V8], [I11] Counters of invitations that are published no more are dropped. */
export function pruned(memory: Memory, ids: readonly string[]): Memory {
  return {
    ...memory,
    counts: Object.fromEntries(Object.entries(memory.counts).filter(([id]) => ids.includes(id))),
  };
}

/** [V6] What is known of the visit: nothing at a level that cannot know. */
export function visitOf(memory: Memory): 'first' | 'returning' | 'unknown' {
  if (memory.visit === null) return 'unknown';
  return memory.visit.number === 1 ? 'first' : 'returning';
}

/** [I7] Closing a window that an invitation opened, so soon, counts as a *No, thanks*. */
export const NO_BY_CLOSING_MS = 10 * SECOND_MS;
export function isNoByClosing(openedByInvitationAt: EpochMs | null, now: EpochMs): boolean {
  return openedByInvitationAt !== null && now - openedByInvitationAt <= NO_BY_CLOSING_MS;
}
