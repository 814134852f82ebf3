import { decide } from '../decide/decide';
import { MOMENTS, type Moment } from '../model/moment';
import { DAY_MS, type EpochMs } from '../model/units';
import type { PublishedSite } from '../wire/published-site';
import { type Assumptions, assumedSite, assumedVisitor } from './assumptions';
import { readSteps, tryVisit } from './try-visit';

/** What a kept visit must come to. */
export type Expectation =
  /** Shown at some time, or never, all through the visit. */
  | { readonly kind: 'gets' | 'never-gets'; readonly invitation: string }
  /** Where it stands at its end. */
  | { readonly kind: 'ends-at'; readonly moment: Moment };

/** A visit with a time and people of its own, so that it comes to the same whenever it is run. */
export interface KeptVisit {
  readonly id: string;
  readonly name: string;
  readonly assumptions: Assumptions & { readonly at: EpochMs };
  /** Calendars that were held open or closed by hand then, by id. */
  readonly held: Readonly<Record<string, boolean>>;
  /** As they stand in an address. */
  readonly steps: string;
  readonly expects: Expectation;
}

export interface CheckResult {
  readonly holds: boolean;
  readonly moment: Moment;
  /** Ids of the invitations it got, in order. */
  readonly got: readonly string[];
}

/** Walks a kept visit through a site as it would be if it were published now, and holds it against what it must come to. */
export function checkVisit(
  site: PublishedSite,
  { assumptions, held, steps, expects }: Pick<KeptVisit, 'assumptions' | 'held' | 'steps' | 'expects'>,
): CheckResult {
  const until = assumptions.at + DAY_MS;
  const overrides = Object.fromEntries(
    Object.entries(held).map(([id, isOpen]) => [id, { isOpen, until, reason: '' }]),
  );
  const then = { ...site, pointer: { ...site.pointer, overrides } };
  const simulations = tryVisit(
    assumedSite(then, assumptions),
    assumedVisitor(assumptions, assumptions.at),
    readSteps(steps),
  );
  const last = simulations[simulations.length - 1];
  if (last === undefined) throw new Error('Expected a walk: it begins with the arrival.');
  const { moment } = decide(last.site, last.circumstances);
  const got = last.seen.flatMap((one) => (one.kind === 'invited' ? [one.id] : []));
  return { holds: comesTo(expects, moment, got), moment, got };
}

function comesTo(expects: Expectation, moment: Moment, got: readonly string[]): boolean {
  if (expects.kind === 'ends-at') return expects.moment === moment;
  return got.includes(expects.invitation) === (expects.kind === 'gets');
}

/** What was held by hand at an instant, of a site's overrides. */
export function heldAt(
  overrides: PublishedSite['pointer']['overrides'],
  at: EpochMs,
): Record<string, boolean> {
  return Object.fromEntries(
    Object.entries(overrides).flatMap(([id, { isOpen, until }]) => (at < until ? [[id, isOpen]] : [])),
  );
}

/** Reads an expectation of unknown origin; null: it is none. */
export function readExpectation(value: unknown): Expectation | null {
  if (typeof value !== 'object' || value === null) return null;
  const { kind, invitation, moment } = value as Readonly<Record<string, unknown>>;
  if (kind === 'ends-at') {
    const known = MOMENTS.find((one) => one === moment);
    return known === undefined ? null : { kind, moment: known };
  }
  const isInvitation =
    (kind === 'gets' || kind === 'never-gets') &&
    typeof invitation === 'string' &&
    /^[\w-]{8,40}$/.test(invitation);
  return isInvitation ? { kind, invitation } : null;
}
