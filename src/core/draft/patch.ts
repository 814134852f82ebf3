import { type Patch, isJsonObject, type PatchPath, type Json } from '../model/json';

/** A patch that does not fit the document: nothing was changed. */
export class PatchError extends Error {
  constructor(path: PatchPath) {
    super(
      `A change does not fit the document at "${path.join('.')}". Nothing was changed; load the draft anew.`,
    );
  }
}

export interface Patched<T> {
  readonly value: T;
  /** Applied to `value`, in this order, gives the document back to the byte: the order of names included. */
  readonly inverse: readonly Patch[];
}

/** Applies changes in order to a copy. Throws PatchError where one names a place that is not there. */
export function applyPatches<T extends Json>(document: T, patches: readonly Patch[]): Patched<T> {
  let value: Json = document;
  const inverse: Patch[] = [];
  for (const patch of patches) {
    inverse.unshift(inverseOf(value, patch));
    value = applied(value, patch, 0);
  }
  return { value: value as T, inverse };
}

/** Taking a name out and putting it back would move it to the end: the inverse sets the whole object instead. */
function inverseOf(document: Json, patch: Patch): Patch {
  const before = valueAt(document, patch.path);
  if (patch.op === 'set')
    return before === undefined
      ? { op: 'remove', path: patch.path }
      : { op: 'set', path: patch.path, value: before };
  const parent = patch.path.slice(0, -1);
  const whole = valueAt(document, parent);
  if (before === undefined || whole === undefined) throw new PatchError(patch.path);
  return { op: 'set', path: parent, value: whole };
}

function applied(node: Json, patch: Patch, depth: number): Json {
  const name = patch.path[depth];
  if (name === undefined) {
    if (patch.op === 'set') return patch.value;
    throw new PatchError(patch.path);
  }
  const isLast = depth === patch.path.length - 1;
  if (isList(node)) {
    if (
      typeof name !== 'number' ||
      !Number.isInteger(name) ||
      name < 0 ||
      name >= node.length + (isLast && patch.op === 'set' ? 1 : 0)
    )
      throw new PatchError(patch.path);
    if (isLast && patch.op === 'remove') return node.filter((_, index) => index !== name);
    const next = isLast && patch.op === 'set' ? patch.value : applied(node[name] ?? null, patch, depth + 1);
    return name === node.length ? [...node, next] : node.map((one, index) => (index === name ? next : one));
  }
  if (!isJsonObject(node) || typeof name !== 'string' || isEvil(name)) throw new PatchError(patch.path);
  if (isLast && patch.op === 'remove') return without(node, name, patch.path);
  if (isLast && patch.op === 'set') return { ...node, [name]: patch.value };
  const inner = Object.hasOwn(node, name) ? node[name] : undefined;
  if (inner === undefined) throw new PatchError(patch.path);
  return { ...node, [name]: applied(inner, patch, depth + 1) };
}

function without(node: { readonly [name: string]: Json }, name: string, path: PatchPath): Json {
  if (!Object.hasOwn(node, name)) throw new PatchError(path);
  return Object.fromEntries(Object.entries(node).filter(([one]) => one !== name));
}

/** The value at a place, or undefined. */
export function valueAt(document: Json, path: PatchPath): Json | undefined {
  let node: Json | undefined = document;
  for (const name of path) {
    if (node === undefined || node === null || typeof node !== 'object') return undefined;
    if (isList(node)) node = typeof name === 'number' ? node[name] : undefined;
    else node = typeof name === 'string' && Object.hasOwn(node, name) ? node[name] : undefined;
  }
  return node;
}

function isList(node: Json): node is readonly Json[] {
  return Array.isArray(node);
}

function isEvil(name: string): boolean {
  return name === '__proto__' || name === 'constructor' || name === 'prototype';
}
