import { type PatchPath, isJsonObject, type Json } from '../model/json';

/** One value that is not the same in two documents; undefined where one has none. */
export interface Difference {
  readonly path: PatchPath;
  readonly before: Json | undefined;
  readonly after: Json | undefined;
}

/**
 * The values in which two documents differ, in the order of the newer one. Lists of other lengths are one difference, and
 * so are objects that share no name: one of them takes the place of the other (an icon that was a drawing and is a
 * picture). An object that one of them lacks differs in each of its values.
 */
export function differencesOf(
  before: Json | undefined,
  after: Json | undefined,
  path: PatchPath = [],
): Difference[] {
  if (before === after) return [];
  if (before === undefined && isFilled(after)) return differencesOf({}, after, path);
  if (after === undefined && isFilled(before)) return differencesOf(before, {}, path);
  if (isJsonObject(before) && isJsonObject(after)) {
    if (isReplaced(before, after)) return [{ path, before, after }];
    const names = [...new Set([...Object.keys(after), ...Object.keys(before)])];
    return names.flatMap((name) => differencesOf(own(before, name), own(after, name), [...path, name]));
  }
  if (Array.isArray(before) && Array.isArray(after) && before.length === after.length) {
    return after.flatMap((one: Json, index) => differencesOf(before[index] as Json, one, [...path, index]));
  }
  return [{ path, before, after }];
}

function isReplaced(before: object, after: object): boolean {
  const names = Object.keys(after);
  return (
    names.length > 0 && Object.keys(before).length > 0 && !names.some((name) => Object.hasOwn(before, name))
  );
}

function own(node: { readonly [name: string]: Json }, name: string): Json | undefined {
  return Object.hasOwn(node, name) ? node[name] : undefined;
}

function isFilled(node: Json | undefined): boolean {
  return isJsonObject(node) && Object.keys(node).length > 0;
}
