import type { WireGroup, WireItem } from './design-file';

/** Places in a published condition or group, by name; constants of their own, so that the build writes the numbers in. */
export const KIND = 0;
export const IS_NOT = 1;
/** Its first value: what is counted to, named, or the first day. */
export const VALUE = 2;
/** Of *visits in days*: in how many. Of *dates*: the last day. */
export const DAYS = 3;

/** Places in a condition of a text's case, which has no negation. */
export const CASE_KIND = 0;
export const CASE_VALUE = 1;

export function isWireGroup(item: WireItem): item is WireGroup {
  return item[KIND] === 'all' || item[KIND] === 'any';
}

/** The members of a group. */
export function itemsOf(group: WireGroup): WireItem[] {
  return group.slice(VALUE) as WireItem[];
}
