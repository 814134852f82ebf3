import { compileSite } from './compile-site';
import { APPROACH, INVITATION_ID, NEEDS_MEMORY, WHEN } from '../wire/invitation';
import { askedOf, closingEdge, freeAt, ownFreeAt } from '../invitations/due';
import { type JudgeContext, judge } from '../invitations/judge';
import type { Circumstances } from '../model/circumstances';
import { DAY_MS, type EpochMs, SECOND_MS } from '../model/units';
import { judgePage } from '../pages/match';
import type { WireCondition, WireGroup, WireInvitation, WireItem, WireWidget } from '../wire/design-file';
import { limitsOf } from '../wire/limits';
import type { PublishedSite } from '../wire/published-site';
import { elapsedAt } from '../model/page-clock';
import { decide } from './decide';
import type { Decision } from './decision';
import type { DecisionContext } from '../context/decision-context';
import { visitClock } from '../model/memory';
import { type PageFacts, pageFactsOf } from '../pages/page-facts';
import type { Reason, ReasonCode } from './reason';
import { stateOf } from '../context/presence';
import { whyNow } from '../hours/why-now';
import { isAudience } from './widget';
import { isRunning } from '../model/circumstances';
import { DAYS, IS_NOT, KIND, VALUE, isWireGroup, itemsOf } from '../wire/condition';

/** How far something is from holding. */
export type Shortfall = { readonly ms: number } | { readonly count: number } | { readonly percent: number };

/** A condition that does not hold yet, by its kind, and what it is short of where that can be counted. */
export interface UnmetCondition {
  readonly kind: WireItem[0];
  readonly isNot: boolean;
  readonly shortfall: Shortfall | null;
  /** Whether time or an act of the visitor can still bring it in this page view. */
  readonly canCome: boolean;
}

/** One rule's verdict: whether it decided, stood ready, or lacked something ([D2]). */
export interface Verdict {
  readonly outcome: 'decided' | 'ready' | 'failed';
  readonly reason: Reason;
  readonly shortfall?: Shortfall;
  /** Of an invitation: every condition that does not hold. */
  readonly unmet?: readonly UnmetCondition[];
}

/** Every rule's verdict, the winners first. Never ships in the widget. Its winners are those of `decide` ([D2]). */
export function explain(site: PublishedSite, circumstances: Circumstances): Verdict[] {
  const decision = decide(site, circumstances);
  const page = pageFactsOf(circumstances.page);
  const decided = decision.because.map((reason): Verdict => ({ outcome: 'decided', reason }));
  const scene: ExplainScene = { site, circumstances, page, decision };
  const others =
    page.address === null ? [] : site.design.widgets.filter((one) => one.key !== decision.widget);
  const shown = compileSite(site).widget(decision.widget);
  return [
    ...decided,
    ...others.map((widget) => judgeWidget(widget, scene)),
    ...(shown === undefined ? [] : judgeInvitations(shown, scene)),
  ];
}

interface ExplainScene {
  readonly site: PublishedSite;
  readonly circumstances: Circumstances;
  readonly page: PageFacts;
  readonly decision: Decision;
}

/** A widget as if it were the one that shows. */
function contextFor(
  widget: WireWidget,
  { site, circumstances, page, decision }: ExplainScene,
): DecisionContext {
  const presence = stateOf(site, widget, circumstances, whyNow);
  return {
    site,
    circumstances,
    page,
    widget,
    by: 'first',
    presence,
    behaviour: widget.deeds[presence.state],
    isCountOnly: decision.isCountOnly,
  };
}

function judgeWidget(widget: WireWidget, scene: ExplainScene): Verdict {
  const { circumstances, page, decision } = scene;
  const { address } = page;
  const verdict = address === null ? null : judgePage(widget.show, widget.never, address);
  const facts = { widget: widget.key, path: address?.path ?? '' };
  if (verdict === null || !verdict.accepts) {
    const never = verdict !== null && verdict.rule !== null ? widget.never[verdict.rule] : undefined;
    const code = never === undefined ? 'not-among-its-pages' : 'never-here';
    const rule = typeof never?.[2] === 'string' ? never[2] : '';
    return { outcome: 'failed', reason: { about: 'widget', code, facts: { ...facts, rule } } };
  }
  const context = contextFor(widget, scene);
  if (!isAudience(widget, circumstances, page)) {
    const unmet = unmetIn(['all', 0, ...(widget.audience ?? [])], askedOf(context));
    return { outcome: 'failed', reason: { about: 'widget', code: 'not-its-audience', facts }, unmet };
  }
  const { state } = context.presence;
  return {
    outcome: 'ready',
    reason: {
      about: 'widget',
      code: 'after-another-widget',
      facts: { ...facts, winner: decision.widget ?? '', state },
    },
  };
}

function judgeInvitations(widget: WireWidget, scene: ExplainScene): Verdict[] {
  const context = contextFor(widget, scene);
  const winner = scene.decision.because.find(({ about }) => about === 'invitation')?.facts['invitation'];
  return widget.invitations
    .filter(([id]) => id !== winner)
    .map((one) => judgeInvitation(one, context, winner !== undefined));
}

function judgeInvitation(invitation: WireInvitation, context: DecisionContext, hasWinner: boolean): Verdict {
  const { circumstances } = context;
  const asked = askedOf(context);
  const unmet = unmetIn(invitation[WHEN], asked);
  const isReady = judge(invitation[WHEN], asked).is;
  const because = ({ code, shortfall }: BlockReason): Verdict => {
    const reason: Reason = { about: 'invitation', code, facts: { invitation: invitation[INVITATION_ID] } };
    return {
      outcome: isReady ? 'ready' : 'failed',
      reason,
      unmet,
      ...(shortfall === undefined ? {} : { shortfall }),
    };
  };
  const own = ownBlockReason(invitation, circumstances);
  if (own !== null) return because(own);
  if (!isReady) {
    const shortfall = unmet.find(({ canCome }) => canCome)?.shortfall;
    return because({
      code: unmet.some(({ canCome }) => !canCome) ? 'condition-fails' : 'not-yet',
      ...(shortfall ? { shortfall } : {}),
    });
  }
  const blockReason = siteBlockReason(context);
  if (blockReason !== null) return because(blockReason);
  if (invitation[APPROACH] === 'stir' && circumstances.visitor.isStill)
    return because({ code: 'keeps-still' });
  return because({ code: hasWinner ? 'after-another-invitation' : 'conditions-hold' });
}

interface BlockReason {
  readonly code: ReasonCode;
  readonly shortfall?: Shortfall;
}

/** What keeps every invitation of the site from showing now, if anything does ([I3], [I6]). */
function siteBlockReason(context: DecisionContext): BlockReason | null {
  const { site, circumstances, isCountOnly } = context;
  const { page, memory, invited, now, level, conversation } = circumstances;
  if (circumstances.isWindowOpen) return { code: 'window-open' };
  if (!page.isVisible) return { code: 'page-hidden' };
  if (isCountOnly) return { code: 'out-of-sight' };
  if (invited !== null) return { code: 'one-on-screen' };
  if (page.hasDeclined || now < (memory.restUntil ?? 0))
    return { code: 'declined', ...until(memory.restUntil ?? now, now) };
  if (page.hasOpened) return { code: 'opened-already' };
  const free = freeAt(context);
  if (free <= now) return page.isTyping ? { code: 'typing' } : null;
  if (isRunning(circumstances)) return { code: 'talked-lately' };
  if (free === Infinity) return { code: 'enough-this-visit' };
  if (now >= closingEdge(context) && free === context.presence.hours?.changesAt)
    return { code: 'about-to-close', ...until(free, now) };
  const left = Math.max(page.leftAt ?? 0, (level === 'kept' ? memory.visit?.leftAt : null) ?? 0);
  const isGap = conversation === null || (left > 0 && free === left + limitsOf(site.design).gap * SECOND_MS);
  return { code: isGap ? 'too-soon-after-another' : 'talked-lately', ...until(free, now) };
}

function ownBlockReason(invitation: WireInvitation, circumstances: Circumstances): BlockReason | null {
  const free = ownFreeAt(invitation, circumstances);
  if (free <= circumstances.now) return null;
  const isForgotten =
    invitation[NEEDS_MEMORY] === 1 && (circumstances.level !== 'kept' || circumstances.memory.visit === null);
  if (isForgotten) return { code: 'not-remembered' };
  return { code: 'own-limit', ...(free === Infinity ? {} : until(free, circumstances.now)) };
}

function until(at: EpochMs, now: EpochMs): { shortfall: Shortfall } {
  return { shortfall: { ms: at - now } };
}

/** The conditions of a group that keep it from holding. */
function unmetIn(group: WireGroup, asked: JudgeContext): UnmetCondition[] {
  if (judge(group, asked).is) return [];
  const unmet = itemsOf(group).flatMap((item) => {
    const judged = judge(item, asked);
    if (judged.is) return [];
    if (isWireGroup(item)) return item[IS_NOT] === 1 ? [unmetOf(item, asked)] : unmetIn(item, asked);
    return [unmetOf(item, asked)];
  });
  return unmet.length > 0 ? unmet : [unmetOf(group, asked)]; // an empty *any of* lacks everything
}

function unmetOf(item: WireItem, asked: JudgeContext): UnmetCondition {
  const { next, on } = judge(item, asked);
  const isNot = item[IS_NOT] === 1;
  const shortfall = isNot || isWireGroup(item) ? null : shortfallOf(item, asked);
  return {
    kind: item[KIND],
    isNot,
    shortfall: shortfall ?? (next === Infinity ? null : { ms: next - asked.circumstances.now }),
    canCome: next !== Infinity || on !== 0,
  };
}

function shortfallOf(condition: WireCondition, { circumstances }: JudgeContext): Shortfall | null {
  const { page, memory, now } = circumstances;
  const { visit } = memory;
  switch (condition[KIND]) {
    case 'on-page':
      return { ms: condition[VALUE] * SECOND_MS - elapsedAt(page.clock, now) };
    case 'idle':
      return { ms: condition[VALUE] * SECOND_MS - elapsedAt(page.idle, now) };
    case 'in-visit':
      return visit === null ? null : { ms: condition[VALUE] * SECOND_MS - elapsedAt(visitClock(visit), now) };
    case 'scrolled':
      return { percent: condition[VALUE] - page.scrolled };
    case 'pages-seen':
      return visit === null ? null : { count: condition[VALUE] - visit.pages };
    case 'visit-number':
      return visit === null ? null : { count: condition[VALUE] - visit.number };
    case 'visits-in-days':
      return visit === null
        ? null
        : {
            count:
              condition[VALUE] -
              1 -
              memory.before.filter((start) => start >= visit.startedAt - condition[DAYS] * DAY_MS).length,
          };
    case 'page':
    case 'referrer':
    case 'visit':
    case 'days-since-visit':
    case 'campaign':
    case 'language':
    case 'device':
    case 'state':
    case 'attribute':
    case 'parameter':
    case 'country':
    case 'week-time':
    case 'dates':
    case 'seen':
    case 'leaving':
    case 'clicked':
    case 'form-left':
      return null; // it holds, or it does not: there is no how far
    default:
      return shortfallOfUnknown(condition);
  }
}

/** [D4] A kind that a later program knows. */
function shortfallOfUnknown(_condition: never): null {
  return null;
}
