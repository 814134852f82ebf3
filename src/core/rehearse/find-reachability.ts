import { compileSite } from '../decide/compile-site';
import { decide } from '../decide/decide';
import { explain } from '../decide/explain';
import type { Reason } from '../decide/reason';
import { stateOf } from '../context/presence';
import { elapsedAt } from '../model/page-clock';
import { visitClock } from '../model/memory';
import { NO_BY_CLOSING_MS } from '../decide/remember';
import { closingEdge } from '../invitations/due';
import { judge } from '../invitations/judge';
import { pageFactsOf } from '../pages/page-facts';
import { zoneOf } from '../hours/hours-now';
import type { Circumstances } from '../model/circumstances';
import { MOMENTS, type Moment } from '../model/moment';
import { DAY_MS, SECOND_MS } from '../model/units';
import type { WireCondition, WireGroup, WireInvitation, WireItem, WireWidget } from '../wire/design-file';
import { limitsOf } from '../wire/limits';
import type { PublishedSite } from '../wire/published-site';
import type { ConversationFacts } from '../model/conversation';
import { type VisitStep, beginSimulation, takeStep, waitUntil } from './visit-simulation';
import type { VisitSimulation } from './visit';
import { IS_NOT, KIND, VALUE, isWireGroup, itemsOf } from '../wire/condition';

/** How near a moment is for this visitor, in these circumstances ([M9]). */
export type Reachability = 'here' | 'on-the-way' | 'possible' | 'never';

export interface ReachableMoment {
  readonly moment: Moment;
  readonly reachability: Reachability;
  /** What leads there, a step after the other; null for *never*. Seconds are waited before each. */
  readonly by: readonly Step[] | null;
  /** Of *never*: what stands against it, the decisive one first. */
  readonly because: readonly Reason[];
}

export type Step = { readonly wait: number } | VisitStep;

/** Steps of the search, each of them one time that somebody does something or waits. */
const STEPS_MAX = 2000;

/**
 * [M9] For each moment: *here* at the first second, *on the way* by time alone, *possible* by acts and passing seconds
 * with the state held still, else *never*. A breadth-first search over what can be told apart: which conditions hold,
 * what was shown, where the visitor stands. Each step is a real one through `decide`.
 */
export function findReachability(site: PublishedSite, circumstances: Circumstances): ReachableMoment[] {
  const frozen = frozenSite(site, circumstances);
  const found = new Map<Moment, { reachability: Reachability; by: Step[] }>();
  const start = beginSimulation(frozen.site, { ...circumstances, heardAt: circumstances.now });
  const note = (simulation: VisitSimulation, from: number, reachability: Reachability, by: Step[]): void => {
    for (const seen of simulation.seen.slice(from))
      if (seen.kind === 'moment' && !found.has(seen.moment)) found.set(seen.moment, { reachability, by });
  };
  const shows = decide(frozen.site, start.circumstances).widget !== null;
  if (shows) {
    note(start, 0, 'here', []);
    for (let simulation = start, turn = 0; turn < TIME_TURNS; turn++) {
      const wait = soonest(simulation, frozen.seconds);
      if (wait === null) break;
      const later = waitUntil(simulation, simulation.circumstances.now + wait);
      note(later, simulation.seen.length, 'on-the-way', [
        { wait: later.circumstances.now - start.circumstances.now },
      ]);
      simulation = later;
    }
    search(start, frozen, note);
  }
  const against = explain(site, circumstances).map(({ reason }) => reason);
  return MOMENTS.map((moment): ReachableMoment => {
    const known = found.get(moment);
    return known === undefined
      ? {
          moment,
          reachability: 'never',
          by: null,
          because: against.filter(({ about }) => about !== 'locale'),
        }
      : { moment, ...known, because: [] };
  });
}
const TIME_TURNS = 40;

function search(
  start: VisitSimulation,
  frozen: FrozenSite,
  note: (simulation: VisitSimulation, from: number, reachability: Reachability, by: Step[]) => void,
): void {
  const queue: { simulation: VisitSimulation; by: Step[] }[] = [{ simulation: start, by: [] }];
  const known = new Set([keyOf(start, frozen)]);
  for (let steps = 0; queue.length > 0 && steps < STEPS_MAX;) {
    const here = queue.shift();
    if (here === undefined) return;
    for (const step of stepsFrom(here.simulation, frozen)) {
      steps++;
      const after = taken(here.simulation, step);
      const by = [...here.by, step];
      note(after, here.simulation.seen.length, 'possible', by);
      const key = keyOf(after, frozen);
      if (known.has(key)) continue;
      known.add(key);
      queue.push({ simulation: after, by });
    }
  }
}

/** Goes one step; also for whoever wants to see a moment that was found. */
export function taken(simulation: VisitSimulation, step: Step): VisitSimulation {
  return 'wait' in step
    ? waitUntil(simulation, simulation.circumstances.now + step.wait)
    : takeStep(simulation, step);
}

/** The site with the state as it is now, and what its conditions listen for. */
interface FrozenSite {
  readonly site: PublishedSite;
  /** Thresholds of clocks, in ms. */
  readonly seconds: readonly { readonly kind: string; readonly ms: number }[];
  readonly percents: readonly number[];
  readonly selectors: readonly string[];
  readonly steps: readonly VisitStep[];
  readonly conditions: readonly WireCondition[];
}

/** [M9] Hours, teams, dates and times of the week stay as they are: a visitor's own seconds are what passes. */
export function frozenSite(site: PublishedSite, circumstances: Circumstances): FrozenSite {
  const { now } = circumstances;
  const page = pageFactsOf(circumstances.page);
  const zone = zoneOf(site, site.facts.zone);
  const frozen = (item: WireItem): WireItem => {
    if (isWireGroup(item)) return [item[KIND], item[IS_NOT], ...itemsOf(item).map(frozen)];
    if (item[KIND] !== 'week-time' && item[KIND] !== 'dates') return item;
    const asked = {
      circumstances,
      address: page.address,
      takes: page.takes(circumstances),
      state: 'nobody',
      stateNext: Infinity,
      zone,
      statesOnly: false,
    } as const;
    return [judge(item, asked).is ? 'all' : 'any', 0];
  };
  const overrides: Record<string, PublishedSite['pointer']['overrides'][string]> = {};
  let isClosing = false;
  const widgets = site.design.widgets.map((widget): WireWidget => {
    const presence = stateOf(site, widget, circumstances);
    if (presence.hours !== null && widget.calendar !== null)
      overrides[widget.calendar] = { isOpen: presence.hours.isOpen, until: now + FOR_EVER_MS, reason: '' };
    isClosing ||= now >= closingEdge({ site, presence });
    return {
      ...widget,
      invitations: widget.invitations.map(
        ([id, approach, opensOnPhones, needsMemory, days, atMost, when]): WireInvitation => [
          id,
          approach,
          opensOnPhones,
          needsMemory,
          days,
          atMost,
          frozen(when) as WireGroup,
        ],
      ),
    };
  });
  const limits = site.design.limits;
  const kept =
    isClosing && limits !== undefined ? ([0, limits[1], limits[2], limits[3], limits[4]] as const) : limits;
  const conditions = widgets.flatMap(({ invitations }) =>
    invitations.flatMap(([, , , , , , when]) => conditionsIn(when)),
  );
  return {
    site: {
      ...site,
      design: { ...site.design, widgets, ...(kept === undefined ? {} : { limits: kept }) },
      pointer: { ...site.pointer, overrides },
    },
    conditions,
    seconds: conditions.flatMap((one) =>
      one[KIND] === 'on-page' || one[KIND] === 'idle' || one[KIND] === 'in-visit'
        ? [{ kind: one[KIND], ms: one[VALUE] * SECOND_MS }]
        : [],
    ),
    percents: [...new Set(conditions.flatMap((one) => (one[KIND] === 'scrolled' ? [one[VALUE]] : [])))].sort(
      (a, b) => a - b,
    ),
    selectors: [...new Set(conditions.flatMap((one) => (one[KIND] === 'seen' ? [one[VALUE]] : [])))],
    steps: stepsFor(conditions),
  };
}
const FOR_EVER_MS = 400 * DAY_MS;

function stepsFor(conditions: readonly WireCondition[]): VisitStep[] {
  const kinds = new Set(conditions.map(([kind]) => kind));
  return [
    ...(kinds.has('idle') ? [{ kind: 'move' } as const] : []),
    ...(kinds.has('leaving') ? [{ kind: 'instant', instantEvent: { kind: 'leaving' } } as const] : []),
    ...(kinds.has('form-left') ? [{ kind: 'instant', instantEvent: { kind: 'form-left' } } as const] : []),
    ...[...new Set(conditions.flatMap((one) => (one[KIND] === 'clicked' ? [one[VALUE]] : [])))].map(
      (selector): VisitStep => ({
        kind: 'instant',
        instantEvent: { kind: 'clicked', selector },
      }),
    ),
  ];
}

function conditionsIn(item: WireItem): WireCondition[] {
  return isWireGroup(item) ? itemsOf(item).flatMap(conditionsIn) : [item];
}

/** Until the next clock reaches a threshold, or the engine wants to be asked; null: time alone brings nothing more. */
export function soonest(
  { site, circumstances, openedByItselfAt }: VisitSimulation,
  thresholds: FrozenSite['seconds'],
): number | null {
  const { now, conversation } = circumstances;
  const { askAgainAt } = decide(site, circumstances);
  const waits = [
    ...(conversation === null ? thresholds.map(({ kind, ms }) => ms - clockMs(kind, circumstances)) : []),
    ...(openedByItselfAt === null ? [] : [openedByItselfAt + NO_BY_CLOSING_MS + 1 - now]),
    ...(askAgainAt === null ? [] : [askAgainAt - now]),
  ].filter((wait) => wait > 0 && wait <= DAY_MS);
  return waits.length === 0 ? null : Math.min(...waits);
}

/** What somebody can do here, and what the server may answer while the same people are in. */
function stepsFrom(simulation: VisitSimulation, frozen: FrozenSite): Step[] {
  const { circumstances, site } = simulation;
  const { moment, isWindowOpen, conversation: talk, now } = circumstances;
  const wait = soonest(simulation, frozen.seconds);
  const { state } = decide(site, circumstances);
  const told = (change: Partial<ConversationFacts>): VisitStep => ({
    kind: 'told',
    conversation: { ...(talk ?? newTalk(simulation)), ...change },
  });
  const canAnswer = state === 'in' || state === 'nearby' || state === 'busy';
  const isRunning = talk?.standing === 'asked' || talk?.standing === 'joined';
  const canAsk =
    (moment === 'at-the-door' && !isRunning) ||
    moment === 'goodbye' ||
    (moment === 'note-left' && talk?.isAnswered === true);
  return [
    ...(wait === null ? [] : [{ wait }]),
    ...(talk === null ? pageSteps(circumstances, frozen) : []),
    ...(talk === null || !isWindowOpen ? [{ kind: isWindowOpen ? 'close' : 'open' } as const] : []),
    ...(moment === 'invited' ? ([{ kind: 'accept' }, { kind: 'decline' }] as const) : []),
    ...(canAsk ? [{ kind: 'told', conversation: newTalk(simulation) } as const] : []),
    ...(talk?.standing === 'asked' && canAnswer
      ? [told({ standing: 'joined', joinedMs: now, lastMs: now, waitingMs: null, responderName: 'x' })]
      : []),
    ...(talk?.standing === 'joined' && talk.waitingMs === null
      ? [told({ waitingMs: now, lastMs: now })]
      : []),
    ...(isRunning ? [told({ standing: 'ended', endedMs: now, endedBy: 'visitor' })] : []),
    ...(moment === 'nobody-home' || moment === 'slow-reply'
      ? [told({ standing: 'note', noteMail: 'x', lastMs: now, waitingMs: now })]
      : []),
    ...(talk?.standing === 'note' && canAnswer
      ? [told({ waitingMs: null, lastMs: now, isAnswered: true })]
      : []),
    ...(moment === 'goodbye' ? [{ kind: 'ask-again' } as const] : []),
  ];
}

/** What can be done on the page itself. */
function pageSteps({ page }: Circumstances, { steps, percents, selectors }: FrozenSite): Step[] {
  return [
    ...steps,
    ...percents
      .filter((percent) => percent > page.scrolled)
      .slice(0, 1)
      .map((percent): Step => ({ kind: 'scroll', percent })),
    ...selectors
      .filter((selector) => !page.seen.includes(selector))
      .map((selector): Step => ({ kind: 'seen', selector })),
  ];
}

export function newTalk({ site, circumstances: { now, ...rest } }: VisitSimulation): ConversationFacts {
  return {
    id: 'reach',
    standing: 'asked',
    widgetKey: decide(site, { now, ...rest }).widget ?? '',
    askedMs: now,
    joinedMs: null,
    endedMs: null,
    endedBy: null,
    responderName: null,
    isAnswered: false,
    noteMail: null,
    lastMs: now,
    waitingMs: now,
    teamId: rest.asksFor,
    place: null,
    isAfterGiven: false,
  };
}

/**
 * What can be told apart of a simulated visit: where it stands, which thresholds are behind it, what was shown. Once something was
 * asked, only the conversation matters: no invitation comes before a day has passed.
 */
function keyOf({ circumstances, openedByItselfAt, site }: VisitSimulation, { seconds }: FrozenSite): string {
  const { now, page, memory, moment, isWindowOpen, invited, conversation: talk, asksAgain } = circumstances;
  if (talk !== null)
    return JSON.stringify([
      moment,
      isWindowOpen,
      asksAgain,
      talk.standing,
      talk.noteMail === null,
      talk.isAnswered,
      waitedPast(talk, now, site),
    ]);
  const clocks = seconds.map(({ kind, ms }) => clockMs(kind, circumstances) >= ms);
  const left = Math.max(page.leftAt ?? 0, memory.visit?.leftAt ?? 0);
  const hasGap = left === 0 || now - left >= limitsOf(site.design).gap * SECOND_MS;
  const isOwnNow = openedByItselfAt === null ? null : now - openedByItselfAt > NO_BY_CLOSING_MS;
  const counted = [
    page.shown.slice().sort(),
    memory.visit?.shown,
    hasGap,
    isOwnNow,
    page.hasOpened,
    page.hasDeclined,
  ];
  return JSON.stringify([
    moment,
    isWindowOpen,
    invited?.id,
    asksAgain,
    clocks,
    page.scrolled,
    page.seen.slice().sort(),
    counted,
  ]);
}

/** How many of its widget's timings a question has waited through; -1: nothing waits. */
function waitedPast({ waitingMs, widgetKey }: ConversationFacts, now: number, site: PublishedSite): number {
  const timings = compileSite(site).widget(widgetKey)?.timings ?? {};
  return waitingMs === null
    ? -1
    : Object.values<number | null>({ ...timings }).filter(
        (seconds) => seconds !== null && now - waitingMs >= seconds * SECOND_MS,
      ).length;
}

function clockMs(kind: string, { now, page, memory: { visit } }: Circumstances): number {
  if (kind === 'on-page') return elapsedAt(page.clock, now);
  if (kind === 'idle') return elapsedAt(page.idle, now);
  return visit === null ? 0 : elapsedAt(visitClock(visit), now);
}
