import { decide } from '../decide/decide';
import { explain, type Verdict } from '../decide/explain';
import type { Circumstances } from '../model/circumstances';
import type { Moment } from '../model/moment';
import { DAY_MS, type EpochMs, type Seconds } from '../model/units';
import type { PublishedSite } from '../wire/published-site';
import { type ConversationFacts, isUnsettled } from '../model/conversation';
import { launcherHere } from './launcher-here';
import { frozenSite, newTalk, soonest } from './find-reachability';
import { answererOf } from './samples';
import { addressOf } from './assumptions';
import { type VisitStep, beginSimulation, takeStep, openTab, waitUntil } from './visit-simulation';
import type { VisitSimulation } from './visit';
import type { Seen } from './visit';

/** One step of a visit that is tried: time passes, or somebody does something. */
export type TriedStep =
  | { readonly kind: 'wait'; readonly seconds: Seconds }
  | { readonly kind: 'page'; readonly path: string }
  | { readonly kind: 'scroll'; readonly percent: number }
  | { readonly kind: PlainStep };

export const PLAIN_STEPS = [
  'hide',
  'show',
  'leave',
  'open',
  'close',
  'yes',
  'no',
  'write',
  'answer',
  'end',
  'tomorrow',
] as const;
export type PlainStep = (typeof PLAIN_STEPS)[number];

/** So many steps a visit may have, and so long one wait may be. */
export const TRIED_STEPS_MAX = 100;
const WAIT_MAX: Seconds = 7 * 86_400;

/** A visit walked through `decide`, as it is told in order: `walks[0]` is the arrival, `walks[n]` stands after step n. */
export function tryVisit(
  site: PublishedSite,
  start: Circumstances,
  steps: readonly TriedStep[],
): VisitSimulation[] {
  const simulations = [{ ...beginSimulation(site, start), loadedAt: start.now }];
  for (const step of steps)
    simulations.push(stepped(simulations[simulations.length - 1] as VisitSimulation, step));
  return simulations;
}

function stepped(simulation: VisitSimulation, step: TriedStep): VisitSimulation {
  const { now, conversation: talk } = simulation.circumstances;
  const told = (change: Partial<ConversationFacts>): VisitStep => ({
    kind: 'told',
    conversation: { ...(talk ?? newTalk(simulation)), ...change },
  });
  switch (step.kind) {
    case 'wait':
      return waitUntil(simulation, now + step.seconds * 1000);
    case 'page':
      return takeStep(simulation, { kind: 'page', address: addressOf(step.path) });
    case 'scroll':
      return takeStep(simulation, { kind: 'scroll', percent: step.percent });
    case 'leave':
      return takeStep(simulation, { kind: 'instant', instantEvent: { kind: 'leaving' } });
    case 'yes':
      return takeStep(simulation, { kind: 'accept' });
    case 'no':
      return takeStep(simulation, { kind: 'decline' });
    case 'write':
      return takeStep(
        simulation,
        simulation.circumstances.moment === 'nobody-home'
          ? told({ standing: 'note', noteMail: 'visitor@example.org', lastMs: now, waitingMs: now })
          : written(simulation),
      );
    case 'answer':
      if (talk?.standing === 'note')
        return takeStep(simulation, told({ isAnswered: true, lastMs: now, waitingMs: null }));
      return takeStep(
        simulation,
        told({
          standing: 'joined',
          joinedMs: now,
          lastMs: now,
          waitingMs: null,
          responderName: answererOf(simulation.site).name,
        }),
      );
    case 'end':
      return takeStep(simulation, told({ standing: 'ended', endedMs: now, endedBy: 'visitor' }));
    case 'tomorrow':
      return nextDay(simulation);
    case 'hide':
    case 'show':
    case 'open':
    case 'close':
      return takeStep(simulation, { kind: step.kind });
  }
}

/** [M4] Words go into what is not settled yet, or begin another conversation. */
function written(simulation: VisitSimulation): VisitStep {
  const { conversation, now } = simulation.circumstances;
  if (conversation === null || !isUnsettled(conversation))
    return { kind: 'told', conversation: newTalk(simulation) };
  return {
    kind: 'told',
    conversation: { ...conversation, lastMs: now, waitingMs: conversation.waitingMs ?? now },
  };
}

/** The tab is closed; the same browser comes to the same page a day later, with what it remembers. */
function nextDay(simulation: VisitSimulation): VisitSimulation {
  const { circumstances } = takeStep(simulation, { kind: 'hide' });
  const later = {
    ...circumstances,
    now: circumstances.now + DAY_MS,
    moment: null,
    isWindowOpen: false,
    invited: null,
    asksAgain: false,
  };
  const opened = openTab(simulation.site, later);
  return { ...opened, seen: [...simulation.seen, ...opened.seen] };
}

/** What can be done where a simulated visit stands, besides going on, waiting and coming back tomorrow. */
export function doableSteps(simulation: VisitSimulation): PlainStep[] {
  const { site, circumstances } = simulation;
  const { page, moment, isWindowOpen, conversation } = circumstances;
  if (!page.isVisible) return ['show'];
  const { state } = decide(site, circumstances);
  const canOpen = launcherHere(simulation).kind === 'there';
  const canAnswer = state === 'in' || state === 'nearby' || state === 'busy';
  const isAsked = conversation?.standing === 'asked';
  const isNote = conversation?.standing === 'note' && !conversation.isAnswered;
  return [
    'hide',
    'leave',
    ...(canOpen && !isWindowOpen ? (['open'] as const) : []),
    ...(moment === 'invited' ? (['yes', 'no'] as const) : []),
    ...(isWindowOpen ? (['close'] as const) : []),
    ...(moment !== null && WRITES_AT.has(moment) ? (['write'] as const) : []),
    ...((isAsked && canAnswer) || isNote ? (['answer'] as const) : []),
    ...(isAsked || conversation?.standing === 'joined' ? (['end'] as const) : []),
  ];
}

/** Where a word leads on; in a conversation that goes on it does not. */
const WRITES_AT: ReadonlySet<Moment> = new Set<Moment>([
  'at-the-door',
  'nobody-home',
  'goodbye',
  'note-left',
]);

/** What time alone brings next. */
export interface NextThing {
  /** Until then. */
  readonly seconds: Seconds;
  /** What it is; null: only words or the lamp change. */
  readonly seen: Seen | null;
}

/** What time alone changes next of what this visitor sees; null: nothing within a day. */
export function nextThing(simulation: VisitSimulation): NextThing | null {
  const thresholds = frozenSite(simulation.site, simulation.circumstances).seconds;
  const before = lookOf(simulation);
  let here = simulation;
  for (let turn = 0; turn < TURNS_MAX; turn++) {
    const launcher = launcherHere(here);
    const comesIn = launcher.kind === 'comes' ? launcher.at - here.circumstances.now : Infinity;
    const wait = Math.min(soonest(here, thresholds) ?? Infinity, comesIn);
    if (wait === Infinity || here.circumstances.now + wait > simulation.circumstances.now + DAY_MS)
      return null;
    here = waitUntil(here, here.circumstances.now + wait);
    if (lookOf(here) === before) continue;
    const seconds = Math.ceil((here.circumstances.now - simulation.circumstances.now) / 1000);
    return { seconds, seen: here.seen[simulation.seen.length] ?? null };
  }
  return null;
}
const TURNS_MAX = 60;

/** What of a decision a visitor can see. */
function lookOf({ site, circumstances, seen }: VisitSimulation): string {
  const { widget, moment, state, lines } = decide(site, circumstances);
  return JSON.stringify([
    widget,
    moment,
    state,
    circumstances.invited?.id,
    circumstances.isWindowOpen,
    seen.length,
    lines.map(({ key }) => key),
  ]);
}

/** The invitations of the widget that shows: on the screen or due, standing ready, and not (with the reasons). */
export interface Statuses {
  readonly shown: string | null;
  readonly ready: readonly Verdict[];
  readonly not: readonly Verdict[];
}

export function statusesOf({ site, circumstances }: VisitSimulation): Statuses {
  const of = (standing: Verdict['outcome']) =>
    verdicts.filter((one) => one.outcome === standing && one.reason.about === 'invitation');
  const verdicts = explain(site, circumstances);
  const shown = circumstances.invited?.id ?? null;
  const isOther = ({ reason }: Verdict): boolean => reason.facts['invitation'] !== shown;
  return { shown, ready: of('ready').filter(isOther), not: of('failed').filter(isOther) };
}

/** Something on the time axis: what was done, or what came of it. Ms since the arrival. */
export interface OnAxis {
  readonly at: number;
  readonly kind: 'step' | 'moment' | 'invited' | 'withdrawn' | 'launcher';
  readonly step: TriedStep | null;
  /** A moment's name, or an invitation's id; null: it needs none. */
  readonly what: string | null;
}

export function axisOf(simulations: readonly VisitSimulation[], steps: readonly TriedStep[]): OnAxis[] {
  const start = startOf(simulations);
  return simulations.flatMap((simulation, index): OnAxis[] => {
    const [before, step] = [simulations[index - 1], steps[index - 1]];
    const seen = simulation.seen.slice(before?.seen.length ?? 0).map((one): OnAxis => ({
      at: one.at - start,
      kind: one.kind,
      step: null,
      what: 'moment' in one ? one.moment : 'id' in one ? one.id : null,
    }));
    if (before === undefined || step === undefined || step.kind === 'wait') return seen;
    const at = (step.kind === 'tomorrow' ? simulation : before).circumstances.now - start;
    return [{ at, kind: 'step', step, what: null }, ...seen];
  });
}

/** When the visitor arrived. */
export function startOf(simulations: readonly VisitSimulation[]): EpochMs {
  return simulations[0]?.circumstances.now ?? 0;
}

/** Steps as they stand in an address: `w40~p/tonight~s50~hide`. */
export function writeSteps(steps: readonly TriedStep[]): string {
  return steps
    .map((step) => {
      if (step.kind === 'wait') return `w${step.seconds}`;
      if (step.kind === 'page') return `p${step.path.replaceAll('~', '%7E')}`;
      return step.kind === 'scroll' ? `s${step.percent}` : step.kind;
    })
    .join('~');
}

/** The same, read back; what cannot be read is left out. */
export function readSteps(text: string): TriedStep[] {
  return text
    .split('~')
    .slice(0, TRIED_STEPS_MAX)
    .flatMap((part): TriedStep[] => {
      const plain = PLAIN_STEPS.find((one) => one === part);
      if (plain !== undefined) return [{ kind: plain }];
      if (/^p\//.test(part) && part.length <= 500) return [{ kind: 'page', path: part.slice(1) }];
      const number = Number(/^[ws](\d{1,6})$/.exec(part)?.[1]);
      if (part.startsWith('w') && number >= 1 && number <= WAIT_MAX)
        return [{ kind: 'wait', seconds: number }];
      return part.startsWith('s') && number >= 1 && number <= 100
        ? [{ kind: 'scroll', percent: number }]
        : [];
    });
}
