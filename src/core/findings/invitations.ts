import { needsMemory } from '../invitations/compile';
import { type Condition, isGroup } from '../model/condition';
import type { Design, Widget } from '../model/design';
import type { PageRule } from '../model/page-rule';
import type { Invitation } from '../model/invitation';
import { DAY_MS } from '../model/units';
import { localDayOf } from '../hours/hours';
import { toZone } from '../hours/zone';
import { judgePage } from '../pages/match';
import { toWireRule } from '../pages/compile-rules';
import { toAddress } from '../pages/address';
import { earliest } from '../rehearse/label-of-transition';
import { type Finding, type FindingContext, finding } from './finding';

/** Why an invitation can never be due, as far as its own conditions tell. */
export type NeverWhy = 'past' | 'devices' | 'languages' | 'visits' | 'pages' | 'limit' | 'empty';

/** Invitations nobody can get, that get in each other's way, or that ask for more than is remembered. */
export function invitationFindings(input: FindingContext): Finding[] {
  return input.design.widgets.flatMap((widget): Finding[] => {
    const { id: widgetId, name } = widget;
    const all = widget.invitations.filter(({ isOn }) => isOn);
    const dead = new Map(all.map((one) => [one.id, neverWhy(one, widget, input)]));
    const alive = all.filter(({ id }) => dead.get(id) === null);
    const isDeadEnd = all.length > 0 && alive.length === 0;
    const never = all.flatMap((one): Finding[] => {
      const why = dead.get(one.id) ?? null;
      if (why === null) return [];
      const values = { name, invitation: one.name, why };
      return [
        finding('invitation-never', [widgetId, one.id], {
          widgetId,
          moment: 'invited',
          deadEnd: isDeadEnd ? 'invited' : null,
          values,
        }),
      ];
    });
    const forgetful = alive.filter(needsMemory);
    const memory =
      forgetful.length === 0
        ? []
        : [
            finding('invitation-needs-memory', [widgetId], {
              widgetId,
              moment: 'invited',
              values: { name, count: forgetful.length },
            }),
          ];
    return [...never, ...inTheWay(widget, alive, input.design), ...memory];
  });
}

/** [I6] Pairs that come due together, or too soon after each other, for one visitor on one page. */
function inTheWay({ id: widgetId, name }: Widget, all: readonly Invitation[], { limits }: Design): Finding[] {
  return all.flatMap((one, index) =>
    all.slice(index + 1).flatMap((other): Finding[] => {
      const [a, b] = [earliest(one), earliest(other)];
      if (a >= ACT || b >= ACT || !canMeet(one, other)) return [];
      const apart = Math.abs(a - b);
      const [first, second] = a <= b ? [one, other] : [other, one];
      const rest = {
        widgetId,
        moment: 'invited',
        values: { name, first: first.name, second: second.name, perVisit: limits.perVisit },
      } as const;
      if (apart === 0) return [finding('invitations-collide', [widgetId, one.id, other.id], rest)];
      return apart < limits.gap ? [finding('two-speak-within-gap', [widgetId, one.id, other.id], rest)] : [];
    }),
  );
}
/** Later than any clock: it waits for an act of the visitor's. */
const ACT = 1e9;

/** Whether one visitor on one page could get both: nothing that both ask for excludes it. */
function canMeet(one: Invitation, other: Invitation): boolean {
  const both = [...needed(one), ...needed(other)];
  return contradiction(both) === null && !haveNoPageTogether(one, other);
}

function neverWhy(
  invitation: Invitation,
  widget: Widget,
  { design, facts, now }: FindingContext,
): NeverWhy | null {
  if (design.limits.perVisit === 0) return 'limit';
  if (invitation.when.join === 'any') return invitation.when.items.length === 0 ? 'empty' : null;
  const asked = [...needed(invitation), ...widget.audience];
  const zone = toZone(facts?.zones[facts.zone ?? ''] ?? []);
  const today = facts === null ? Math.floor(now / DAY_MS) : localDayOf(zone, now);
  if (asked.some((one) => one.kind === 'dates' && !one.isNot && one.to < today)) return 'past';
  return contradiction(asked) ?? (hasNoPage(invitation, widget) ? 'pages' : null);
}

/** The conditions that must hold for an invitation to be due. */
function needed({ when }: Invitation): Condition[] {
  if (when.join === 'any') return [];
  return when.items.flatMap((item): Condition[] => {
    if (!isGroup(item)) return [item];
    return item.join === 'all' && !item.isNot ? [...item.conditions] : [];
  });
}

/** What cannot hold together, whatever a visitor does. */
function contradiction(all: readonly Condition[]): NeverWhy | null {
  const devices = setsOf(all, (one) => (one.kind === 'device' ? one.devices : null), [
    'desktop',
    'tablet',
    'phone',
  ]);
  if (devices === 'none') return 'devices';
  const languages = all.flatMap((one) => (one.kind === 'language' && !one.isNot ? [one.languages] : []));
  if (
    languages.length > 1 &&
    !languages[0]?.some((one) => languages.every((list) => list.some((other) => sameLanguage(one, other))))
  )
    return 'languages';
  const isFirst = all.some((one) => one.kind === 'visit' && (one.is === 'first') !== one.isNot);
  const isReturning = all.some(
    (one) =>
      (one.kind === 'visit' && (one.is === 'returning') !== one.isNot) ||
      (one.kind === 'visit-number' && !one.isNot && one.atLeast > 1) ||
      (one.kind === 'days-since-visit' && !one.isNot),
  );
  return isFirst && isReturning ? 'visits' : null;
}

function setsOf(
  all: readonly Condition[],
  pick: (one: Condition) => readonly string[] | null,
  every: readonly string[],
): 'none' | 'some' {
  const left = all.reduce<readonly string[]>((rest, one) => {
    const list = pick(one);
    return list === null ? rest : rest.filter((value) => list.includes(value) !== one.isNot);
  }, every);
  return left.length === 0 ? 'none' : 'some';
}

function sameLanguage(one: string, other: string): boolean {
  return one === other || one.startsWith(`${other}-`) || other.startsWith(`${one}-`);
}

/** Certain only where an invitation names single pages, each of which the widget leaves out ([P13]). */
function hasNoPage(invitation: Invitation, { pages }: Widget): boolean {
  const [show, never] = [pages.showOn.flatMap(wire), pages.neverOn.flatMap(wire)];
  return singlePages(invitation).some((paths) => paths.every((path) => !accepts(path, show, never)));
}

function haveNoPageTogether(one: Invitation, other: Invitation): boolean {
  return singlePages(one).some((paths) =>
    needed(other).some((condition) => {
      if (condition.kind !== 'page' || condition.isNot) return false;
      const rules = condition.rules.flatMap(wire);
      return paths.every((path) => !accepts(path, rules, []));
    }),
  );
}

/** Of each page condition that names nothing but exact paths: those. */
function singlePages(invitation: Invitation): string[][] {
  return needed(invitation).flatMap((one) => {
    if (one.kind !== 'page' || one.isNot) return [];
    const isExact = one.rules.every(({ kind, part }) => kind === 'exact' && part === 'path');
    return isExact ? [one.rules.map(({ text }) => text)] : [];
  });
}

type Rules = Parameters<typeof judgePage>[0];

function accepts(path: string, show: Rules, never: Rules): boolean {
  const address = toAddress(`https://site.example${path}`);
  if (address === null) return false;
  // A rule about the host says nothing here: the path may be on any of the site's.
  if ([...show, ...never].some(([, part]) => part !== 'path')) return true;
  return judgePage(show, never, address).accepts;
}

function wire(rule: PageRule): Rules[number][] {
  const made = toWireRule(rule);
  return made.ok ? [made.value] : [];
}
