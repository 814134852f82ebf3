import { memoByObject } from '../memo';
import { differencesOf } from '../draft/differences';
import type { Json } from '../model/json';
import type { Design } from '../model/design';
import { CHANGE_GROUPS, type DescribedValue, describeDesign } from './describe-design';

/** One thing that visitors will find changed. */
export interface DesignChange extends Pick<DescribedValue, 'key' | 'group' | 'subject' | 'widget'> {
  readonly kind: 'changed' | 'came' | 'gone' | 'moved';
  /** Undefined: there was none. */
  readonly before: Json | undefined;
  /** Undefined: there is none. */
  readonly after: Json | undefined;
}

/**
 * What is another between two designs, in the order of the path. What came or went is told once, with nothing of what is
 * inside of it. Law: none if and only if nothing an owner can set differs.
 */
export function changesOf(before: Design, after: Design): DesignChange[] {
  const [old, now] = [describedByKey(before), describedByKey(after)];
  const stands = (map: ReadonlyMap<string, DescribedValue>, { inside }: DescribedValue): boolean =>
    inside === null || map.has(inside);
  const found: DesignChange[] = [];
  for (const described of now.values()) {
    const was = old.get(described.key);
    const came = was === undefined && stands(old, described) ? cameOf(described) : null;
    const change = was === undefined ? came : changeOf(was, described);
    if (change !== null) found.push(change);
  }
  for (const described of old.values())
    if (!now.has(described.key) && stands(now, described)) found.push(goneOf(described));
  return CHANGE_GROUPS.flatMap((group) => found.filter((one) => one.group === group));
}

function cameOf(described: DescribedValue): DesignChange {
  const isThing = described.as === 'thing' || described.as === 'item';
  return {
    ...placeOf(described),
    kind: isThing ? 'came' : 'changed',
    before: undefined,
    after: described.value,
  };
}

function goneOf(described: DescribedValue): DesignChange {
  const isThing = described.as === 'thing' || described.as === 'item';
  return {
    ...placeOf(described),
    kind: isThing ? 'gone' : 'changed',
    before: described.value,
    after: undefined,
  };
}

function changeOf(was: DescribedValue, described: DescribedValue): DesignChange | null {
  if (described.as === 'thing') return null;
  const [before, after] =
    described.as === 'order' ? staying(was.value, described.value) : [was.value, described.value];
  if (differencesOf(before, after).length === 0) return null;
  return {
    ...placeOf(described),
    kind: described.as === 'order' ? 'moved' : 'changed',
    before: was.value,
    after: described.value,
  };
}

/** Two orders of the same: what came or went leaves the rest in place. */
function staying(before: Json, after: Json): [Json, Json] {
  const [old, now] = [before as readonly Json[], after as readonly Json[]];
  return [old.filter((one) => now.includes(one)), now.filter((one) => old.includes(one))];
}

function placeOf({
  key,
  group,
  subject,
  widget,
}: DescribedValue): Pick<DescribedValue, 'key' | 'group' | 'subject' | 'widget'> {
  return { key, group, subject, widget };
}

/** What is published stays the same while the draft is edited. */
const describedByKey = memoByObject(
  (design: Design): ReadonlyMap<string, DescribedValue> =>
    new Map(describeDesign(design).map((one) => [one.key, one])),
);
