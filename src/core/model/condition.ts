import type { Device } from './device';
import type { EpochDay, WallMinutes } from './calendar';
import type { PageRule } from './page-rule';
import type { WidgetState } from './moment';

/**
 * What an invitation or an audience may ask ([I2]). *State* holds or not; *clock* comes to hold by time alone; *latch*
 * stays true in its page view once it was; *instant event* is an instant, and the only kind that cannot be negated.
 */
export type Condition = ConditionBody & { readonly isNot: boolean };

export type ConditionBody = StateCondition | ClockCondition | LatchCondition | InstantCondition;

export type StateCondition =
  | { readonly kind: 'page'; readonly rules: readonly PageRule[] }
  | { readonly kind: 'pages-seen'; readonly atLeast: number }
  | { readonly kind: 'visit'; readonly is: 'first' | 'returning' }
  | { readonly kind: 'visit-number'; readonly atLeast: number }
  | { readonly kind: 'visits-in-days'; readonly atLeast: number; readonly days: number }
  | { readonly kind: 'days-since-visit'; readonly atLeast: number }
  | { readonly kind: 'referrer'; readonly rules: readonly PageRule[] }
  | { readonly kind: 'campaign'; readonly name: string }
  | { readonly kind: 'language'; readonly languages: readonly string[] }
  | { readonly kind: 'device'; readonly devices: readonly Device[] }
  | { readonly kind: 'state'; readonly states: readonly WidgetState[] }
  /** `value` null: it is enough that it is set. */
  | { readonly kind: 'attribute'; readonly name: string; readonly value: string | null }
  | { readonly kind: 'parameter'; readonly name: string; readonly value: string | null }
  | { readonly kind: 'country'; readonly countries: readonly string[] }
  /** In the site's zone; `to` may pass midnight, and the window then belongs to the day it began. Monday is 0. */
  | {
      readonly kind: 'week-time';
      readonly days: readonly number[];
      readonly from: WallMinutes;
      readonly to: WallMinutes;
    }
  /** Whole days in the site's zone; both ends belong to it. */
  | { readonly kind: 'dates'; readonly from: EpochDay; readonly to: EpochDay };

export type ClockCondition = { readonly kind: 'on-page' | 'in-visit' | 'idle'; readonly seconds: number };

export type LatchCondition =
  | { readonly kind: 'scrolled'; readonly percent: number }
  | { readonly kind: 'seen'; readonly selector: string };

export type InstantCondition =
  | { readonly kind: 'leaving' }
  | { readonly kind: 'clicked'; readonly selector: string }
  | { readonly kind: 'form-left' };

/** [I1] Conditions joined by *all of* or *any of*; empty *all of* holds, empty *any of* does not. */
export type Group = {
  readonly join: 'all' | 'any';
  readonly conditions: readonly Condition[];
  readonly isNot: boolean;
};

/** [I1] One level of groups inside of the outer one, no deeper. */
export type When = {
  readonly join: 'all' | 'any';
  readonly items: readonly (Condition | Group)[];
};

/** [P15] What an audience may ask: states that are known on any page, never clocks or instant conditions. */
export const AUDIENCE_KINDS = [
  'device',
  'language',
  'referrer',
  'campaign',
  'parameter',
  'attribute',
  'country',
] as const;

/** [I13] What can only be known where visits are remembered. */
export const VISIT_KINDS: readonly ConditionBody['kind'][] = [
  'pages-seen',
  'visit',
  'visit-number',
  'visits-in-days',
  'days-since-visit',
  'in-visit',
];

export const INSTANT_KINDS: readonly ConditionBody['kind'][] = ['leaving', 'clicked', 'form-left'];

export function isGroup(item: Condition | Group): item is Group {
  return 'join' in item;
}
