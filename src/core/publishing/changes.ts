import { differencesOf } from '../draft/differences';
import type { Json } from '../draft/patch';
import type { Design } from '../model/design';
import { CHANGE_GROUPS, type Told, toldOf } from './told';

/** One thing that visitors will find changed. */
export interface Change extends Pick<Told, 'key' | 'group' | 'subject' | 'widget'> {
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
export function changesOf(before: Design, after: Design): Change[] {
  const [old, now] = [toldByKey(before), toldByKey(after)];
  const stands = (map: ReadonlyMap<string, Told>, { inside }: Told): boolean =>
    inside === null || map.has(inside);
  const found: Change[] = [];
  for (const told of now.values()) {
    const was = old.get(told.key);
    const change = was === undefined ? (stands(old, told) ? cameOf(told) : null) : changeOf(was, told);
    if (change !== null) found.push(change);
  }
  for (const told of old.values()) if (!now.has(told.key) && stands(now, told)) found.push(goneOf(told));
  return CHANGE_GROUPS.flatMap((group) => found.filter((one) => one.group === group));
}

function cameOf(told: Told): Change {
  const isThing = told.as === 'thing' || told.as === 'item';
  return { ...placeOf(told), kind: isThing ? 'came' : 'changed', before: undefined, after: told.value };
}

function goneOf(told: Told): Change {
  const isThing = told.as === 'thing' || told.as === 'item';
  return { ...placeOf(told), kind: isThing ? 'gone' : 'changed', before: told.value, after: undefined };
}

function changeOf(was: Told, told: Told): Change | null {
  if (told.as === 'thing') return null;
  const [before, after] = told.as === 'order' ? staying(was.value, told.value) : [was.value, told.value];
  if (differencesOf(before, after).length === 0) return null;
  return {
    ...placeOf(told),
    kind: told.as === 'order' ? 'moved' : 'changed',
    before: was.value,
    after: told.value,
  };
}

/** Two orders of the same: what came or went leaves the rest in place. */
function staying(before: Json, after: Json): [Json, Json] {
  const [old, now] = [before as readonly Json[], after as readonly Json[]];
  return [old.filter((one) => now.includes(one)), now.filter((one) => old.includes(one))];
}

function placeOf({ key, group, subject, widget }: Told): Pick<Told, 'key' | 'group' | 'subject' | 'widget'> {
  return { key, group, subject, widget };
}

/** What is published stays the same while the draft is edited. */
const KNOWN = new WeakMap<Design, ReadonlyMap<string, Told>>();

function toldByKey(design: Design): ReadonlyMap<string, Told> {
  const known = KNOWN.get(design) ?? new Map(toldOf(design).map((one) => [one.key, one]));
  KNOWN.set(design, known);
  return known;
}
