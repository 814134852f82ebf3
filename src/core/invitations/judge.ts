import { type PageClock, elapsedAt, reachesAt } from '../model/page-clock';
import { weekdayOf } from '../hours/days';
import { localDayOf } from '../hours/hours';
import { type Span, type Zone, spanOfWall } from '../hours/zone';
import { visitClock } from '../model/memory';
import type { Circumstances } from '../model/circumstances';
import type { WidgetState } from '../model/moment';
import { DAY_MS, type EpochMs, MINUTE_MS, SECOND_MS } from '../model/units';
import type { WireCondition, WireGroup, WireItem } from '../wire/design-file';
import { type Known, type KnownKind, isKnown } from './known';
import { DAYS, IS_NOT, KIND, VALUE, isWireGroup } from '../wire/condition';

/** What may change a decision besides time. `visibility route live memory call` are always heard, and stand in no list. */
export const SIGNALS = ['scroll', 'leave', 'activity', 'click', 'seen', 'focus', 'form'] as const;
export type Signal = (typeof SIGNALS)[number];

/** Signals as bits, in the order of SIGNALS; constants of their own, so that the build writes the numbers in. */
export type SignalBits = number;
const SCROLL = 1;
const LEAVE = 2;
const ACTIVITY = 4;
const CLICK = 8;
const SEEN = 16;
export const FOCUS = 32;
const FORM = 64;

/**
 * How a condition stands: whether it holds, when time alone may change that (Infinity: never), and which signals may.
 * Without either it stays as it is for this page view.
 */
export interface Judgement {
  readonly is: boolean;
  readonly next: EpochMs;
  readonly on: SignalBits;
}

/** All that conditions are held against. */
export interface JudgeContext extends Known {
  readonly state: WidgetState;
  /** When time alone may change the state. */
  readonly stateNext: EpochMs;
  /** The site's. */
  readonly zone: Zone;
  /** Judge states only: everything else counts as holding ([I8]). */
  readonly statesOnly: boolean;
}

/**
 * [I1] A condition, or a group of them: *all of* or *any of*. A group that one member alone keeps as it is asks for
 * nothing: neither an instant nor a signal.
 */
export function judge(item: WireItem, asked: JudgeContext): Judgement {
  const judgement = isWireGroup(item) ? judgeGroup(item, asked) : judgeOne(item, asked);
  return item[IS_NOT] && judgement !== ASSUMED && judgement !== UNKNOWN
    ? { ...judgement, is: !judgement.is }
    : judgement;
}

function judgeGroup(group: WireGroup, asked: JudgeContext): Judgement {
  const decisive = group[KIND] === 'any'; // the verdict that one member alone brings about
  let isDecided = false;
  let decidedNext = 0;
  let othersNext = Infinity;
  let on = 0;
  for (let at = VALUE; at < group.length; at++) {
    const one = judge(group[at] as WireItem, asked);
    on |= one.on;
    if (one.is !== decisive) othersNext = Math.min(othersNext, one.next);
    else if (one.next === Infinity && one.on === 0) return still(decisive);
    else {
      isDecided = true;
      decidedNext = Math.max(decidedNext, one.next);
    }
  }
  return { is: isDecided === decisive, next: isDecided ? decidedNext : othersNext, on };
}

function still(is: boolean): Judgement {
  return is ? HOLDS : FAILS;
}
const HOLDS: Judgement = { is: true, next: Infinity, on: 0 };
const FAILS: Judgement = { is: false, next: Infinity, on: 0 };
/** Neither of these is turned round by a negation. */
const ASSUMED: Judgement = { is: true, next: Infinity, on: 0 };
const UNKNOWN: Judgement = { is: false, next: Infinity, on: 0 };

/** [I2] How one condition stands, before its negation. An unknown kind never holds ([D4]). */
function judgeOne(condition: WireCondition, asked: JudgeContext): Judgement {
  const known = isKnown(condition, asked);
  if (known !== null) return still(known);
  const other = condition as Exclude<WireCondition, readonly [KnownKind, ...unknown[]]>;
  const { visitor, memory, page, now } = asked.circumstances;
  const visit = memory.visit;
  switch (other[KIND]) {
    case 'pages-seen':
      return still(visit !== null && visit.pages >= other[VALUE]);
    case 'visit':
      return still(visitor.visit === other[VALUE]);
    case 'visit-number':
      return still(visit !== null && visit.number >= other[VALUE]);
    case 'visits-in-days':
      return still(
        visit !== null &&
          startsSince(asked.circumstances, visit.startedAt - other[DAYS] * DAY_MS) >= other[VALUE],
      );
    case 'days-since-visit':
      return still(
        visit !== null && visit.startedAt - (memory.before[0] ?? visit.startedAt) >= other[VALUE] * DAY_MS,
      );
    case 'state':
      return { is: other.includes(asked.state, VALUE), next: asked.stateNext, on: 0 };
    case 'week-time':
    case 'dates':
      return within(spansNear(other, asked.zone, now), now);
  }
  if (asked.statesOnly) return ASSUMED;
  switch (other[KIND]) {
    case 'on-page':
      return reached(page.clock, other[VALUE], now, 0);
    case 'idle':
      return reached(page.idle, other[VALUE], now, ACTIVITY);
    case 'in-visit':
      return visit === null ? FAILS : reached(visitClock(visit), other[VALUE], now, 0);
    case 'scrolled':
      return page.scrolled >= other[VALUE] ? HOLDS : awaited(false, SCROLL);
    case 'seen':
      return page.seen.includes(other[VALUE]) ? HOLDS : awaited(false, SEEN);
    case 'clicked':
      return awaited(
        page.instantEvent?.kind === 'clicked' && page.instantEvent.selector === other[VALUE],
        CLICK,
      );
    case 'leaving':
      return awaited(page.instantEvent?.kind === 'leaving', LEAVE);
    case 'form-left':
      return awaited(page.instantEvent?.kind === 'form-left', FORM);
    default:
      return judgeUnknown(other);
  }
}

/** [D4] A condition of a kind that a later program knows never holds; every kind of ours is judged above. */
function judgeUnknown(_condition: never): Judgement {
  return UNKNOWN;
}

function awaited(is: boolean, on: SignalBits): Judgement {
  return { is, next: Infinity, on };
}

/** A clock that reaches some seconds by itself, unless it stands ([A5]). */
function reached(clock: PageClock, seconds: number, now: EpochMs, on: SignalBits): Judgement {
  const is = elapsedAt(clock, now) >= seconds * SECOND_MS;
  return { is, next: is ? Infinity : (reachesAt(clock, seconds * SECOND_MS) ?? Infinity), on };
}

/** How many visits began at an instant or later, this one with them. */
function startsSince({ memory }: Circumstances, from: EpochMs): number {
  return memory.before.filter((start) => start >= from).length + 1;
}

/**
 * The spans of a window that matter now: of a week's days, or whole days ([I2]). A window that passes midnight belongs
 * to the day it began; what its wall clock does is [H4]'s.
 */
function spansNear(
  condition: Extract<WireCondition, readonly ['week-time' | 'dates', ...unknown[]]>,
  zone: Zone,
  now: EpochMs,
): Span[] {
  const spanOf = (day: number, from: number, to: number): Span[] => {
    const span = spanOfWall(zone, day * DAY_MS + from * MINUTE_MS, day * DAY_MS + to * MINUTE_MS);
    return span === null ? [] : [span];
  };
  if (condition[KIND] === 'dates')
    return spanOf(condition[VALUE], 0, (condition[DAYS] - condition[VALUE] + 1) * 1440);
  const [, , days, from, to] = condition;
  const today = localDayOf(zone, now);
  return Array.from({ length: 11 }, (_, place) => today - 2 + place)
    .filter((day) => days & (1 << weekdayOf(day)))
    .flatMap((day) => spanOf(day, from, to));
}

function within(spans: readonly Span[], now: EpochMs): Judgement {
  const ends = Math.max(
    ...spans.filter(({ from, until }) => from <= now && now < until).map(({ until }) => until),
  );
  const begins = Math.min(...spans.filter(({ from }) => from > now).map(({ from }) => from));
  return ends > now ? { is: true, next: ends, on: 0 } : { is: false, next: begins, on: 0 };
}
