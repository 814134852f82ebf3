import type { RulesCondition } from '../wire/design-file';
import type { Circumstances } from '../model/circumstances';
import type { Address } from '../pages/address';
import type { WireCondition } from '../wire/design-file';
import { KIND, VALUE } from '../wire/condition';

/** What is known of a visitor on any page, whatever is remembered. */
export interface Known {
  readonly circumstances: Circumstances;
  readonly address: Address | null;
  /** Whether one of the condition's rules takes the page, or the page before it; kept for a page view. */
  readonly takes: (condition: RulesCondition) => boolean;
}

/** Kinds of conditions that stay as they are for a page view. */
export type KnownKind =
  'page' | 'referrer' | 'campaign' | 'language' | 'device' | 'country' | 'attribute' | 'parameter';

/**
 * [I2], [P15] Whether a condition holds that stays as it is for a page view, before its negation; null for every other
 * kind. Audiences ask nothing else.
 */
export function isKnown(
  condition: WireCondition,
  { circumstances: { visitor }, address, takes }: Known,
): boolean | null {
  switch (condition[KIND]) {
    case 'page':
    case 'referrer':
      return takes(condition);
    case 'campaign':
      return visitor.campaign === condition[VALUE];
    case 'language':
      return condition.slice(VALUE).some((language) => speaks(visitor.languages[0], String(language)));
    case 'device':
      return condition.includes(visitor.device, VALUE);
    case 'country':
      return visitor.country !== null && condition.includes(visitor.country, VALUE);
    case 'attribute':
      return isGiven(Object.entries(visitor.attributes), condition);
    case 'parameter':
      return isGiven(address === null ? [] : address.query, condition);
    case 'pages-seen':
    case 'visit-number':
    case 'days-since-visit':
    case 'visit':
    case 'visits-in-days':
    case 'state':
    case 'week-time':
    case 'dates':
    case 'on-page':
    case 'in-visit':
    case 'idle':
    case 'scrolled':
    case 'seen':
    case 'clicked':
    case 'leaving':
    case 'form-left':
      return null;
    default:
      return isKnownOfUnknown(condition);
  }
}

/** [D4] A condition of a kind that a later program knows is none of these. */
function isKnownOfUnknown(_condition: never): null {
  return null;
}

/** Without a value it is enough that the name is given, also if empty. */
function isGiven(
  pairs: readonly (readonly [string, string])[],
  [, , name, value]: Extract<WireCondition, readonly ['attribute' | 'parameter', ...unknown[]]>,
): boolean {
  return pairs.some(([one, given]) => one === name && (value === null || value === given));
}

function speaks(tag = '', language: string): boolean {
  return `${tag}-`.toLowerCase().startsWith(`${language}-`.toLowerCase());
}
