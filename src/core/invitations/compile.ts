import { type Condition, type Group, type When, VISIT_KINDS, isGroup } from '../model/condition';
import type { Invitation, InvitationLimits } from '../model/invitation';
import { toWireRule } from '../pages/compile-rules';
import type { PatternFault } from '../pages/pattern-tree';
import type {
  WireCondition,
  WireGroup,
  WireInvitation,
  WireItem,
  WireLimits,
  WireRule,
} from '../wire/design-file';
import { ONCE_PER_PAGE, PER_VISIT, PER_VISITOR } from './due';

/** Told with the text of the rule that cannot be compiled. */
export type HearFault = (fault: PatternFault, text: string) => void;

/** [I1] Conditions as they are published; every pattern that is refused is told. */
export function toWireGroup({ join, items }: When, hear: HearFault): WireGroup {
  return [join, 0, ...items.map((item) => toWireItem(item, hear))];
}

function toWireItem(item: Condition | Group, hear: HearFault): WireItem {
  if (!isGroup(item)) return toWireCondition(item, hear);
  return [item.join, item.isNot ? 1 : 0, ...item.conditions.map((one) => toWireCondition(one, hear))];
}

/** A condition as it is published; an instant event is never negated ([I1]). */
export function toWireCondition(condition: Condition, hear: HearFault): WireCondition {
  const isNot = condition.isNot ? 1 : 0;
  switch (condition.kind) {
    case 'page':
    case 'referrer':
      return [condition.kind, isNot, ...toWireRules(condition.rules, hear)];
    case 'pages-seen':
    case 'visit-number':
    case 'days-since-visit':
      return [condition.kind, isNot, condition.atLeast];
    case 'visits-in-days':
      return [condition.kind, isNot, condition.atLeast, condition.days];
    case 'visit':
      return [condition.kind, isNot, condition.is];
    case 'campaign':
      return [condition.kind, isNot, condition.name];
    case 'language':
      return [condition.kind, isNot, ...condition.languages];
    case 'device':
      return [condition.kind, isNot, ...condition.devices];
    case 'state':
      return [condition.kind, isNot, ...condition.states];
    case 'country':
      return [condition.kind, isNot, ...condition.countries];
    case 'attribute':
    case 'parameter':
      return [condition.kind, isNot, condition.name, condition.value];
    case 'week-time': {
      const to = condition.to <= condition.from ? condition.to + 1440 : condition.to;
      return [
        condition.kind,
        isNot,
        condition.days.reduce((bits, day) => bits | (1 << day), 0),
        condition.from,
        to,
      ];
    }
    case 'dates':
      return [condition.kind, isNot, condition.from, condition.to];
    case 'on-page':
    case 'in-visit':
    case 'idle':
      return [condition.kind, isNot, condition.seconds];
    case 'scrolled':
      return [condition.kind, isNot, condition.percent];
    case 'seen':
    case 'clicked':
      return [condition.kind, condition.kind === 'seen' ? isNot : 0, condition.selector];
    case 'leaving':
    case 'form-left':
      return [condition.kind, 0];
  }
}

/** Page rules as they are published; every pattern that is refused is told. */
export function toWireRules(
  rules: Extract<Condition, { kind: 'page' }>['rules'],
  hear: HearFault,
): WireRule[] {
  return rules.flatMap((rule) => {
    const compiled = toWireRule(rule);
    if (compiled.ok) return [compiled.value];
    hear(compiled.errors, rule.text);
    return [];
  });
}

/** An invitation as it is published. */
export function toWireInvitation(invitation: Invitation, hear: HearFault): WireInvitation {
  const { id, approach, opensOnPhones, oncePer, atMost, when } = invitation;
  const days =
    oncePer.kind === 'days'
      ? oncePer.days
      : { page: ONCE_PER_PAGE, visit: PER_VISIT, visitor: PER_VISITOR }[oncePer.kind];
  return [
    id,
    approach,
    opensOnPhones ? 1 : 0,
    needsMemory(invitation) ? 1 : 0,
    days,
    atMost ?? 0,
    toWireGroup(when, hear),
  ];
}

/** [I13] Whether it asks about visits, or counts further than the page view it shows in. */
export function needsMemory({ when, oncePer, atMost }: Invitation): boolean {
  const conditions = when.items.flatMap((item) => (isGroup(item) ? item.conditions : [item]));
  return (
    oncePer.kind !== 'page' || atMost !== null || conditions.some(({ kind }) => VISIT_KINDS.includes(kind))
  );
}

/** [I6] */
export function toWireLimits({
  perVisit,
  gap,
  beforeClosing,
  afterTalk,
  restDays,
}: InvitationLimits): WireLimits {
  return [perVisit, gap, beforeClosing, afterTalk, restDays];
}
